"""Painting a stack of sheets into a region of the page (Compositing and Blending 1, section 5: source-over)."""

import math
from collections.abc import Callable, Iterable

import cv2
import numpy as np
from numpy.typing import ArrayLike, NDArray

from ..colour.spaces import Bytes
from ..resolve.records import AreaRecord, Box, ColourSheet, ImageSheet, PageRecord, Sheet
from .sample import Region, Sampler


def whole(box: Box) -> Region:
    """The region of all pixels a box touches."""
    left, top = math.floor(box.x), math.floor(box.y)
    return left, top, math.ceil(box.right) - left, math.ceil(box.bottom) - top


def _inner(box: Box, region: Region) -> tuple[slice, slice, Region] | None:
    """Where `box` meets `region`: rows and columns of the region's array, and the same part as a region."""
    common = box.cut(Box(*region))
    if common is None:
        return None
    left, top, width, height = (int(v) for v in (common.x, common.y, common.width, common.height))
    rows = slice(top - region[1], top - region[1] + height)
    columns = slice(left - region[0], left - region[0] + width)
    return rows, columns, (left, top, width, height)


LEVELS = np.arange(256)


def _row(rgb: ArrayLike, width: int) -> Bytes:
    """A row of one colour; rows are copied into a canvas far faster than single colours."""
    return np.tile(np.asarray(rgb, dtype=np.uint8), (width, 1))


def _over_colour(below: Bytes, rgb: tuple[int, int, int], alpha: float) -> Bytes:
    """A colour over pixels in eight bits, rounded at each step as the browser's raster rounds."""
    cover = int(alpha * 255 + 0.5)
    rest = 256 - cover
    source = np.floor(np.array(rgb) * (cover / 255) + 0.5).astype(np.int64)
    table = (source[None, :] + (LEVELS[:, None] * rest >> 8)).astype(np.uint8)
    return np.asarray(cv2.LUT(np.ascontiguousarray(below), table[None]), dtype=np.uint8)


def _over_image(below: Bytes, pixels: Bytes, opacity: float) -> Bytes:
    """Opaque pixels at an opacity over others in eight bits, rounded as the browser's raster rounds."""
    cover = int(opacity * 255 + 0.5)
    above = (LEVELS * (cover + 1) >> 8).astype(np.uint8)
    rest = (LEVELS * (256 - cover) >> 8).astype(np.uint8)
    return above[pixels] + rest[below]


def _over_translucent(below: Bytes, pixels: Bytes, opacity: float) -> Bytes:
    """Bytes with an alpha of their own over others."""
    alpha = pixels[:, :, 3:] * np.float32(opacity / 255)
    under = below.astype(np.float32)
    return np.rint(under + (pixels[:, :, :3] - under) * alpha).astype(np.uint8)


def _paint_colour(canvas: Bytes, sheet: ColourSheet, region: Region) -> None:
    found = _inner(sheet.box, region)
    if found is None:
        return
    rows, columns, _ = found
    alpha = sheet.colour.alpha * sheet.opacity
    if alpha >= 1:
        canvas[rows, columns] = _row(sheet.colour.rgb, columns.stop - columns.start)
    elif alpha > 0:
        canvas[rows, columns] = _over_colour(canvas[rows, columns], sheet.colour.rgb, alpha)


def _span(sheet: ImageSheet, axis: int) -> tuple[float, float]:
    """First and last px along an axis that a sheet may paint."""
    box, tile = sheet.box, sheet.tile
    first, last = (box.y, box.bottom) if axis else (box.x, box.right)
    if sheet.period[axis] is not None:
        return first, last
    start, end = (tile.y, tile.bottom) if axis else (tile.x, tile.right)
    return max(first, math.floor(start)), min(last, math.ceil(end))


def _gaps(sheet: ImageSheet, axis: int, first: int, length: int) -> NDArray[np.bool_] | None:
    """Which pixels along an axis lie on a tile, where tiles have space between them; None where all do."""
    period = sheet.period[axis]
    start, size = (sheet.tile.y, sheet.tile.height) if axis else (sheet.tile.x, sheet.tile.width)
    if period is None or period <= size:
        return None
    return np.asarray(np.mod(np.arange(first, first + length) + 0.5 - start, period) < size)


def _paint_image(canvas: Bytes, sheet: ImageSheet, region: Region, pictures: Sampler) -> None:
    (left, right), (top, foot) = _span(sheet, 0), _span(sheet, 1)
    found = _inner(Box(left, top, right - left, foot - top), region) if right > left and foot > top else None
    if found is None or sheet.opacity <= 0 or sheet.tile.width <= 0 or sheet.tile.height <= 0:
        return
    rows, columns, part = found
    below = canvas[rows, columns]
    pixels = pictures.sampled(sheet, part)
    if pixels.shape[2] == 4:
        above = _over_translucent(below, pixels, sheet.opacity)
    else:
        above = pixels if sheet.opacity >= 1 else _over_image(below, pixels, sheet.opacity)
    across, down = _gaps(sheet, 0, part[0], part[2]), _gaps(sheet, 1, part[1], part[3])
    if across is not None:
        above = np.where(across[None, :, None], above, below)
    if down is not None:
        above = np.where(down[:, None, None], above, below)
    canvas[rows, columns] = above


def paint(canvas: Bytes, sheets: Iterable[Sheet], region: Region, pictures: Sampler) -> None:
    """Lay sheets over the canvas of a region, in place, bottom first."""
    for sheet in sheets:
        if isinstance(sheet, ImageSheet):
            _paint_image(canvas, sheet, region, pictures)
        else:
            _paint_colour(canvas, sheet, region)


def blank(page: PageRecord, region: Region) -> Bytes:
    """A canvas of the page's base colour over white."""
    canvas = np.empty((region[3], region[2], 3), dtype=np.uint8)
    levels = np.rint(255 + (np.array(page.base.rgb) - 255) * page.base.alpha)
    canvas[:] = _row(levels, region[2])
    return canvas


def paint_backdrops(
    page: PageRecord,
    region: Region,
    pictures: Sampler,
    keep: Callable[[AreaRecord], Iterable[Sheet]] = lambda area: area.sheets,
) -> Bytes:
    """Everything behind the words in a region. `keep` chooses the sheets of an area that are painted."""
    canvas = blank(page, region)
    for area in page.areas:
        if area.box.cut(Box(*region)):
            paint(canvas, keep(area), region, pictures)
    return canvas
