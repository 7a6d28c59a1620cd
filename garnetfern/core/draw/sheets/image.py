"""A picture, filtered where wanted, in tiles with or without gaps."""

import math
from collections.abc import Callable
from dataclasses import replace

import numpy as np
from numpy.typing import NDArray

from ...colour.spaces import Bytes, Pixels
from ...document.layers.image import PLAIN
from ...resolve.box import Box, round_half_up
from ...resolve.sheets import ImageSheet
from ..filters import filtered, reach
from ..levels import LEVELS
from ..sample import Region, Sampler

SHEET = ImageSheet


def _over_image(below: Bytes, pixels: Bytes, opacity: float) -> Bytes:
    """Opaque pixels at an opacity over others in eight bits, rounded as the browser's raster rounds."""
    cover = int(opacity * 255 + 0.5)
    above = (LEVELS * (cover + 1) >> 8).astype(np.uint8)
    rest = (LEVELS * (256 - cover) >> 8).astype(np.uint8)
    return above[pixels] + rest[below]


def _over_layer(below: Bytes, colour: Bytes, alpha: NDArray[np.uint32] | np.uint32, opacity: float) -> Bytes:
    """A layer of its own, premultiplied, at an opacity over others in eight bits: both are weighed before the sum is
    rounded downwards, unlike where a picture is laid straight onto others."""
    scale = int(opacity * 255 + 0.5) + 1
    if scale > 255:
        rest = (256 - alpha).astype(np.uint16)
        return np.minimum(colour + (below * rest >> 8), 255).astype(np.uint8)
    left = 0xFFFF - alpha * np.uint32(scale)
    rest = ((left + (left >> 8)) >> 8).astype(np.uint16)
    return np.asarray((colour * np.uint16(scale) + below * rest) >> 8, dtype=np.uint8)


def _over_translucent(below: Bytes, pixels: Bytes, opacity: float) -> Bytes:
    """Bytes with an alpha of their own over others."""
    alpha = pixels[:, :, 3:] * np.float32(opacity / 255)
    under = below.astype(np.float32)
    return np.rint(under + (pixels[:, :, :3] - under) * alpha).astype(np.uint8)


def laid(below: Bytes, pixels: Bytes, opacity: float) -> Bytes:
    """Opaque pixels at any opacity over others."""
    return pixels if opacity >= 1 else _over_image(below, pixels, opacity)


def _axis_span(sheet: ImageSheet, axis: int) -> tuple[float, float]:
    box, tile = sheet.box, sheet.tile
    first, last = (box.y, box.bottom) if axis else (box.x, box.right)
    if sheet.period[axis] is not None:
        return first, last
    start, end = (tile.y, tile.bottom) if axis else (tile.x, tile.right)
    return max(first, round_half_up(start)), min(last, round_half_up(end))


def span(sheet: ImageSheet) -> Box:
    """The part of its box where it has tiles; a blurred one may paint all of it."""
    box = sheet.box
    if sheet.tile.width <= 0 or sheet.tile.height <= 0:
        return Box(box.x, box.y, 0, 0)
    if sheet.filter.blur:
        return box
    (left, right), (top, foot) = _axis_span(sheet, 0), _axis_span(sheet, 1)
    if right <= left or foot <= top:
        return Box(box.x, box.y, 0, 0)
    return Box(left, top, right - left, foot - top)


def _has_gaps(sheet: ImageSheet) -> bool:
    """Whether there is space between its tiles."""
    sizes = (sheet.tile.width, sheet.tile.height)
    return any(period is not None and period > size for period, size in zip(sheet.period, sizes, strict=True))


def _bounded(sheet: ImageSheet, axis: int, part: Region) -> NDArray[np.bool_] | None:
    """Which pixels along an axis lie on its one tile there; None where all do, or it repeats."""
    if sheet.period[axis] is not None:
        return None
    first, last = _axis_span(sheet, axis) if not sheet.filter.blur else _tile_span(sheet, axis)
    place = np.arange(part[axis], part[axis] + part[2 + axis])
    free = (place >= first) & (place < last)
    return None if free.all() else free


