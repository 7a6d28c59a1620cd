"""Gradients over a box."""

from collections.abc import Callable

import numpy as np

from ...colour.spaces import Pixels
from ...resolve.sheets import GradientSheet
from ..blend import composite
from ..ramp import ramp_pixels
from ..sample import Region, Sampler

SHEET = GradientSheet


def source(sheet: GradientSheet, part: Region, pictures: Sampler) -> Pixels:
    """Its ramps over one another."""

    def made() -> Pixels:
        found = ramp_pixels(sheet.ramps[0], part, pictures.kept)
        for ramp in sheet.ramps[1:]:
            found = composite(found, ramp_pixels(ramp, part, pictures.kept), "normal")
        return found

    return pictures.kept("ramps", (sheet.ramps, part), made, part[2] * part[3])


def opaque(sheet: GradientSheet, _: Callable[[str], bool]) -> bool:
    """Whether it hides what lies below: a ramp of opaque stops does."""
    solid = any(all(colour.alpha >= 0.999 for _, colour in ramp.stops) for ramp in sheet.ramps)
    return bool(np.isclose(sheet.opacity, 1)) and solid
