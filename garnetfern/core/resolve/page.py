"""A page at one viewport with everything that lies behind its words: areas in the order in which they are painted."""

from dataclasses import replace

from ..colour.notation import parse_colour
from ..document import Asset, Backdrop, Block, Column, ImageLayer, Join, Page, Site, screen_for
from .book import FontBook
from .box import Box
from .entrance import AT_REST, arrivals, arriving_band
from .image import Room, choose_rendition, layer_room, shown_width
from .layers import LayerPlace, resolve_layer
from .layout import Shown, lay_out, shown_on
from .lengths import Scale, Viewport
from .moment import Moment
from .painting import painting
from .picture import picture_crop
from .plate import resolve_plate
from .records import AreaRecord, BandRecord, PageRecord
from .serving import ServingRange, serving_range
from .sheets import ColourSheet, ImageSheet, Rendition, Sheet

ANY = Viewport(0, 0)
"""Stands for every viewport."""

LAYING = ("pointed", "enlarged", "plain", "spaced", "printed", "opened")
"""The members of a moment that the document answers to: what is said and laid out differs with them."""


def join_box(join: Join, page: Page, bands: dict[str, BandRecord]) -> Box | None:
    """From the top of a join's first visible band to the foot of its last, or None where none is visible."""
    order = [band.id for band in page.bands]
    inner = order[order.index(join.first) : order.index(join.last) + 1]
    found = [bands[name].outer for name in inner if name in bands]
    if not found:
        return None
    return Box(found[0].x, found[0].y, found[0].width, found[-1].bottom - found[0].y)


def _plates(column: Column, laid: BandRecord, viewport: Viewport) -> list[tuple[AreaRecord, Backdrop]]:
    """The plates of a column's blocks that are to be seen."""
    boxes = {b.id: b for b in laid.blocks}
    found = []
    for block in column.blocks:
        if block.plate is not None and block.id in boxes:
            scale = Scale(viewport, boxes[block.id].size)
            area = AreaRecord(
                block.id, "block", boxes[block.id].box, (), (block.id,), resolve_plate(block.plate, scale)
            )
            found.append((area, block.plate.backdrop))
    return found


def bare_areas(page: Page, record: PageRecord, viewport: Viewport) -> list[tuple[AreaRecord, Backdrop]]:
    """All areas of a laid out page in the order of painting, without their sheets, each with its backdrop.

    The page's own base is the canvas, so it is left out of its area's backdrop.
    """
    whole = Box(0, 0, record.width, record.height)
    everything = tuple(b.id for b in record.blocks())
    own = page.backdrop.model_copy(update={"base": None})
    found = [(AreaRecord(page.id, "page", whole, (), everything), own)]
    bands = {band.id: band for band in record.bands}
    order = [band.id for band in page.bands]
    for join in page.joins:
        box = join_box(join, page, bands)
        if box is not None:
            inner = order[order.index(join.first) : order.index(join.last) + 1]
            blocks = tuple(b.id for name in inner if name in bands for b in bands[name].blocks)
            found.append((AreaRecord(join.id, "join", box, (), blocks), join.backdrop))
    for band in page.bands:
        if band.id not in bands:
            continue
        laid = bands[band.id]
        found.append((AreaRecord(band.id, "band", laid.box, (), tuple(b.id for b in laid.blocks)), band.backdrop))
        for column, place in zip(band.in_order(), laid.columns, strict=True):
            found.append((AreaRecord(column.id, "column", place.box, (), place.blocks), column.backdrop))
            found += _plates(column, laid, viewport)
    return found


