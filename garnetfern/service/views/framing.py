"""The framing sheet of a layer: every screen's window, what it costs, and which focal point serves all."""

from dataclasses import dataclass
from typing import Any

from typing_extensions import TypedDict

from ...core.document import Asset, ImageLayer, Page, Screen, Site, page_on
from ...core.errors import NotFoundError
from ...core.picture.advice import Advice, advise
from ...core.picture.focal import Sureness, best_focal
from ...core.picture.framing import Window, reach, window_of
from ...core.picture.subject import Subject
from ...core.picture.tiles import Seam, Seams, noticeable
from ...core.resolve.book import FontBook
from ...core.resolve.box import Box
from ...core.resolve.lengths import Viewport
from ...core.resolve.moment import Moment
from ...core.resolve.page import resolve_page
from ...core.resolve.sheets import ImageSheet
from .looks import Looks
from .seams import SeamsView, seams_view


class ScreenWindow(TypedDict):
    """What a screen shows of a picture: the window in fractions, loss and bareness 0..1, magnification at 1x and 2x.

    `tile` is the size it is drawn at, `offset` its place in its area, `area` the area's size, all in CSS px.
    """

    screen: str
    name: str
    window: tuple[float, float, float, float]
    lost: float
    bare: float
    once: float
    twice: float
    sharpness: tuple[str, str]
    lost_parts: list[str]
    tiles: tuple[float, float]
    noticeable: bool
    differs: bool
    tile: tuple[float, float]
    offset: tuple[float, float]
    area: tuple[float, float]


class FramingView(TypedDict):
    """The framing sheet of a layer. `reach` is the box of focal points that keep all marked parts everywhere."""

    layer: str
    asset: str
    screens: list[ScreenWindow]
    subject: list[list[int]]
    mood: str
    focal: tuple[float, float]
    others: dict[str, tuple[float, float]]
    sureness: Sureness
    never: dict[str, list[str]]
    reach: tuple[float, float, float, float] | None
    advice: str
    advised: bool
    seams: SeamsView | None


@dataclass(frozen=True)
class Shown:
    """A layer on a screen: its settings there, its area's box and its window."""

    screen: Screen
    layer: ImageLayer
    box: Box
    window: Window
    sheet: ImageSheet


@dataclass(frozen=True)
class FocalFound:
    """The computed focal point, and the screens that need one of their own."""

    focal: tuple[float, float]
    others: dict[str, tuple[float, float]]
    lost: dict[str, list[str]]
    sureness: Sureness


def image_layer(page: Page, area_id: str, layer_id: str) -> ImageLayer:
    """A picture layer of an area. Raises NotFoundError."""
    area = page.area(area_id)
    pictures = (p for x in (area.backdrop.layers if area else ()) for p in x.pictures())
    layer = next((p for p in pictures if p.id == layer_id), None)
    if layer is None:
        raise NotFoundError(f"There is no picture layer {layer_id!r} in this area.")
    return layer


def _phases(page: Page, area_id: str, layer_id: str) -> tuple[tuple[str, float], ...]:
    """When a picture of a layer that moves is there alone."""
    area = page.area(area_id)
    found = ((x.id, x.phase_of(layer_id)) for x in (area.backdrop.layers if area else ()))
    return tuple((name, time) for name, time in found if time is not None)


def shown_on_screens(site: Site, page: Page, area_id: str, layer_id: str, fonts: FontBook) -> list[Shown]:
    """The layer on every screen where it is to be seen."""
    found = []
    for screen in site.screens:
        moment = Moment(Viewport(screen.width, screen.height), phases=_phases(page, area_id, layer_id))
        record = resolve_page(site, page, moment, fonts)
        area = record.area(area_id)
        pictures = (p for s in (area.sheets if area else ()) for p in s.pictures())
        sheet = next((p for p in pictures if p.id == layer_id), None)
        if area is None or sheet is None or area.box.height < 1:
            continue
        layer = image_layer(page_on(page, screen.id), area_id, layer_id)
        found.append(Shown(screen, layer, area.box, window_of(sheet, layer, site.asset(layer.asset)), sheet))
    return found


def focal_for(site: Site, page: Page, area_id: str, layer_id: str, looks: Looks, fonts: FontBook) -> FocalFound:
    """Which focal point keeps marked parts and the subject in sight on all screens."""
    return _focal(
        site, image_layer(page, area_id, layer_id), shown_on_screens(site, page, area_id, layer_id, fonts), looks
    )


