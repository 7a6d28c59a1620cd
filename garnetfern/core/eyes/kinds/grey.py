"""Without any hue: a screen or a printer in grey, eyes that tell no colours."""

from collections.abc import Mapping

import numpy as np

from ...colour.spaces import LUMINANCE
from ..veil import Dial, Veil, at

ORDER = 4
TITLE = "No colours at all"
SENTENCE = "Only light and dark are left: a screen in grey, or eyes that tell no colours."
DIALS: tuple[Dial, ...] = ()


def veil(_dials: Mapping[str, float]) -> Veil:
    """Every colour becomes the grey of its relative luminance (WCAG 2.2)."""
    return Veil(0.0, at(np.tile(LUMINANCE, (3, 1)).astype(np.float64)))
