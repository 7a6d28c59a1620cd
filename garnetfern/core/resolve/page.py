"""A page at one viewport: bands stack, columns share a width, blocks stack with gaps."""

from dataclasses import replace

from ..colour.notation import parse_colour
from ..document import Backdrop, Band, Block, Column, ImageLayer, Page, Site
from .fonts import FontBook
from .image import choose_rendition, image_sheet, shown_width
from .lengths import Scale, Viewport, layout_unit
from .lines import set_lines
from .records import BandRecord, BlockRecord, Box, ColourSheet, PageRecord, Sheet
from .serving import ServingRange, serving_range
from .shape import Setting

STACK_BELOW = 600
"""Columns stand one under the other on viewports narrower than this, CSS px."""

WHITE = parse_colour("#ffffff")


def _block(block: Block, room: float, band: Band, x: float, y: float, scale: Scale, fonts: FontBook) -> BlockRecord:
    lettering = block.lettering
    size = scale.px(lettering.size)
    family = fonts.family(lettering.font)
    setting = Setting(family, family.weight(lettering.weight), size)
    align = lettering.align or band.content.align
    width = room
    if block.width is not None:
        width = min(room, layout_unit(Scale(scale.viewport, size, room).px(block.width)))
    left = x + {"start": 0.0, "center": (room - width) / 2, "end": room - width}[align]
    lines, missing = set_lines(block.wording, setting, size * lettering.line, width, align, left, y)
    doubts = [f"There is no glyph in {family.name} for {' '.join(sorted(set(missing)))}"] if missing else []
    if "\u00ad" in block.wording:
        doubts.append("It has soft hyphens, whose breaks are not computed")
    height = sum(line.height for line in lines)
    return BlockRecord(
        block.id,
        Box(left, y, width, height),
        lines,
        family.name,
        setting.weight,
        size,
        parse_colour(lettering.colour),
        block.wording,
        tuple(doubts),
    )


def _column(
    column: Column, room: float, band: Band, x: float, y: float, scale: Scale, fonts: FontBook
) -> tuple[Box, list[BlockRecord]]:
    gap = layout_unit(Scale(scale.viewport, base=0).px(column.gap))
    records: list[BlockRecord] = []
    top = y
    for n, block in enumerate(column.blocks):
        if n:
            top += gap
        record = _block(block, room, band, x, top, scale, fonts)
        records.append(record)
        top += record.box.height
    return Box(x, y, room, top - y), records


def _columns(
    band: Band, left: float, width: float, scale: Scale, fonts: FontBook
) -> tuple[list[Box], list[BlockRecord], float]:
    """Columns and blocks laid out from the top 0, and the height they take."""
    gap = layout_unit(Scale(scale.viewport, base=width).px(band.content.gap))
    stacked = scale.viewport.width < STACK_BELOW
    total = sum(column.share for column in band.columns)
    boxes: list[Box] = []
    blocks: list[BlockRecord] = []
    x, y, height = left, 0.0, 0.0
    for n, column in enumerate(band.columns):
        room = width if stacked else (width - gap * (len(band.columns) - 1)) * column.share / total
        if stacked and n:
            y = height + gap
        box, found = _column(column, room, band, x, y, scale, fonts)
        boxes.append(box)
        blocks += found
        height = max(height, box.bottom)
        if not stacked:
            x += room + gap
    return boxes, blocks, height


def _moved(block: BlockRecord, down: float) -> BlockRecord:
    lines = tuple(replace(ln, top=ln.top + down, baseline=ln.baseline + down) for ln in block.lines)
    return replace(block, box=replace(block.box, y=block.box.y + down), lines=lines)


def lay_out_band(band: Band, top: float, viewport: Viewport, fonts: FontBook) -> BandRecord:
    """A band's box, columns and blocks, without its backdrop."""
    scale = Scale(viewport, base=viewport.width)
    inline, block = layout_unit(scale.px(band.padding.inline)), layout_unit(scale.px(band.padding.block))
    room = max(0.0, viewport.width - 2 * inline)
    width = min(room, layout_unit(Scale(viewport, base=room).px(band.content.width)))
    left = inline + layout_unit((room - width) / 2)
    boxes, blocks, content = _columns(band, left, width, scale, fonts)
    least = layout_unit(Scale(viewport, base=0).px(band.height.min))
    height = max(least, content + 2 * block)
    free = height - 2 * block - content
    down = top + block + layout_unit({"start": 0.0, "center": free / 2, "end": free}[band.content.stand])
    return BandRecord(
        band.id,
        Box(0, top, viewport.width, height),
        (),
        tuple(replace(b, y=b.y + down) for b in boxes),
        tuple(_moved(b, down) for b in blocks),
    )


def image_needed(site: Site, band: Band, layer: ImageLayer, served: ServingRange, fonts: FontBook) -> float:
    """How wide a picture is drawn at the widest viewport of a serving range, CSS px."""
    record = lay_out_band(band, 0, Viewport(served.fit, served.height), fonts)
    return shown_width(layer, site.asset(layer.asset), record.box)


def _sheets(site: Site, band: Band, box: Box, viewport: Viewport, fonts: FontBook) -> tuple[Sheet, ...]:
    backdrop: Backdrop = band.backdrop
    sheets: list[Sheet] = []
    if backdrop.base:
        sheets.append(ColourSheet("base", box.snapped(), parse_colour(backdrop.base)))
    for layer in backdrop.layers:
        if not layer.visible:
            continue
        if isinstance(layer, ImageLayer):
            asset = site.asset(layer.asset)
            needed = image_needed(site, band, layer, serving_range(site.screens, viewport.width), fonts)
            sheets.append(image_sheet(layer, asset, box, choose_rendition(asset, needed)))
        else:
            sheets.append(ColourSheet(layer.id, box.snapped(), parse_colour(layer.colour), layer.opacity))
    return tuple(sheets)


def resolve_page(site: Site, page: Page, viewport: Viewport, fonts: FontBook) -> PageRecord:
    """The whole page at one viewport. Pure: the same arguments give the same record."""
    bands: list[BandRecord] = []
    top = 0.0
    for band in page.bands:
        record = lay_out_band(band, top, viewport, fonts)
        bands.append(replace(record, sheets=_sheets(site, band, record.box, viewport, fonts)))
        top += record.box.height
    base = parse_colour(page.backdrop.base) if page.backdrop.base else WHITE
    return PageRecord(page.id, viewport.width, max(top, viewport.height), base, tuple(bands))