def _focal(site: Site, layer: ImageLayer, shown: list[Shown], looks: Looks) -> FocalFound:
    asset = site.asset(layer.asset)
    look = looks.of(asset.hash).look
    subject = Subject(look.subject, look.clear)
    found = best_focal([s.window for s in shown], subject, [p.box for p in asset.parts], layer.crop)
    others = {shown[n].screen.id: focal for n, focal in found.others.items()}
    lost = {shown[n].screen.id: [asset.parts[k].name for k in ks] for n, ks in found.lost_parts.items()}
    return FocalFound(found.focal, others, lost, found.sureness)


NO_TILE = Seams(Seam(9.0, True), Seam(9.0, True))


def advice_for(site: Site, page: Page, area_id: str, layer_id: str, looks: Looks, fonts: FontBook) -> Advice:
    """What suits the layer's picture in its area on the widest screen where it is seen."""
    return _advice(
        site, image_layer(page, area_id, layer_id), shown_on_screens(site, page, area_id, layer_id, fonts), looks
    )


def _advice(site: Site, layer: ImageLayer, shown: list[Shown], looks: Looks) -> Advice:
    asset = site.asset(layer.asset)
    widest = max(shown, key=lambda s: s.screen.width, default=None)
    area = (widest.box.width, widest.box.height) if widest else (1440.0, 600.0)
    known = looks.of(asset.hash)
    return advise((asset.width, asset.height), known.seams or NO_TILE, known.edges, area, known.mark)


def _softness(times: float) -> str:
    return "sharp" if times <= 1.005 else "a little soft" if times <= 1.5 else "soft"


def _screen_view(shown: Shown, asset: Asset, depth: float) -> ScreenWindow:
    window = shown.window
    lost_parts = [p.name for p in asset.parts if not window.keeps(p.box)]
    return {
        "screen": shown.screen.id,
        "name": shown.screen.name,
        "window": (window.x, window.y, window.width, window.height),
        "lost": round(window.lost, 4),
        "bare": round(window.bare, 4),
        "once": round(window.magnification, 3),
        "twice": round(2 * window.magnification, 3),
        "sharpness": (_softness(window.magnification), _softness(2 * window.magnification)),
        "lost_parts": lost_parts,
        "tiles": (round(window.tiles[0], 2), round(window.tiles[1], 2)),
        "noticeable": noticeable(depth, max(window.tiles)),
        "differs": shown.screen.id in shown.layer.screens,
        "tile": (round(shown.sheet.tile.width, 2), round(shown.sheet.tile.height, 2)),
        "offset": (round(shown.sheet.tile.x - shown.box.x, 2), round(shown.sheet.tile.y - shown.box.y, 2)),
        "area": (shown.box.width, shown.box.height),
    }


def framing(site: Site, page: Page, area_id: str, layer_id: str, looks: Looks, fonts: FontBook) -> FramingView:
    """Everything the framing sheet shows."""
    layer = image_layer(page, area_id, layer_id)
    asset = site.asset(layer.asset)
    shown = shown_on_screens(site, page, area_id, layer_id, fonts)
    known = looks.of(asset.hash)
    best = _focal(site, layer, shown, looks)
    common = [s.window for s in shown if not (s.layer.screens.get(s.screen.id) and s.layer.size != layer.size)]
    room = reach(common, [p.box for p in asset.parts], layer.crop) if asset.parts else None
    advice = _advice(site, layer, shown, looks)
    same = all(_same(getattr(layer, key), value) for key, value in advice.settings.items())
    return {
        "layer": layer.id,
        "asset": asset.id,
        "screens": [_screen_view(s, asset, known.depth) for s in shown],
        "subject": [list(row) for row in known.look.subject],
        "mood": known.look.mood,
        "focal": best.focal,
        "others": best.others,
        "sureness": best.sureness,
        "never": best.lost,
        "reach": None if room is None else (room.x, room.y, room.width, room.height),
        "advice": advice.reason,
        "advised": same and (advice.base is None or (page.area(area_id) or page).backdrop.base == advice.base),
        "seams": seams_view(known.seams) if known.seams else None,
    }


def _same(now: Any, wanted: Any) -> bool:
    if hasattr(now, "model_dump"):
        now = now.model_dump()
    return bool((list(now) if isinstance(now, tuple) else now) == wanted)
