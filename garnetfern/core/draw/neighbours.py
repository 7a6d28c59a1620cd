"""Between which pixels of a picture those of the page lie, and what is interpolated there."""

from dataclasses import dataclass

import cv2
import numpy as np
from numpy.typing import NDArray

from ..colour.spaces import Pixels

FRACTIONS = 16
"""The browser interpolates between neighbours in sixteenths, rounded down."""
ONE = 65536
"""Places in a tile that repeats on both axes are in 16.16 of it."""


@dataclass(frozen=True, eq=False)
class Neighbours:
    """Lower and upper neighbours along an axis, and how far along between them each px lies, 0..1."""

    low: NDArray[np.intp]
    high: NDArray[np.intp]
    part: NDArray[np.float32]


def clamped(count: int, drawn: float, start: float, first: int, length: int, exact: bool = True) -> Neighbours:
    """Along an axis that does not repeat, its last pixels going on; `exact`, or in sixteenths."""
    centre = (np.arange(first, first + length) + 0.5 - start) * (count / drawn) - 0.5
    lower = np.floor(centre)
    part = centre - lower if exact else np.floor((centre - lower) * FRACTIONS) / FRACTIONS
    low = lower.astype(np.intp)
    return Neighbours(np.clip(low, 0, count - 1), np.clip(low + 1, 0, count - 1), part.astype(np.float32))


def wrapped(count: int, period: float, start: float, first: int, length: int, exact: bool = True) -> Neighbours:
    """Along an axis that repeats; `exact`, or in 16.16 of a tile and sixteenths, as where both axes do."""
    along = (np.arange(first, first + length) + 0.5 - start) / period
    if exact:
        centre = along * count - 0.5
        lower = np.floor(centre)
        low = np.mod(lower.astype(np.intp), count)
        return Neighbours(low, np.mod(low + 1, count), (centre - lower).astype(np.float32))
    one = ONE // count
    place = np.floor(along * ONE).astype(np.int64) - (one >> 1)
    low, high = (((p & (ONE - 1)) * count) >> 16 for p in (place, place + one))
    part = ((((place & (ONE - 1)) * count) >> 12) & 15) / FRACTIONS
    return Neighbours(low.astype(np.intp), high.astype(np.intp), part.astype(np.float32))


def between(picture: NDArray[np.uint8], across: Neighbours, down: Neighbours) -> Pixels:
    """Interpolated bilinearly, in levels that are not rounded. Height x width x channels."""
    lo = int(min(across.low.min(), across.high.min()))
    hi = int(max(across.low.max(), across.high.max())) + 1
    rows0 = picture[down.low, lo:hi].astype(np.float32)
    rows1 = picture[down.high, lo:hi].astype(np.float32)
    rows = rows0 + (rows1 - rows0) * down.part[:, None, None]
    left, right = rows[:, across.low - lo], rows[:, across.high - lo]
    return np.asarray(left + (right - left) * across.part[None, :, None], dtype=np.float32)


MOST_AT_ONCE = 32_000
"""OpenCV takes no more px along an axis."""


def _places(axis: Neighbours) -> tuple[int, int, NDArray[np.float32]] | None:
    """First of the pixels along an axis, how many from there on (those past the last go on at the first), and where
    among them each px lies; None where neighbours are not next to each other, or the parts are no sixteenths."""
    first, last = int(axis.low.min()), int(axis.low.max())
    same = axis.high == axis.low
    after = axis.high == axis.low + 1
    around = (axis.low == last) & (axis.high == 0)
    if not (same | after | around).all() or not np.equal(axis.part * FRACTIONS % 1, 0).all():
        return None
    part = np.where(same, np.float32(0), axis.part)
    return first, last + 2 - first, (axis.low - first + part).astype(np.float32)


def _cut(picture: NDArray[np.uint8], first: int, count: int, axis: int) -> NDArray[np.uint8]:
    """So many pixels along an axis; where it has one fewer, its first is set behind its last."""
    there = picture[first : first + count] if axis == 0 else picture[:, first : first + count]
    if there.shape[axis] == count:
        return there
    return np.concatenate([there, picture[:1] if axis == 0 else picture[:, :1]], axis=axis)


def rounded_down(picture: NDArray[np.uint8], across: Neighbours, down: Neighbours) -> NDArray[np.uint8]:
    """What lies `between`, rounded down to whole levels. Height x width x channels."""
    wide, high = _places(across), _places(down)
    if wide is None or high is None or max(wide[1], high[1], len(across.low), len(down.low)) > MOST_AT_ONCE:
        return between(picture, across, down).astype(np.uint8)
    near = _cut(_cut(picture, high[0], high[1], 0), wide[0], wide[1], 1)
    shape = len(down.low), len(across.low)
    x = np.ascontiguousarray(np.broadcast_to(wide[2], shape))
    y = np.ascontiguousarray(np.broadcast_to(high[2][:, None], shape))
    # sixteenths of sixteenths are whole numbers in steps of 1/256 of a level
    fine = near.astype(np.uint16) << 8
    found = np.asarray(cv2.remap(fine, x, y, cv2.INTER_LINEAR, borderMode=cv2.BORDER_REPLICATE), dtype=np.uint16)
    return (found >> 8).astype(np.uint8).reshape(*shape, picture.shape[2])
