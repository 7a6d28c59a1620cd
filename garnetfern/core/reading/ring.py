"""A letter's ring, and the one figure that its ring comes to.

Ink is what a letter covers, by its own peak: from LEAST_INK of it nothing, from FULL_INK on everything, between them
in even measure, so that thin letters have ink too. The ring is the ink grown by max(1 px, 0.08 em), as grey levels. The
figure is the mean of the ratios between the 5th and the 15th hundredth of the ring, each pixel counted by its level:
what about 90 % of it reaches, without a jump where one pixel more or less is counted.
"""

import math
from dataclasses import dataclass

import cv2
import numpy as np
from numpy.typing import NDArray

from ..colour.spaces import Pixels
from ..draw.glyphs import Mask
from ..resolve.box import round_half_up

LEAST_INK, FULL_INK = 0.1, 0.6
"""Shares of a letter's own peak of coverage."""
FROM, UP_TO = 0.05, 0.15
"""The shares of a ring, worst first, over which ratios are averaged."""
LEVELS = 15
"""A ring has so many levels; they fit into the last bits of a ratio, so that both are sorted at once."""

Levels = NDArray[np.uint8]
"""Height x width, 0..LEVELS."""

_LOW = np.uint32(15)
NOWHERE = np.float32(3e38)
"""The ratio where nothing is judged."""


def ring_radius(size: float) -> float:
    """How far a letter's ink is grown, px."""
    return max(1.0, 0.08 * size)


def patch_side(size: float) -> int:
    """The side of the square over which luminance is averaged, an odd number of px."""
    side = max(3.0, 0.25 * size)
    return 2 * round_half_up((side - 1) / 2) + 1


@dataclass(frozen=True, eq=False)
class Ring:
    """A letter's ring: left and top of its box from the letter's, width and height; the rows and columns of the pixels
    that it has, and their levels; `total` is the sum of these, and `enough` pixels hold all that its figure needs."""

    left: int
    top: int
    width: int
    height: int
    rows: NDArray[np.int32]
    columns: NDArray[np.int32]
    levels: Levels
    total: int
    enough: int


def ring_of(mask: Mask, radius: float) -> Ring:
    """The ring of a letter. A letter that covers nothing has one without pixels."""
    left, top, levels = grown(mask, radius)
    rows, columns = np.nonzero(levels)
    there = levels[rows, columns]
    height, width = levels.shape
    return Ring(
        left - mask.left,
        top - mask.top,
        width,
        height,
        rows.astype(np.int32),
        columns.astype(np.int32),
        there,
        int(there.sum(dtype=np.int64)),
        enough_pixels(there),
    )


def grown(mask: Mask, radius: float) -> tuple[int, int, Levels]:
    """A letter's ring as a picture: left and top from the pen, and its levels."""
    reach = math.ceil(radius)
    peak = float(mask.coverage.max(initial=0.0)) or 1.0
    ink = np.clip((mask.coverage / peak - LEAST_INK) / (FULL_INK - LEAST_INK), 0, 1)
    levels = np.rint(ink * LEVELS).astype(np.uint8)
    wide = cv2.copyMakeBorder(levels, reach, reach, reach, reach, cv2.BORDER_CONSTANT, value=(0,))
    offsets = np.arange(-reach, reach + 1)
    kernel = (offsets[:, None] ** 2 + offsets[None, :] ** 2 <= radius**2 + 0.25).astype(np.uint8)
    return mask.left - reach, mask.top - reach, np.asarray(cv2.dilate(wide, kernel), dtype=np.uint8)


def enough_pixels(levels: Levels) -> int:
    """How many pixels of a ring, least first, hold all that the figure can need, whatever their levels are."""
    counts = np.bincount(levels.ravel(), minlength=LEVELS + 1)
    left = UP_TO * float((counts * np.arange(LEVELS + 1)).sum())
    found = 0
    for level in range(1, LEVELS + 1):
        here = int(counts[level])
        if left <= here * level:
            return found + math.ceil(left / level)
        found, left = found + here, left - here * level
    return found


def figures(ratios: Pixels, levels: Levels, totals: NDArray[np.float32], most: int) -> Pixels:
    """The figure of each row of ratios (letters x pixels) whose pixels count by their levels; those of no level must
    have the ratio NOWHERE. `totals`: the sum of each row's levels; `most`: so many pixels, least first, are enough."""
    # the level goes where the last four bits of the ratio were, which are worth a millionth of it
    packed = ((ratios.view(np.uint32) + np.uint32(8)) & ~_LOW) | levels
    packed.view(np.float32).sort(axis=1)
    packed = packed[:, :most]
    counted = (packed & _LOW).astype(np.float32)
    up_to = np.cumsum(counted, axis=1)
    least, largest = (totals * np.float32(FROM))[:, None], (totals * np.float32(UP_TO))[:, None]
    shares = (np.minimum(up_to, largest) - np.maximum(up_to - counted, least)).astype(np.float64)
    np.maximum(shares, 0, out=shares)
    there = (packed & ~_LOW).view(np.float32)
    return np.asarray((shares * there).sum(axis=1) / shares.sum(axis=1), dtype=np.float32)


def reached(ratios: Pixels) -> float:
    """The same figure of pixels that all count alike. There must be one."""
    row = np.ascontiguousarray(ratios, dtype=np.float32).reshape(1, -1)
    levels = np.full(row.shape, LEVELS, dtype=np.uint8)
    totals = np.array([LEVELS * row.size], dtype=np.float32)
    return float(figures(row, levels, totals, row.size)[0])
