"""Where the small control stands that stops what moves on a page (WCAG 2.2, 2.2.2)."""

from dataclasses import dataclass
from typing import Literal

from ..document import Area, Join, LayerBase, Page, Site, ever_visible
from .box import Box
from .lengths import Viewport
from .moment import Moment
from .page import Windows
from .records import BandRecord

SIDE = 28
"""Its width and height, CSS px: more than the 24 that are asked for (WCAG 2.2, 2.5.8)."""
INSET = 12
BETWEEN = 4
AROUND = 4
"""So far from words at least."""

Corner = tuple[Literal["start", "end"], Literal["start", "end"]]
"""The sides it stands at: of the block axis (start is the top), and of the inline axis."""
CORNERS: tuple[Corner, ...] = (("end", "end"), ("end", "start"), ("start", "end"), ("start", "start"))


@dataclass(frozen=True)
class Control:
    """The band it stands in, its corner, the screens on which it lies over words even so, and how wide it is, px."""

    band: str
    corner: Corner
    over: tuple[str, ...] = ()
    wide: int = SIDE


def moves(area: Area) -> bool:
    """Whether something behind an area's words moves by itself."""
    return any(layer.period() is not None and ever_visible(layer) for layer in area.backdrop.layers)


def _first_band(page: Page) -> str | None:
    """The first band that is to be seen in or over which something moves."""
    bands = [band for band in page.bands if ever_visible(band)]
    order = [band.id for band in page.bands]

    def behind(join: Join, band_id: str) -> bool:
        return order.index(join.first) <= order.index(band_id) <= order.index(join.last)

    for band in bands:
        blocks = (block for column in band.columns for block in column.blocks if block.plate is not None)
        areas: list[Area] = [page, *(j for j in page.joins if behind(j, band.id)), band, *band.columns, *blocks]
        if any(moves(area) for area in areas):
            return band.id
    return None


def corner_box(box: Box, corner: Corner, wide: int = SIDE) -> Box:
    """The control's box in a band's box, px."""
    top = box.y + INSET if corner[0] == "start" else box.bottom - INSET - SIDE
    left = box.x + INSET if corner[1] == "start" else box.right - INSET - wide
    return Box(left, top, wide, SIDE)


def pickable(page: Page) -> list[LayerBase]:
    """The layers of which visitors may choose what is shown."""
    return [layer for area in page.areas() for layer in area.backdrop.layers if layer.picks()]


def _wide(page: Page) -> int:
    """How wide the control is with all that can be chosen: each has a place, and running on has one, px."""
    places = sum(len(layer.picks()) + 1 for layer in pickable(page))
    return SIDE + places * (SIDE + BETWEEN)


def _over_words(band: BandRecord, corner: Corner, wide: int) -> bool:
    place = corner_box(band.box, corner, wide).grown(AROUND)
    lines = (line for block in band.blocks for line in block.lines)
    return any(place.cut(Box(line.x, line.top, line.width, line.height)) is not None for line in lines)


def control_of(site: Site, page: Page, windows: Windows) -> Control | None:
    """The control of a page: in the first corner that no words stand in on any screen; None where nothing moves."""
    name = _first_band(page)
    if name is None:
        return None
    laid = {
        screen.id: windows.laid_at(Moment(Viewport(screen.width, screen.height)))[1].band(name)
        for screen in site.screens
    }
    found, wide = [], _wide(page)
    for corner in CORNERS:
        over = tuple(s for s, band in laid.items() if band is not None and _over_words(band, corner, wide))
        found.append(Control(name, corner, over, wide))
    return min(found, key=lambda control: len(control.over))
