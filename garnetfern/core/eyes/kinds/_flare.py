"""Light of the surroundings that a surface throws back, added to what is shown on it."""

import math

import numpy as np

from ..veil import Veil, at


def flared(light: float, reflected: float, brightest: float) -> Veil:
    """A surface whose white gives `brightest` cd/m² by itself in `light` lx, of which it throws back a share in all
    directions (Lambert's law). The eye gets used to it: the brightest is white again."""
    flare = light * reflected / math.pi / brightest
    return Veil(0.0, at(np.eye(3) / (1 + flare), (flare / (1 + flare),) * 3))
