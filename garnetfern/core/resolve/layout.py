"""The boxes of a page at one viewport: bands stack, columns share a width, blocks stack with gaps."""

from collections.abc import Hashable
from dataclasses import dataclass, replace
from typing import Any

from ..colour.notation import parse_colour
from ..document import Band, Block, Column, Page, Site, page_on, screen_for
from .blocks import BlockPlace, WordRoom, height_of, natural_width, set_words, shown_wording
from .book import FontBook
from .box import Box
from .lengths import Scale, Viewport, layout_unit, line_height, single
from .lettering import clear_of, doubts_of, plate_spaces, setting_of, shadow_of, stroke_of
from .picture import picture_size
from .records import BandRecord, BlockRecord, ColumnRecord, PageRecord
from .voices import voices_of

STACK_BELOW = 600
"""Columns that nothing else is said of stand one under the other on viewports narrower than this, CSS px."""

WHITE = parse_colour("#ffffff")
Pictures = list[tuple[str, Box]]


def is_stacked(band: Band, viewport: Viewport) -> bool:
    """Whether a band's columns stand one under the other."""
    return band.layout == "stack" or (band.layout == "auto" and viewport.width < STACK_BELOW)


def _tracks(shares: list[float], room: float) -> list[float]:
    """The widths of columns that share a room: whole layout units, what is left of one handed on to the next
    (CSS Grid Layout 1, section 11.7). How it is rounded, and that a share is of single precision, is the browser's."""
    share, left = single(room * 64 / max(1.0, sum(shares))), 0.0
    found: list[float] = []
    for wanted in (share * part for part in shares):
        units = int(wanted + left)
        left = max(0.0, wanted + left - units)
        found.append(max(0, units) / 64)
    return found


