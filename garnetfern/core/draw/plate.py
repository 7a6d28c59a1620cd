"""Plates: round corners, a key line and a shadow (CSS Backgrounds 3, sections 5 and 6)."""

from dataclasses import replace

import numpy as np

from ..colour.notation import Rgba
from ..colour.spaces import Pixels
from ..resolve.box import Box
from ..resolve.records import PlateRecord, ShadowRecord
from .blend import composite
from .figure import inked
from .sample import Keep, Region, anew
from .soften import FORMULA_BELOW, reach_of, soft_side, softened


def rounded(box: Box, radius: float, region: Region, kept: Keep = anew) -> Pixels:
    """How much of each pixel of a region a box with round corners covers, 0..1. Not to be written to."""
    return kept("rounded", (box, radius, region), lambda: _rounded(box, radius, region), region[2] * region[3])


def _rounded(box: Box, radius: float, region: Region) -> Pixels:
    if box.width <= 0 or box.height <= 0:
        return np.zeros((region[3], region[2]), dtype=np.float32)
    radius = max(0.0, min(radius, box.width / 2, box.height / 2))
    x = np.arange(region[0], region[0] + region[2])[None, :] + 0.5
    y = np.arange(region[1], region[1] + region[3])[:, None] + 0.5
    across = np.abs(x - (box.x + box.width / 2)) - (box.width / 2 - radius)
    down = np.abs(y - (box.y + box.height / 2)) - (box.height / 2 - radius)
    outside = np.hypot(np.maximum(across, 0), np.maximum(down, 0)) + np.minimum(np.maximum(across, down), 0)
    return np.asarray(np.clip(0.5 - (outside - radius), 0, 1), dtype=np.float32)


def premultiplied(colour: Rgba) -> Pixels:
    """One pixel of a colour, 0..1."""
    return np.array([*(v / 255 * colour.alpha for v in colour.rgb), colour.alpha], dtype=np.float32)


def _shadow(shadow: ShadowRecord, box: Box, radius: float, region: Region, kept: Keep) -> Pixels:
    """A shadow's coverage, whatever its colour. Not to be written to."""
    key = (replace(shadow, colour=_ANY), box, radius, region)
    return kept("shadow", key, lambda: _cast(*key), region[2] * region[3])


_ANY = Rgba(0, 0, 0)


def _cast(shadow: ShadowRecord, box: Box, radius: float, region: Region) -> Pixels:
    """Its blur radius is twice its standard deviation."""
    sigma = shadow.blur / 2
    margin = reach_of(sigma)
    cast = box.grown(shadow.spread)
    cast = Box(cast.x + shadow.across, cast.y + shadow.down, cast.width, cast.height)
    corner = max(0.0, radius + shadow.spread) if radius else 0.0
    left, top, width, height = region
    if not corner and 0 < sigma < FORMULA_BELOW:
        down = soft_side(cast.y, cast.bottom, top, height, sigma)
        return np.outer(down, soft_side(cast.x, cast.right, left, width, sigma))
    wide = (region[0] - margin, region[1] - margin, region[2] + 2 * margin, region[3] + 2 * margin)
    cover = rounded(cast, corner, wide)
    cover = softened(cover, sigma)
    return np.ascontiguousarray(cover[margin : margin + region[3], margin : margin + region[2]])


def framed(
    plate: PlateRecord, box: Box, base: Pixels | None, stack: Pixels, region: Region, kept: Keep = anew
) -> Pixels:
    """A plate in a region, premultiplied RGBA: its shadow outside, its stack inside the key line, the line itself.

    `stack` is all of its sheets; below the key line there is only the `base`.
    """
    outer = rounded(box, plate.radius, region, kept)
    inner = rounded(plate.inner(box), plate.radius - plate.line, region, kept) if plate.line else outer
    rim = np.clip(outer - inner, 0, 1)
    found = stack * inner[..., None]
    if base is not None and plate.line:
        found = found + base * rim[..., None]
    if plate.shadow is not None:
        cast = _shadow(plate.shadow, box, plate.radius, region, kept) * (1 - outer)
        found = composite(inked(cast, premultiplied(plate.shadow.colour)), found, "normal")
    if plate.line and plate.line_colour is not None:
        found = composite(found, inked(rim, premultiplied(plate.line_colour)), "normal")
    return np.asarray(found, dtype=np.float32)
