"""Painting the backdrops of a page into a region of it (Compositing and Blending 1)."""

import math
from collections.abc import Callable, Iterable, Sequence

import numpy as np

from ..colour.spaces import Bytes, Pixels
from ..resolve.box import Box
from ..resolve.records import AreaRecord, PageRecord
from ..resolve.sheets import Sheet
from .blend import composite, over_opaque
from .coverage import is_opaque
from .levels import row
from .plate import framed
from .sample import Region, Sampler
from .sheets import laid_over, source_of, span_of


def whole(box: Box) -> Region:
    """The region of all pixels a box touches."""
    left, top = math.floor(box.x), math.floor(box.y)
    return left, top, math.ceil(box.right) - left, math.ceil(box.bottom) - top


def inner(box: Box, region: Region) -> tuple[slice, slice, Region] | None:
    """Where `box` meets `region`: rows and columns of the region's array, and the same part as a region."""
    common = box.cut(Box(*region))
    if common is None:
        return None
    left, top, width, height = (int(v) for v in (common.x, common.y, common.width, common.height))
    rows = slice(top - region[1], top - region[1] + height)
    columns = slice(left - region[0], left - region[0] + width)
    return rows, columns, (left, top, width, height)


def paint(canvas: Bytes, sheets: Iterable[Sheet], region: Region, pictures: Sampler) -> None:
    """Lay sheets over the canvas of a region, in place, bottom first. What lies below is opaque, so any blend mode
    mixes with the canvas."""
    for sheet in sheets:
        found = inner(span_of(sheet), region)
        if found is None or sheet.opacity <= 0:
            continue
        rows, columns, part = found
        below = canvas[rows, columns]
        if sheet.blend == "normal":
            canvas[rows, columns] = laid_over(below, sheet, part, pictures)
            continue
        under = below.astype(np.float32) * np.float32(1 / 255)
        mixed = over_opaque(under, source_of(sheet, part, pictures), sheet.blend)
        canvas[rows, columns] = (mixed * np.float32(255) + np.float32(0.5)).astype(np.uint8)


def group(sheets: Iterable[Sheet], region: Region, pictures: Sampler) -> Pixels:
    """Sheets over nothing: premultiplied RGBA of a region, 0..1 (an isolated group)."""
    found = np.zeros((region[3], region[2], 4), dtype=np.float32)
    for sheet in sheets:
        place = inner(span_of(sheet), region)
        if place is not None and sheet.opacity > 0:
            rows, columns, part = place
            source = source_of(sheet, part, pictures)
            found[rows, columns] = composite(found[rows, columns], source, sheet.blend)
    return found


def needs_group(area: AreaRecord, sheets: Sequence[Sheet]) -> bool:
    """Whether an area's sheets must be put together before they are laid down: where one blends over a base that is
    not opaque, it would otherwise blend with what lies below the area."""
    if area.kind == "page" or all(sheet.blend == "normal" for sheet in sheets):
        return False
    base = sheets[0]
    return not (base.id == "base" and is_opaque(base, lambda _: True))


def _lay(canvas: Bytes, source: Pixels) -> None:
    levels = canvas * (1 - source[..., 3:]) + source[..., :3] * np.float32(255)
    canvas[:] = np.floor(levels + np.float32(0.5)).astype(np.uint8)


def paint_area(canvas: Bytes, area: AreaRecord, sheets: Sequence[Sheet], region: Region, pictures: Sampler) -> None:
    """Lay an area's sheets over the canvas of a region, in place: its own stack first where it is a group."""
    if area.plate is not None:
        found = inner(Box(*whole(area.box.grown(area.plate.reach + 1))), region)
        if found is not None:
            rows, columns, part = found
            base = group(sheets[:1], part, pictures) if sheets and sheets[0].id == "base" else None
            stack = base if base is not None and len(sheets) == 1 else group(sheets, part, pictures)
            plate = framed(area.plate, area.box.snapped(), base, stack, part, pictures.kept)
            _lay(canvas[rows, columns], plate * np.float32(area.opacity))
    elif needs_group(area, sheets):
        _lay(canvas, group(sheets, region, pictures))
    else:
        paint(canvas, sheets, region, pictures)


def blank(page: PageRecord, region: Region) -> Bytes:
    """A canvas of the page's base colour over white."""
    canvas = np.empty((region[3], region[2], 3), dtype=np.uint8)
    levels = np.rint(255 + (np.array(page.base.rgb) - 255) * page.base.alpha)
    canvas[:] = row(levels, region[2])
    return canvas


def paint_backdrops(
    page: PageRecord,
    region: Region,
    pictures: Sampler,
    keep: Callable[[AreaRecord], Sequence[Sheet]] = lambda area: area.sheets,
) -> Bytes:
    """Everything behind the words in a region. `keep` chooses the sheets of an area that are painted."""
    canvas = blank(page, region)
    for area in page.areas:
        if area.touches(Box(*region)):
            paint_area(canvas, area, keep(area), region, pictures)
    return canvas
