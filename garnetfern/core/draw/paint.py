"""Painting a stack of sheets into a region of the page (Compositing and Blending 1, section 5: source-over)."""

import math
from collections.abc import Callable, Iterable

import numpy as np

from ..colour.spaces import Pixels
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


def _over_colour(below: Pixels, rgb: tuple[int, int, int], alpha: float) -> Pixels:
    """A colour over pixels in eight bits, rounded at each step as the browser's raster rounds."""
    cover = round(alpha * 255)
    rest = 255 - cover
    rest += rest >> 7
    source = np.floor(np.array(rgb, dtype=np.float32) * np.float32(cover / 255) + np.float32(0.5))
    return source + np.floor(below * np.float32(rest / 256))


def _over_image(below: Pixels, pixels: Pixels, opacity: float) -> Pixels:
    """Opaque pixels at an opacity over others in eight bits, rounded as the browser's raster rounds."""
    cover = round(opacity * 255)
    return np.floor(pixels * np.float32((cover + 1) / 256)) + np.floor(below * np.float32((256 - cover) / 256))


def _paint_colour(canvas: Pixels, sheet: ColourSheet, region: Region) -> None:
    found = _inner(sheet.box, region)
    if found is None:
        return
    rows, columns, _ = found
    alpha = sheet.colour.alpha * sheet.opacity
    if alpha >= 1:
        canvas[rows, columns] = np.array(sheet.colour.rgb, dtype=np.float32)
    elif alpha > 0:
        canvas[rows, columns] = _over_colour(canvas[rows, columns], sheet.colour.rgb, alpha)


def _paint_image(canvas: Pixels, sheet: ImageSheet, region: Region, pictures: Sampler) -> None:
    tile = Box(*whole(sheet.tile)).cut(sheet.box)
    found = _inner(tile, region) if tile else None
    if found is None:
        return
    rows, columns, part = found
    pixels = pictures.sampled(sheet, part)
    if pixels.shape[2] == 4:
        alpha = pixels[:, :, 3:] * np.float32(sheet.opacity / 255)
        canvas[rows, columns] += np.rint((pixels[:, :, :3] - canvas[rows, columns]) * alpha)
    elif sheet.opacity >= 1:
        canvas[rows, columns] = pixels
    elif sheet.opacity > 0:
        canvas[rows, columns] = _over_image(canvas[rows, columns], pixels.astype(np.float32), sheet.opacity)


def paint(canvas: Pixels, sheets: Iterable[Sheet], region: Region, pictures: Sampler) -> None:
    """Lay sheets over the canvas of a region, in place, bottom first."""
    for sheet in sheets:
        if isinstance(sheet, ImageSheet):
            _paint_image(canvas, sheet, region, pictures)
        else:
            _paint_colour(canvas, sheet, region)


def blank(page: PageRecord, region: Region) -> Pixels:
    """A canvas of the page's base colour over white."""
    canvas = np.empty((region[3], region[2], 3), dtype=np.float32)
    base, alpha = np.array(page.base.rgb, dtype=np.float32), np.float32(page.base.alpha)
    canvas[:] = np.rint(255 + (base - 255) * alpha)
    return canvas


def paint_backdrops(
    page: PageRecord,
    region: Region,
    pictures: Sampler,
    keep: Callable[[BandRecord], Iterable[Sheet]] = lambda band: band.sheets,
) -> Pixels:
    """Everything behind the words in a region. `keep` chooses the sheets of a band that are painted."""
    canvas = blank(page, region)
    for band in page.bands:
        if band.box.cut(Box(*region)):
            paint(canvas, keep(band), region, pictures)
    return canvas
