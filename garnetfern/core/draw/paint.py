"""Painting a stack of sheets into a region of the page (Compositing and Blending 1, section 5: source-over)."""

import math
from collections.abc import Callable, Iterable

import cv2
import numpy as np
from numpy.typing import ArrayLike

from ..colour.spaces import Bytes
from ..resolve.records import BandRecord, Box, ColourSheet, ImageSheet, PageRecord, Sheet
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


def _paint_image(canvas: Bytes, sheet: ImageSheet, region: Region, pictures: Sampler) -> None:
    tile = Box(*whole(sheet.tile)).cut(sheet.box)
    found = _inner(tile, region) if tile else None
    if found is None:
        return
    rows, columns, part = found
    pixels = pictures.sampled(sheet, part)
    if pixels.shape[2] == 4:
        canvas[rows, columns] = _over_translucent(canvas[rows, columns], pixels, sheet.opacity)
    elif sheet.opacity >= 1:
        canvas[rows, columns] = pixels
    elif sheet.opacity > 0:
        canvas[rows, columns] = _over_image(canvas[rows, columns], pixels, sheet.opacity)


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
    keep: Callable[[BandRecord], Iterable[Sheet]] = lambda band: band.sheets,
) -> Bytes:
    """Everything behind the words in a region. `keep` chooses the sheets of a band that are painted."""
    canvas = blank(page, region)
    for band in page.bands:
        if band.box.cut(Box(*region)):
            paint(canvas, keep(band), region, pictures)
    return canvas
