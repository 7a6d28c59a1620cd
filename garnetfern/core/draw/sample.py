"""Sampling a picture at a fractional place and size, as the browser's software raster does it."""

from collections.abc import Callable, Hashable
from typing import Any, Protocol, TypeVar

import cv2
import numpy as np
from numpy.typing import NDArray

from ..cache import Cache
from ..colour.spaces import Pixels
from ..resolve.sheets import FilmSheet, ImageSheet, Rendition

Region = tuple[int, int, int, int]
"""Left, top, width and height in whole px of the page."""

Pair = tuple[float, float]
Periods = tuple[float | None, float | None]

Picture = NDArray[np.uint8]
"""Height x width x 3 (RGB) or 4 (RGBA, not premultiplied), 0..255."""

FRACTIONS = 16
"""The browser interpolates between neighbours in sixteenths, rounded down."""


def _axis(
    count: int, drawn: float, start: float, first: int, length: int, period: float | None = None
) -> tuple[NDArray[np.intp], ...]:
    """Lower neighbours, upper neighbours and sixteenths for `length` pixels from `first` on.

    With a `period` the tile comes again and again; without gaps its last pixel is the neighbour of its first.
    """
    place = np.arange(first, first + length) + 0.5 - start
    if period is not None:
        place = np.mod(place, period)
    centre = place * (count / drawn) - 0.5
    lower = np.floor(centre)
    parts = np.floor((centre - lower) * FRACTIONS).astype(np.intp)
    low = lower.astype(np.intp)
    if period is not None and period <= drawn:
        return np.mod(low, count), np.mod(low + 1, count), parts
    return np.clip(low, 0, count - 1), np.clip(low + 1, 0, count - 1), parts


def halved(picture: Picture) -> Picture:
    """The picture at half its size, each pixel the mean of four."""
    height, width = picture.shape[:2]
    size = (max(1, width // 2), max(1, height // 2))
    return np.asarray(cv2.resize(picture, size, interpolation=cv2.INTER_AREA), dtype=np.uint8)


def sample(
    picture: Picture, drawn: Pair, start: Pair, region: Region, period: Periods = (None, None)
) -> NDArray[np.uint8]:
    """The part `region` (left, top, width, height in px) of a picture drawn `drawn` wide and high from `start` on.

    It is repeated along an axis that has a period; otherwise the nearest pixel stands outside the picture.
    Result: height x width x channels.
    """
    while picture.shape[1] > 2 * drawn[0] and picture.shape[0] > 2 * drawn[1]:
        picture = halved(picture)
    left, top, width, height = region
    x0, x1, fx = _axis(picture.shape[1], drawn[0], start[0], left, width, period[0])
    y0, y1, fy = _axis(picture.shape[0], drawn[1], start[1], top, height, period[1])
    lo, hi = min(x0.min(), x1.min()), max(x0.max(), x1.max()) + 1
    rows0 = picture[y0, lo:hi].astype(np.float32)
    rows1 = picture[y1, lo:hi].astype(np.float32)
    rows = rows0 + (rows1 - rows0) * (fy / FRACTIONS).astype(np.float32)[:, None, None]
    left_px, right_px = rows[:, x0 - lo], rows[:, x1 - lo]
    blended: Pixels = left_px + (right_px - left_px) * (fx / FRACTIONS).astype(np.float32)[None, :, None]
    return blended.astype(np.uint8)


def bilinear(picture: Picture, drawn: Pair, start: Pair, region: Region) -> Picture:
    """The same of a film's frame, which the browser neither shrinks first nor interpolates in steps."""
    left, top, width, height = region
    across = (np.arange(left, left + width) + 0.5 - start[0]) * (picture.shape[1] / drawn[0]) - 0.5
    down = (np.arange(top, top + height) + 0.5 - start[1]) * (picture.shape[0] / drawn[1]) - 0.5
    low, high = max(0, int(down[0]) - 1), min(picture.shape[0], int(down[-1]) + 3)
    lo, hi = max(0, int(across[0]) - 1), min(picture.shape[1], int(across[-1]) + 3)
    near = picture[low:high, lo:hi]
    if near.size == 0:
        near, low, lo = picture, 0, 0
    x = np.broadcast_to((across - lo).astype(np.float32), (height, width))
    y = np.broadcast_to((down - low).astype(np.float32)[:, None], (height, width))
    found = cv2.remap(
        near, np.ascontiguousarray(x), np.ascontiguousarray(y), cv2.INTER_LINEAR, borderMode=cv2.BORDER_REPLICATE
    )
    return np.asarray(found, dtype=np.uint8)


class PictureSource(Protocol):
    """Where decoded renditions come from."""

    def pixels(self, rendition: Rendition) -> Picture:
        """The decoded picture, sRGB, exactly as the browser gets it."""
        ...

    def frame(self, rendition: Rendition) -> Picture:
        """A frame of a film, sRGB, as the files for visitors are made from it."""
        ...


Kept = TypeVar("Kept", bound=NDArray[Any])


class Keep(Protocol):
    """Where arrays are kept that are costly to make: gives the one of a kind and key, made where it is not at hand."""

    def __call__(self, kind: str, key: Hashable, make: Callable[[], Kept], size: int = 0, /) -> Kept:
        """`size` in px decides whether it is worth its room. What is given must not be written to."""
        ...


def anew(_: str, __: Hashable, make: Callable[[], Kept], ___: int = 0, /) -> Kept:
    """Keeps nothing."""
    return make()


class Sampler:
    """Samples pictures for painting, and keeps what it sampled for small regions: an overlay's change asks again."""

    SMALL = 700_000
    """What covers more px is made anew each time."""

    def __init__(self, source: PictureSource, cache: Cache | None = None) -> None:
        self._source, self._cache = source, cache or Cache()

    def _sample(self, rendition: Rendition, drawn: Pair, start: Pair, part: Region, period: Periods) -> Picture:
        return sample(self._source.pixels(rendition), drawn, start, part, period)

    def kept(self, kind: str, key: Hashable, make: Callable[[], Kept], size: int = 0, /) -> Kept:
        """Keeps what is small (in px), and what is given no size, as it serves regions of any."""
        return make() if size > self.SMALL else self._cache.get(kind, key, make)

    def sampled(self, sheet: ImageSheet, part: Region) -> Picture:
        """The pixels of an image sheet in a part of the page."""
        tile = sheet.tile
        how = (sheet.rendition, (tile.width, tile.height), (tile.x, tile.y), part, sheet.period)
        return self.kept("sampled", how, lambda: self._sample(*how), part[2] * part[3])

    def frame(self, sheet: FilmSheet, part: Region) -> Picture:
        """The pixels of a film's sheet in a part of the page."""
        place = sheet.place
        how = ((place.width, place.height), (place.x, place.y), part)
        return self.kept(
            "frame", (sheet.frame, *how), lambda: bilinear(self._source.frame(sheet.frame), *how), part[2] * part[3]
        )
