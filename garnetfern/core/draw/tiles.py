"""Tiles with space between them, as the browser's software raster paints them: twice.

The picture is first drawn into a cell of whole px that stands for one tile and its gap, from levels each half as large
as the one before; then the cell is repeated bilinearly.
"""

import math
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from ..colour.spaces import Pixels
from .neighbours import between, clamped, wrapped

Taps = tuple[tuple[NDArray[np.intp], NDArray[np.float32]], ...]


@lru_cache(maxsize=256)
def _taps(count: int, soft: bool) -> Taps:
    """Which pixels, and how much of each, make one of half as many: two of an even side. Of an odd one three, by how
    far along they lie, or, `soft`, a quarter, a half and a quarter."""
    half = max(1, count // 2)
    place = np.arange(half)
    if count == 1:
        return ((place, np.ones(1, dtype=np.float32)),)
    if count % 2 == 0:
        even = np.full(half, 0.5, dtype=np.float32)
        return (2 * place, even), (2 * place + 1, even)
    along = (place + 0.5) / half
    first, last = 0.5 * np.minimum(1, 2 * (1 - along)), 0.5 * np.minimum(1, 2 * along)
    if soft:
        first = last = np.full(half, 0.25)
    parts = (first, 1 - first - last, last)
    return tuple((2 * place + n, part.astype(np.float32)) for n, part in enumerate(parts))


def halved(picture: NDArray[np.uint8], soft: bool = False) -> NDArray[np.uint8]:
    """A picture at half its size, cut to whole levels."""
    if picture.shape[0] % 2 == 0 and picture.shape[1] % 2 == 0:
        four = picture[::2, ::2].astype(np.uint16)
        for other in (picture[::2, 1::2], picture[1::2, ::2], picture[1::2, 1::2]):
            four += other
        return (four >> 2).astype(np.uint8)
    across, down = _taps(picture.shape[1], soft), _taps(picture.shape[0], soft)
    rows = np.zeros((len(down[0][0]), *picture.shape[1:]), dtype=np.float32)
    for at, part in down:
        rows += picture[at].astype(np.float32) * part[:, None, None]
    found = np.full((len(rows), len(across[0][0]), picture.shape[2]), 1e-3, dtype=np.float32)
    for at, part in across:
        found += rows[:, at] * part[None, :, None]
    return found.astype(np.uint8)


def _drawn(picture: NDArray[np.uint8], size: tuple[float, float], cell: tuple[int, int]) -> Pixels:
    """A picture drawn from the corner of a cell on, bilinearly, its edges going on: levels, cell's height x width."""
    high, wide = picture.shape[:2]
    return between(picture, clamped(wide, size[0], 0, 0, cell[0]), clamped(high, size[1], 0, 0, cell[1]))


def _levelled(picture: NDArray[np.uint8], size: tuple[float, float], cell: tuple[int, int]) -> Pixels:
    """The same out of the two levels between which its reduction lies."""
    high, wide = picture.shape[:2]
    level = max(0.0, (math.log2(wide / size[0]) + math.log2(high / size[1])) / 2 - 0.5)
    for _ in range(int(level)):
        picture = halved(picture, soft=True)
    part = np.float32(level - int(level))
    found = _drawn(picture, size, cell)
    if part > 0:
        found += (_drawn(halved(picture, soft=True), size, cell) - found) * part
    return found


def cell_of(picture: NDArray[np.uint8], tile: tuple[float, float], period: tuple[float, float]) -> NDArray[np.uint8]:
    """One tile and its gap in whole px: premultiplied RGBA levels. `tile` and `period`: width and height, px."""
    cell = (math.ceil(period[0] - 1e-6), math.ceil(period[1] - 1e-6))
    size = (tile[0] * cell[0] / period[0], tile[1] * cell[1] / period[1])
    drawn = _levelled(picture, size, cell)
    if drawn.shape[2] == 3:
        drawn = np.concatenate([drawn, np.full((*drawn.shape[:2], 1), 255, dtype=np.float32)], axis=2)
    else:
        drawn[..., :3] *= drawn[..., 3:] / np.float32(255)
    across = np.clip(size[0] - np.arange(cell[0]), 0, 1)
    down = np.clip(size[1] - np.arange(cell[1]), 0, 1)
    edged = drawn * (down[:, None] * across[None, :])[..., None].astype(np.float32)
    return np.asarray(np.rint(edged), dtype=np.uint8)


def spaced(
    cell: NDArray[np.uint8], start: tuple[float, float], period: tuple[float, float], part: tuple[int, int, int, int]
) -> NDArray[np.uint8]:
    """A part (left, top, width and height, px) of a cell that comes again and again: premultiplied RGBA levels."""
    high, wide = cell.shape[:2]
    across = wrapped(wide, period[0], start[0], part[0], part[2])
    down = wrapped(high, period[1], start[1], part[1], part[3])
    return np.asarray(np.rint(between(cell, across, down)), dtype=np.uint8)