class _Setter:
    """Sets the blocks of one band."""

    def __init__(self, site: Site, band: Band, viewport: Viewport, fonts: FontBook, plain: bool) -> None:
        self.site, self.band, self.viewport, self.fonts, self.plain = site, band, viewport, fonts, plain
        self.pictures: Pictures = []

    def _words(self, block: Block, room: float, x: float, y: float) -> BlockRecord:
        set_ = setting_of(block, self.fonts, self.viewport, self.plain)
        voices = voices_of(block, self.fonts, self.viewport, self.plain)
        size, family, lettering = set_.size, set_.family, block.lettering
        align = lettering.align or self.band.content.align
        beside, above, _, _ = plate_spaces(block, self.viewport, size, room)
        width, left = self._width(block, room, x, size, align)
        if block.plate is not None and block.plate.fit:
            fitting = min(width, natural_width(block, set_, voices) + 2 * beside)
            left += {"start": 0.0, "center": (width - fitting) / 2, "end": width - fitting}[align]
            width = fitting
        inner = max(0.0, width - 2 * beside)
        place = WordRoom(line_height(size, lettering.line), inner, align, left + beside, y + above, voices)
        words = set_words(block, set_, place)
        box = Box(left, y, width, words.height + 2 * above)
        stroke, shadow = stroke_of(lettering, size, self.viewport), shadow_of(lettering, size, self.viewport)
        fill = parse_colour(lettering.colour)
        wording = shown_wording(block)
        doubts = doubts_of(wording, words.missing, family.name, lettering.capitals, self.site.language)
        return BlockRecord(
            block.id, box, words.lines, family.name, set_.weight, size, fill, wording, doubts, True, stroke, shadow
        )

    def _width(self, block: Block, room: float, x: float, size: float, align: str) -> tuple[float, float]:
        _, _, space, _ = plate_spaces(block, self.viewport, size, room)
        space += clear_of(block, self.viewport)
        free = max(0.0, room - 2 * space)
        width = free
        if block.width is not None:
            width = min(free, layout_unit(Scale(self.viewport, size, room).px(block.width)))
        return width, x + space + {"start": 0.0, "center": (free - width) / 2, "end": free - width}[align]

    def _space(self, block: Block, room: float, x: float, y: float) -> BlockRecord:
        """A block without letters: a picture or space."""
        scale = Scale(self.viewport)
        width, left = self._width(block, room, x, scale.em, self.band.content.align)
        height = height_of(block, width, BlockPlace(self.site, self.viewport))
        box = Box(left, y, width, layout_unit(height))
        if block.assets():
            self.pictures.append((block.id, box))
        return BlockRecord(block.id, box, (), block.lettering.font, 400, scale.em, WHITE, "", (), False)

    def column(self, column: Column, room: float, x: float, y: float) -> tuple[ColumnRecord, list[BlockRecord]]:
        """A column with its blocks, as high as they are."""
        padding = Scale(self.viewport, base=room)
        inline, inner = layout_unit(padding.px(column.padding.inline)), layout_unit(padding.px(column.padding.block))
        gap = layout_unit(Scale(self.viewport).px(column.gap))
        records: list[BlockRecord] = []
        top = y + inner
        free = max(0.0, room - 2 * inline)
        for n, block in enumerate(b for b in column.blocks if b.visible and not b.heard):
            if n:
                top += gap
            make = self._words if block.lettered else self._space
            size = Scale(self.viewport).px(block.lettering.size)
            outer = plate_spaces(block, self.viewport, size, free)[3] + clear_of(block, self.viewport)
            record = make(block, free, x + inline, top + outer)
            records.append(record)
            top += record.box.height + 2 * outer
        box = Box(x, y, room, top + inner - y)
        return ColumnRecord(column.id, box, tuple(r.id for r in records)), records

    def columns(self, left: float, width: float) -> tuple[list[ColumnRecord], list[BlockRecord], float]:
        """Columns and blocks laid out from the top 0, and the height they take."""
        band = self.band
        gap = layout_unit(Scale(self.viewport, base=width).px(band.content.gap))
        stacked = is_stacked(band, self.viewport)
        standing = band.in_order()
        tracks = _tracks([column.share for column in standing], width - gap * (len(standing) - 1))
        found: list[tuple[ColumnRecord, list[BlockRecord]]] = []
        x, y, height = left, 0.0, 0.0
        for n, column in enumerate(standing):
            room = width if stacked else tracks[n]
            if stacked and n:
                y = height + gap
            record, blocks = self.column(column, room, x, y)
            least = max(record.box.height, layout_unit(Scale(self.viewport).px(column.height)))
            if stacked:
                record, blocks = self._levelled(column, record, blocks, least)
            found.append((record, blocks))
            height = max(height, y + least)
            if not stacked:
                x += room + gap
        if not stacked:
            found = [self._levelled(c, *there, height) for c, there in zip(standing, found, strict=True)]
        # columns are painted as they stand, words are told as they are read
        read = {record.id: blocks for record, blocks in found}
        return [r for r, _ in found], [b for column in band.columns for b in read[column.id]], height

    def _levelled(
        self, column: Column, record: ColumnRecord, blocks: list[BlockRecord], height: float
    ) -> tuple[ColumnRecord, list[BlockRecord]]:
        """A column stretched to a height, its row's or its own, its blocks at the top, in the middle or at the foot."""
        free = height - record.box.height
        stand = column.stand or self.band.content.level
        down = layout_unit({"start": 0.0, "center": free / 2, "end": free}[stand])
        moved = [moved_block(b, down) for b in blocks]
        ids = set(record.blocks)
        self.pictures = [(i, replace(b, y=b.y + down) if i in ids else b) for i, b in self.pictures]
        return replace(record, box=replace(record.box, height=height)), moved


def moved_block(block: BlockRecord, down: float) -> BlockRecord:
    """The block further down the page."""
    lines = tuple(replace(ln, top=ln.top + down, baseline=ln.baseline + down) for ln in block.lines)
    return replace(block, box=replace(block.box, y=block.box.y + down), lines=lines)


def least_height(band: Band, viewport: Viewport, width: float) -> float:
    """The height a band has at least, px."""
    least = layout_unit(Scale(viewport).px(band.height.min))
    if band.height.proportion is not None:
        least = max(least, layout_unit(width / band.height.proportion))
    return least


