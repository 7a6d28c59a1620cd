"""An overlay as strong as the whole site needs it: one strength on all pages, the worst reading over all of them."""

from typing import Any

from typing_extensions import TypedDict

from ...core.document import Area, Band, LayerBase, Page, Site, with_backdrop
from ...core.document.shares import alike
from ...core.errors import NotFoundError
from ...core.reading import Reader, situations
from ...core.remedy.overlay import Everywhere, Laid, least_everywhere
from ...core.remedy.trial import quotient
from ...core.telling import Told, silent
from ..runtime.difference import difference
from .check import floored


class EverywhereView(TypedDict):
    """What the strength is, in a sentence with the worst reading over all pages, and the exact change as one step.
    `pages` are those that it changes; `without` those that have no such layer."""

    opacity: float
    suffices: bool
    sentence: str
    patch: list[dict[str, Any]]
    pages: list[str]
    without: list[str]


def _areas(page: Page, like: Area) -> list[Area]:
    """The areas of a page that are what one of another page is: of its role, else of its id."""
    if isinstance(like, Band):
        return [band for band in page.bands if band.role == like.role]
    if isinstance(like, Page):
        return [page]
    found = page.area(like.id)
    return [found] if found is not None else []


def _layer(area: Area, like: LayerBase) -> LayerBase | None:
    """The overlay of an area that is the same as one of another: by id, by name, else the topmost of its kind."""
    overlays = [x for x in reversed(area.backdrop.layers) if not x.assets()]
    same = (
        [x for x in overlays if x.id == like.id]
        or [x for x in overlays if x.name == like.name]
        or [x for x in overlays if x.kind == like.kind]
    )
    return same[0] if same else None


def _with(page: Page, area: Area, layer: LayerBase, changed: LayerBase) -> Page:
    layers = tuple(changed if x.id == layer.id else x for x in area.backdrop.layers)
    return with_backdrop(page, area.id, area.backdrop.model_copy(update={"layers": layers}))


def _shown(page: Page, area: Area, layer: LayerBase) -> Laid:
    """The overlay switched on."""
    shown = layer.model_copy(update={"visible": True})
    changed = _with(page, area, layer, shown)
    found = changed.area(area.id)
    assert found is not None
    return Laid(changed, found, shown)


def places_of(site: Site, page: Page, area: Area, layer: LayerBase) -> list[Laid]:
    """Where on the pages of a site an overlay of one page lies."""
    found = []
    for other in site.pages:
        for there in [area] if other.id == page.id else _areas(other, area):
            same = layer if other.id == page.id else _layer(there, layer)
            if same is not None:
                found.append(_shown(other, there, same))
    return found


def _said(site: Site, found: Everywhere) -> str:
    percent = f"{round(found.opacity * 100)} %"
    rated = [(laid, reading) for laid, reading in found.worst if reading is not None and reading.ratio is not None]
    if not rated:
        return "No words lie on it, so any strength will do."
    laid, worst = min(rated, key=lambda pair: quotient(pair[1]))
    names = {s.id: s.name for s in situations(site, laid.page)}
    where = f"{laid.page.title}, {names.get(worst.situation, worst.situation)}"
    had = f"the worst reading is then {floored(worst.ratio or 0.0)} of {worst.required:g} ({where})"
    count = len({one.page.id for one, _ in found.worst})
    pages = "this page alone has it" if count == 1 else f"on {count} pages"
    keeps = f"Keeps {round(found.kept)} % of the pictures as they are now."
    if found.suffices:
        return f"At {percent}, {pages}, every word on it can be read on every screen: {had}. {keeps}"
    return f"No strength suffices on every page. At {percent}, {pages}, {had}. Another colour will help."


def overlay_everywhere(
    reader: Reader, site: Site, page: Page, area: Area, layer_id: str, told: Told = silent
) -> EverywhereView:
    """The overlay on all pages at the least strength that serves them all. Raises NotFoundError."""
    layer = next((x for x in area.backdrop.layers if x.id == layer_id), None)
    if layer is None or layer.assets():
        raise NotFoundError(f"There is no overlay {layer_id!r} on this area.")
    places = places_of(site, page, area, layer)
    found = least_everywhere(reader, site, places, told)
    changed = {p.id: p for p in site.pages}
    for laid in places:
        strong = laid.layer.model_copy(update={"opacity": round(found.opacity, 4)})
        now = changed[laid.page.id]
        there = now.area(laid.area.id)
        assert there is not None
        changed[now.id] = _with(now, there, laid.layer, strong)
    after = alike(site, site.model_copy(update={"pages": tuple(changed[p.id] for p in site.pages)}))
    with_it = {laid.page.id for laid in places}
    return {
        "opacity": round(found.opacity, 4),
        "suffices": found.suffices,
        "sentence": _said(site, found),
        "patch": difference(site.model_dump(mode="json"), after.model_dump(mode="json")),
        "pages": [p.title for p, q in zip(site.pages, after.pages, strict=True) if p != q],
        "without": [p.title for p in site.pages if p.id not in with_it],
    }
