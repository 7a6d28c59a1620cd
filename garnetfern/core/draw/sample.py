"""Sampling a picture at a fractional place and size, as the browser's software raster does it."""

from collections.abc import Callable, Hashable
from typing import Any, Protocol, TypeVar

import cv2
import numpy as np
from numpy.typing import NDArray

from ..cache import Cache
from ..resolve.box import round_half_up
from ..resolve.sheets import FilmSheet, ImageSheet, Rendition
from .neighbours import between, clamped, rounded_down, wrapped
from .tiles import cell_of, halved, spaced

Region = tuple[int, int, int, int]
"""Left, top, width and height in whole px of the page."""

Pair = tuple[float, float]
Periods = tuple[float | None, float | None]

Picture = NDArray[np.uint8]
"""Height x width x 3 (RGB) or 4 (RGBA, not premultiplied), 0..255."""


def halvings(wide: int, high: int, drawn: Pair) -> int:
    """How often a picture is halved before it is drawn."""
    across, down = (max(1, round_half_up(side)) for side in drawn)
    count = 0
    while wide >> (count + 1) >= across and high >> (count + 1) >= down:
        count += 1
    return count


def sample(
    picture: Picture, drawn: Pair, start: Pair, region: Region, period: Periods = (None, None)
) -> NDArray[np.uint8]:
    """The part `region` (left, top, width, height in px) of a picture drawn `drawn` wide and high from `start` on.

    It is repeated along an axis that has a period; otherwise the nearest pixel stands outside the picture. It must have
    been halved as often as `halvings` says.
    Result: height x width x channels.
    """
    left, top, width, height = region
    one_way = (period[0] is None) != (period[1] is None)
    # px for px nothing is interpolated
    exact = one_way or (drawn == picture.shape[1::-1] and all(float(place).is_integer() for place in start))
    across, down = (
        clamped(picture.shape[1 - n], drawn[n], start[n], first, length, exact)
        if (repeats := period[n]) is None
        else wrapped(picture.shape[1 - n], repeats, start[n], first, length, exact)
        for n, first, length in ((0, left, width), (1, top, height))
    )
    if one_way:
        return np.rint(between(picture, across, down)).astype(np.uint8)
    return rounded_down(picture, across, down)


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
        picture = self._source.pixels(rendition)
        times = halvings(picture.shape[1], picture.shape[0], drawn)
        return sample(self._halved(rendition, times) if times else picture, drawn, start, part, period)

    def _halved(self, rendition: Rendition, times: int) -> Picture:
        if times == 0:
            return self._source.pixels(rendition)
        return self._cache.get("halved", (rendition, times), lambda: halved(self._halved(rendition, times - 1)))

    def kept(self, kind: str, key: Hashable, make: Callable[[], Kept], size: int = 0, /) -> Kept:
        """Keeps what is small (in px), and what is given no size, as it serves regions of any."""
        return make() if size > self.SMALL else self._cache.get(kind, key, make)

    def sampled(self, sheet: ImageSheet, part: Region) -> Picture:
        """The pixels of an image sheet without gaps in a part of the page."""
        tile, box = sheet.tile, sheet.box
        # along an axis on which one tile covers all, nothing repeats
        across = None if tile.x <= box.x and tile.right >= box.right else sheet.period[0]
        down = None if tile.y <= box.y and tile.bottom >= box.bottom else sheet.period[1]
        how = (sheet.rendition, (tile.width, tile.height), (tile.x, tile.y), part, (across, down))
        return self.kept("sampled", how, lambda: self._sample(*how), part[2] * part[3])

    def spaced(self, sheet: ImageSheet, part: Region) -> NDArray[np.uint8]:
        """The same of one with gaps: premultiplied RGBA levels."""
        tile = sheet.tile
        across, down = sheet.period
        periods = (tile.width if across is None else across, tile.height if down is None else down)
        size = (tile.width, tile.height)
        key = (sheet.rendition, size, periods)
        cell = self.kept("cell", key, lambda: cell_of(self._source.pixels(sheet.rendition), size, periods))
        how = (*key, (tile.x, tile.y), part)
        return self.kept("spaced", how, lambda: spaced(cell, (tile.x, tile.y), periods, part), part[2] * part[3])

    def frame(self, sheet: FilmSheet, part: Region) -> Picture:
        """The pixels of a film's sheet in a part of the page."""
        place = sheet.place
        how = ((place.width, place.height), (place.x, place.y), part)
        return self.kept(
            "frame", (sheet.frame, *how), lambda: bilinear(self._source.frame(sheet.frame), *how), part[2] * part[3]
        )