def lay_out_band(
    site: Site, band: Band, start: float, left: float, width: float, viewport: Viewport, fonts: FontBook, plain: bool
) -> BandRecord:
    """A band's boxes, columns and blocks from `start` on. It must be free of exceptions (`page_on`)."""
    space = layout_unit(Scale(viewport).px(band.space))
    top = start + space
    scale = Scale(viewport, base=width)
    inline, block = layout_unit(scale.px(band.padding.inline)), layout_unit(scale.px(band.padding.block))
    room = max(0.0, width - 2 * inline)
    inner = min(room, layout_unit(Scale(viewport, base=room).px(band.content.width)))
    x = left + inline + layout_unit((room - inner) / 2)
    setter = _Setter(site, band, viewport, fonts, plain)
    columns, blocks, content = setter.columns(x, inner)
    height = max(least_height(band, viewport, width), content + 2 * block)
    free = height - 2 * block - content
    down = top + block + layout_unit({"start": 0.0, "center": free / 2, "end": free}[band.content.stand])
    return BandRecord(
        band.id,
        Box(left, top, width, height),
        Box(left, start, width, height + 2 * space),
        tuple(replace(c, box=replace(c.box, y=c.box.y + down)) for c in columns),
        tuple(moved_block(b, down) for b in blocks),
        Box(x, down, inner, content),
        tuple((name, replace(box, y=box.y + down)) for name, box in setter.pictures),
    )


def page_width(page: Page, viewport: Viewport) -> float:
    """How wide the bands of a page are, px."""
    if page.width is None:
        return viewport.width
    return min(viewport.width, layout_unit(Scale(viewport, base=viewport.width).px(page.width)))


_PLATES: Any = {"__all__": {"plate": {"backdrop"}}}
_UNPAINTED: Any = {
    "backdrop": True,
    "joins": True,
    "bands": {
        "__all__": {
            "backdrop": True,
            "columns": {"__all__": {"backdrop": True, "blocks": {"__all__": {"plate": {"backdrop"}}}}},
        }
    },
}
"""What of a page does not move its boxes: changes of it are what people make most, while they look."""


@dataclass(frozen=True, eq=False)
class Shown:
    """A page as it is on a screen, without exceptions. `key`: everything about it that moves its boxes."""

    page: Page
    key: tuple[Hashable, ...]


def shown_on(site: Site, page: Page, screen: str) -> Shown:
    """A page on one of the site's screens."""
    shown = page_on(page, screen)
    pictures = tuple(picture_size(site, b) for b in shown.blocks() if b.assets())
    return Shown(shown, (shown.model_dump_json(exclude=_UNPAINTED), site.language, pictures))


def _laid_out(site: Site, shown: Page, viewport: Viewport, fonts: FontBook, plain: bool) -> tuple[BandRecord, ...]:
    width = page_width(shown, viewport)
    left = layout_unit((viewport.width - width) / 2)
    bands: list[BandRecord] = []
    top = 0.0
    for band in shown.bands:
        if band.visible:
            bands.append(lay_out_band(site, band, top, left, width, viewport, fonts, plain))
            top = bands[-1].outer.bottom
    return tuple(bands)


def lay_out(site: Site, shown: Shown, viewport: Viewport, fonts: FontBook, plain: bool = False) -> PageRecord:
    """The boxes of a page on the screen that stands for this viewport, without any backdrop; kept by all that moves
    them."""
    book = fonts.of(site)
    key = (shown.key, viewport, plain)
    bands = book.laid.get("bands", key, lambda: _laid_out(site, shown.page, viewport, book, plain))
    height = max(bands[-1].outer.bottom if bands else 0.0, viewport.height)
    base = parse_colour(shown.page.backdrop.base) if shown.page.backdrop.base else WHITE
    return PageRecord(shown.page.id, viewport.width, height, base, bands)


def lay_out_page(
    site: Site, page: Page, viewport: Viewport, fonts: FontBook, plain: bool = False
) -> tuple[Page, PageRecord]:
    """The page as it is on the screen that stands for this viewport, and its boxes, without any backdrop. `plain`: the
    files of fonts have not come."""
    shown = shown_on(site, page, screen_for(site.screens, viewport.width).id)
    return shown.page, lay_out(site, shown, viewport, fonts, plain)