def _plain_source(sheet: ImageSheet, part: Region, pictures: Sampler) -> Pixels:
    """The unfiltered pixels, premultiplied, nothing outside the tiles."""
    if _has_gaps(sheet):
        pixels = pictures.spaced(sheet, part).astype(np.float32) / np.float32(255)
    else:
        pixels = pictures.sampled(sheet, part).astype(np.float32) / np.float32(255)
        if pixels.shape[2] == 3:
            pixels = np.concatenate([pixels, np.ones((*pixels.shape[:2], 1), dtype=np.float32)], axis=2)
        else:
            pixels[..., :3] *= pixels[..., 3:]
    across, down = _bounded(sheet, 0, part), _bounded(sheet, 1, part)
    if across is not None:
        pixels *= across[None, :, None]
    if down is not None:
        pixels *= down[:, None, None]
    return pixels


def _tile_span(sheet: ImageSheet, axis: int) -> tuple[float, float]:
    start, end = (sheet.tile.y, sheet.tile.bottom) if axis else (sheet.tile.x, sheet.tile.right)
    return math.floor(start), math.ceil(end)


def source(sheet: ImageSheet, part: Region, pictures: Sampler) -> Pixels:
    """The picture's pixels with its filter."""
    if sheet.filter == PLAIN:
        return _plain_source(sheet, part, pictures)
    margin = reach(sheet.filter)
    left, top, width, height = part
    more = (left - margin, top - margin, width + 2 * margin, height + 2 * margin)
    done = filtered(_plain_source(sheet, more, pictures), sheet.filter)
    return done[margin : margin + height, margin : margin + width]


def _layer(pixels: Pixels) -> Bytes:
    """Premultiplied pixels 0..1 as a layer holds them."""
    return np.asarray(np.rint(pixels * np.float32(255)), dtype=np.uint8)


def _as_it_is(sheet: ImageSheet) -> bool:
    """Whether all of the picture is seen once, px by px: the browser copies it then like a layer."""
    tile, file = sheet.tile, sheet.rendition
    whole = (tile.width, tile.height) == (file.width, file.height) and tile.x % 1 == 0 and tile.y % 1 == 0
    return whole and span(sheet) == tile


def over(below: Bytes, sheet: ImageSheet, part: Region, pictures: Sampler) -> Bytes:
    """The picture over whole levels."""
    if sheet.filter != PLAIN:
        key = (sheet.rendition, sheet.tile, sheet.period, sheet.filter, part)
        layer = pictures.kept("filtered", key, lambda: _layer(source(sheet, part, pictures)), part[2] * part[3])
        return _over_layer(below, layer[..., :3], layer[..., 3:].astype(np.uint32), sheet.opacity)
    if _has_gaps(sheet):
        tiles = pictures.spaced(sheet, part).astype(np.float32) * np.float32(sheet.opacity)
        mixed = below * (1 - tiles[..., 3:] / np.float32(255)) + tiles[..., :3]
        return np.asarray(np.rint(mixed), dtype=np.uint8)
    sampled = pictures.sampled(sheet, part)
    if sampled.shape[2] == 4:
        return _over_translucent(below, sampled, sheet.opacity)
    if sheet.opacity < 1 and _as_it_is(sheet):
        return _over_layer(below, sampled, np.uint32(255), sheet.opacity)
    return laid(below, sampled, sheet.opacity)


def solid(sheet: ImageSheet, part: Region, pictures: Sampler) -> Bytes | None:
    """Its pixels where it fills a part and nothing shows through it; otherwise None."""
    if sheet.filter != PLAIN or _has_gaps(sheet) or span(sheet).cut(Box(*part)) != Box(*part):
        return None
    sampled = pictures.sampled(sheet, part)
    return sampled if sampled.shape[2] == 3 else None


def whole_tiles(sheet: ImageSheet, room: Box, part: Region, pictures: Sampler) -> Bytes | None:
    """Its pixels in a part that may reach past its own box, as if its tiles went on there; None where it does not fill
    a room by itself, or something shows through it."""
    free = replace(sheet, box=room)
    if sheet.filter != PLAIN or sheet.opacity < 1 or _has_gaps(sheet) or span(free).cut(room) != room:
        return None
    sampled = pictures.sampled(free, part)
    return sampled if sampled.shape[2] == 3 else None


def opaque(sheet: ImageSheet, transparent: Callable[[str], bool]) -> bool:
    """Whether it hides what lies below; `transparent` tells of a picture (by its hash) whether it has transparency."""
    return (
        sheet.opacity >= 0.999
        and not _has_gaps(sheet)
        and not sheet.filter.blur
        and not transparent(sheet.rendition.hash)
    )