class Windows:
    """A page laid out: once for all moments that differ only in what lies behind the words, and once in each serving
    range, for how wide its pictures are drawn there."""

    def __init__(self, site: Site, page: Page, fonts: FontBook) -> None:
        self.site, self.page, self.fonts = site, page, fonts.of(site)
        self._laid: dict[int, tuple[Page, PageRecord, dict[str, Box]]] = {}
        self._shown: dict[tuple[Moment, str], Shown] = {}
        self._met: dict[Moment, tuple[Page, PageRecord]] = {}

    def laid_at(self, moment: Moment) -> tuple[Page, PageRecord]:
        """The page as it is at a moment, and its layout."""
        counted = moment.of(LAYING)
        if counted not in self._met:
            shown = self._shown_at(counted)
            record = lay_out(self.site, shown, moment.viewport, self.fonts, counted.plain)
            self._met[counted] = shown.page, record
        return self._met[counted]

    def _shown_at(self, moment: Moment) -> Shown:
        screen = screen_for(self.site.screens, moment.viewport.width).id
        key = moment.at(ANY), screen
        if key not in self._shown:
            self._shown[key] = shown_on(self.site, moment.page(self.page), screen)
        return self._shown[key]

    def laid_out(self, span: ServingRange) -> tuple[Page, PageRecord, dict[str, Box]]:
        """The page at the widest viewport that pictures of the range are made for, and its areas' boxes."""
        if span.least not in self._laid:
            viewport = Viewport(span.fit, span.height)
            shown = self._shown_at(Moment(viewport))
            record = lay_out(self.site, shown, viewport, self.fonts)
            boxes = {area.id: area.box for area, _ in bare_areas(shown.page, record, viewport)}
            self._laid[span.least] = (shown.page, record, boxes)
        return self._laid[span.least]

    def needed(self, area_id: str, layer: ImageLayer, span: ServingRange) -> tuple[ImageLayer, float] | None:
        """The layer as it is in a serving range and how wide it is drawn there, CSS px; None where it is hidden."""
        shown, _, boxes = self.laid_out(span)
        area = shown.area(area_id)
        if area is None or area_id not in boxes:
            return None
        pictures = (p for x in area.backdrop.layers for p in x.pictures())
        own = next((p for p in pictures if p.id == layer.id and p.visible), None)
        if own is None:
            return None
        room = layer_room(own, boxes[area_id], Viewport(span.fit, span.height))
        return own, shown_width(own, self.site.asset(own.asset), room)

    def picture_needed(self, block: Block, span: ServingRange) -> float:
        """How wide a picture block is drawn in a serving range, CSS px."""
        _, record, _ = self.laid_out(span)
        places = (box for band in record.bands for name, box in band.pictures if name == block.id)
        return next((box.width for box in places), 0.0)


def _picture_areas(page: Page, record: PageRecord, windows: Windows, span: ServingRange) -> list[AreaRecord]:
    site = windows.site
    blocks = {b.id: b for b in page.blocks() if b.assets()}
    found = []
    for name, box in (place for band in record.bands for place in band.pictures):
        block = blocks[name]
        asset = site.asset(block.asset or "")
        needed = windows.picture_needed(block, span)
        snapped = box.snapped()
        sheet = ImageSheet(name, snapped, snapped, choose_rendition(asset, picture_crop(site, block), needed))
        found.append(AreaRecord(name, "picture", box, (sheet,)))
    return found


def _sheets(
    area: AreaRecord, backdrop: Backdrop, windows: Windows, span: ServingRange, moment: Moment, scroll: float | None
) -> tuple[Sheet, ...]:
    box, viewport = area.box.snapped(), moment.viewport

    def picture(layer: ImageLayer) -> tuple[Asset, Room, Rendition]:
        asset = windows.site.asset(layer.asset)
        room = layer_room(layer, inner, viewport, scroll)
        needed = windows.needed(area.id, layer, span)
        wide = needed[1] if needed else shown_width(layer, asset, room)
        return asset, room, choose_rendition(asset, layer.crop, wide, layer.at)

    inner = area.box if area.plate is None else area.plate.inner(area.box)
    place = LayerPlace(inner.snapped(), viewport, picture, moment.time_of, moment.stands)
    base = [ColourSheet("base", box, parse_colour(backdrop.base))] if backdrop.base else []
    return (*base, *(resolve_layer(layer, place) for layer in backdrop.layers if layer.visible))


def _moves(backdrop: Backdrop) -> bool:
    return any("scroll" in layer.depends_on() for layer in backdrop.layers if layer.visible)


def resolve_page(site: Site, page: Page, moment: Moment, fonts: FontBook, windows: Windows | None = None) -> PageRecord:
    """The whole page at a moment. Pure: the same arguments give the same record.

    `windows`: what is known of the page's pictures in each serving range; files are made for the page as it is kept.
    """
    viewport = moment.viewport
    windows = windows or Windows(site, page, fonts)
    shown, record = windows.laid_at(moment)
    arriving = {} if moment.time is None or moment.less_motion else arrivals(shown, moment.time)
    if arriving:
        record = replace(record, bands=tuple(arriving_band(band, arriving) for band in record.bands))
    span = serving_range(site.screens, viewport.width)
    scroll = moment.scroll * max(0.0, record.height - viewport.height)
    moved = scroll if record.height > viewport.height and not moment.less_motion else None
    areas = [
        replace(
            area,
            sheets=_sheets(area, backdrop, windows, span, moment, moved),
            moves=_moves(backdrop),
            opacity=arriving.get(area.id, AT_REST).opacity,
        )
        for area, backdrop in bare_areas(shown, record, viewport)
    ]
    pictures = _picture_areas(shown, record, windows, span)
    sight = Box(0, scroll, viewport.width, viewport.height)
    unordered = replace(record, areas=(*areas, *pictures), sight=sight)
    whole = replace(unordered, areas=tuple(step.area for step in painting(unordered) if step.area is not None))
    return whole.without_pictures() if moment.missing else whole
