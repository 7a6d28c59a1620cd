"""The areas of a page on every screen: where they are, how much of each is to be seen, and why where it is nothing."""

from typing_extensions import TypedDict

from ...core.document import Area, Band, Block, Column, Join, Page, Screen, Site, page_on
from ...core.draw.coverage import Seen, seen
from ...core.resolve.book import FontBook
from ...core.resolve.box import Box
from ...core.resolve.lengths import Viewport
from ...core.resolve.moment import Moment
from ...core.resolve.page import resolve_page
from ...core.resolve.records import AreaRecord, PageRecord

Sides = tuple[float, float, float, float]
"""Left, top, width and height, px."""


class CureView(TypedDict):
    """A height that would make an area visible."""

    area: str
    height: str


class AreaView(TypedDict):
    """An area on a screen. `visible` and `base` are shares 0..1; `box` is None where it is not to be seen."""

    area: str
    name: str
    box: Sides | None
    visible: float
    base: float
    sentence: str
    cure: CureView | None
    outer: Sides | None
    content: Sides | None


class ScreenAreas(TypedDict):
    """All areas of a page on a screen."""

    screen: str
    name: str
    height: float
    areas: list[AreaView]


WIDE = Screen(id="wide-monitor", name="2560 px monitor", width=2560, height=1440, least=0, most=10_000)
CURE = "320px"


def area_name(page: Page, area_id: str) -> str:
    """What an area is called."""
    area = page.area(area_id)
    if area is None:
        block = next((b for b in page.blocks() if b.id == area_id), None)
        return f"the picture {block.wording[:30]}" if block else area_id
    if isinstance(area, Page):
        return "the page"
    if isinstance(area, Column):
        band = next(b for b in page.bands if area in b.columns)
        return f"column {band.columns.index(area) + 1} of {band.name}"
    if isinstance(area, Block):
        return f"the plate of {area.wording[:30] or area.kind}"
    return area.name


def _percent(share: float) -> str:
    value = 100 * share
    return "less than 1 %" if 0 < value < 1 else f"{round(value)} %"


def _page_sentence(found: Seen) -> str:
    if found.visible < 0.0005:
        return "Nothing of the page's own background is to be seen: the bands cover it all."
    where = [w for w, share in (("beside the content", found.beside), ("below it", found.below)) if share > 0.0005]
    return f"The page's own background shows in {_percent(found.visible)} of the page, {' and '.join(where)}."


def _nothing(area: Area, screen: Screen, page: Page) -> tuple[str, CureView | None]:
    """Why an area is not to be seen, and the cure as a value for its height."""
    if isinstance(area, Band):
        there = next(b for b in page_on(page, screen.id).bands if b.id == area.id)
        if not there.visible:
            return f"{area.name} is hidden on this screen.", None
        why = f"{area.name} shows nothing: it has no words, no inner space and no height."
        return why, {"area": area.id, "height": CURE}
    if isinstance(area, Join):
        return f"{area.name} shows nothing: its bands have no height.", None
    if isinstance(area, Block):
        return "Its words are not to be seen on this screen.", None
    return "It has no blocks, so it has no height here.", None


def _sentence(page: Page, area: Area, found: Seen) -> str:
    if isinstance(area, Page):
        return _page_sentence(found)
    if found.visible > 0.995:
        return "All of it is to be seen."
    by = sorted(found.covered_by, key=lambda c: -c[1])
    names = " and ".join(f"{area_name(page, a)} ({_percent(s)})" for a, s in by[:3])
    if found.visible < 0.0005:
        return f"Nothing of it is to be seen: it is covered by {names}."
    return f"{_percent(found.visible)} of it is to be seen; covered by {names}."


def _box(box: Box) -> Sides:
    return round(box.x, 3), round(box.y, 3), round(box.width, 3), round(box.height, 3)


def _view(page: Page, screen: Screen, record: PageRecord, found: dict[str, Seen]) -> list[AreaView]:
    by_id: dict[str, AreaRecord] = {a.id: a for a in record.areas}
    rows: list[AreaView] = []
    for area in page.areas():
        laid = by_id.get(area.id)
        row: AreaView = {
            "area": area.id,
            "name": area_name(page, area.id),
            "box": None,
            "visible": 0.0,
            "base": 0.0,
            "sentence": "",
            "cure": None,
            "outer": None,
            "content": None,
        }
        if laid is None or laid.box.height < 1 or laid.box.width < 1:
            row["sentence"], row["cure"] = _nothing(area, screen, page)
        else:
            own = found[area.id]
            row |= {"box": _box(laid.box), "visible": round(own.visible, 4), "base": round(own.base, 4)}
            row["sentence"] = _sentence(page, area, own)
            band = record.band(area.id)
            if band is not None:
                row |= {"outer": _box(band.outer), "content": _box(band.content)}
        rows.append(row)
    return rows


def area_views(site: Site, page: Page, fonts: FontBook) -> list[ScreenAreas]:
    """For each screen, and for a 2560 px monitor, every area of the page."""
    alpha = {a.hash: a.alpha for a in site.assets}
    screens = list(site.screens)
    if all(s.width != WIDE.width for s in screens):
        screens.append(WIDE)
    found: list[ScreenAreas] = []
    for screen in screens:
        record = resolve_page(site, page, Moment(Viewport(screen.width, screen.height)), fonts)
        shares = {s.area: s for s in seen(record, lambda h: alpha.get(h, True))}
        areas = _view(page, screen, record, shares)
        found.append({"screen": screen.id, "name": screen.name, "height": record.height, "areas": areas})
    return found
