"""What is otherwise in a site than in an earlier state of it, in words, by page and area."""

from collections.abc import Iterable, Iterator
from typing import Any

from pydantic import BaseModel
from typing_extensions import TypedDict

from ...core.document import Area, Backdrop, Band, Block, Column, Page, Site
from ..kinds.blocks import KINDS as BLOCKS


class AreaChange(TypedDict):
    """An area by its id and name, and what is otherwise there, a few words each."""

    area: str
    name: str
    said: list[str]


class PageChange(TypedDict):
    """A page: whether it is new, gone or otherwise than before, and what is otherwise by area."""

    page: str
    title: str
    how: str
    areas: list[AreaChange]


class ChangesView(TypedDict):
    """What is otherwise in the site as a whole, and on its pages."""

    site: list[str]
    pages: list[PageChange]


FIELDS = {
    "opacity": "strength", "blend": "how it mixes", "visible": "whether it is seen", "base": "base colour",
    "focal": "the spot kept in sight", "position": "place", "crop": "the part that is shown", "size": "size",
    "width": "width", "height": "height", "repeat": "tiling", "attachment": "how it moves with the page",
    "filter": "filter", "gradient": "gradient", "colour": "colour", "pattern": "pattern", "asset": "picture",
    "screens": "what differs on single screens", "over": "what changes when pointed at", "padding": "padding",
    "space": "outer space", "content": "where words stand", "layout": "columns", "share": "part of the width",
    "gap": "gap", "stagger": "how late blocks arrive", "role": "role", "lettering": "lettering", "wording": "words",
    "level": "level", "heard": "whether it is only heard", "plate": "plate", "link": "link", "items": "entries",
    "slot": "slot", "entrance": "how it arrives", "keep": "what remedies leave alone", "slug": "address",
    "kind": "kind", "title": "title", "name": "name", "language": "language", "requirement": "requirement",
    "edges": "whether edges of buttons are required",
    "budget": "how much pictures may weigh", "zone": "time zone", "font": "font", "weight": "weight",
    "phrases": "strong, emphasised, linked or coloured words", "fold": "how the menu stands",
    "order": "order of columns", "listed": "whether it is a list", "clear": "clear space",
    "graphic": "whether its parts have to be made out", "stand": "where words stand in the column",
    "breaks": "where lines end", "placed": "bands by rules", "kinds": "kinds of page", "at": "moment of the film",
}  # fmt: skip
"""Words for fields of the document; what has none is called by its name."""
SITE_FIELDS = ("name", "language", "requirement", "edges", "screens", "budget", "zone", "placed")
"""Fields of a site that visitors or readings have to do with. What is on its shelf alone is nobody's business here."""
SITE_WORDS = {"screens": "screens"}
PLAIN = (int, float, str, bool)


def _value(name: str, value: Any) -> str:
    if isinstance(value, bool):
        return "yes" if value else "no"
    if name == "opacity":
        return f"{round(value * 100)} %"
    return f"{value:g}" if isinstance(value, float) else str(value)


def _field(name: str, old: Any, new: Any, words: dict[str, str]) -> str:
    said = words.get(name, name.replace("_", " "))
    plain = all(isinstance(v, PLAIN) and len(str(v)) <= 24 for v in (old, new))
    return f"{said} {_value(name, old)} to {_value(name, new)}" if plain and old != "" and new != "" else said


def _differing(old: BaseModel, new: BaseModel, but: Iterable[str] = (), words: dict[str, str] = FIELDS) -> list[str]:
    """The fields in which two of a kind differ, in words; values too where they are short."""
    names = [n for n in type(new).model_fields if n not in {"id", *but}]
    pairs = ((n, getattr(old, n), getattr(new, n)) for n in names)
    return [_field(n, was, now, words) for n, was, now in pairs if was != now]


def _short(words: str) -> str:
    return f"‘{words if len(words) <= 40 else words[:38] + ' …'}’"


def _backdrop(old: Backdrop, new: Backdrop) -> Iterator[str]:
    yield from _differing(old, new, ("layers", "over"))
    before, after = {x.id: x for x in old.layers}, {x.id: x for x in new.layers}
    for layer in new.layers:
        was = before.get(layer.id)
        if was is None:
            yield f"{layer.name} is new"
        elif was.kind != layer.kind:
            yield f"{layer.name} stands in the place of {was.name}"
        elif was != layer:
            yield f"{layer.name}: {', '.join(_differing(was, layer))}"
    yield from (f"{layer.name} is gone" for layer in old.layers if layer.id not in after)
    both = [x for x in before if x in after]
    if both != [x for x in after if x in before]:
        yield "layers lie in another order"
    if old.over != new.over:
        yield FIELDS["over"]


def _named(block: Block) -> str:
    return _short(block.said) if block.said else f"a {str(BLOCKS[block.kind].NAME).lower()}"


def _block(old: Block, new: Block) -> Iterator[str]:
    if old.said != new.said:
        yield f"{_named(old)} says {_named(new)}"
    rest = _differing(old, new, ("wording", "items", "plate", "lettering"))
    rest += _differing(old.lettering, new.lettering)
    if old.items != new.items and old.said == new.said:
        rest.append("links")
    if (old.plate is None) != (new.plate is None):
        rest.append("a plate" if new.plate else "no plate")
    elif old.plate and new.plate and old.plate != new.plate:
        rest += [f"plate: {what}" for what in _differing(old.plate, new.plate, ("backdrop",))]
        rest += [f"plate: {what}" for what in _backdrop(old.plate.backdrop, new.plate.backdrop)]
    if rest:
        yield f"{_named(new)}: {', '.join(rest)}"


def _blocks(old: Band, new: Band) -> Iterator[str]:
    before, after = {b.id: b for b in old.blocks()}, {b.id: b for b in new.blocks()}
    for name, block in after.items():
        if name in before:
            yield from _block(before[name], block)
        else:
            yield f"{_named(block)} is new"
    yield from (f"{_named(block)} is gone" for name, block in before.items() if name not in after)
    both = [name for name in before if name in after]
    if both != [name for name in after if name in before]:
        yield "words stand in another order"


PARTS = ("backdrop", "bands", "joins", "columns", "blocks", "loose")


def _area(old: Area, new: Area) -> Iterator[str]:
    yield from _differing(old, new, PARTS)
    yield from _backdrop(old.backdrop, new.backdrop)
    if isinstance(old, Band) and isinstance(new, Band):
        yield from _blocks(old, new)


def _areas(page: Page) -> dict[str, tuple[str, Area]]:
    """The areas of a page but for plates, which are told with their words, each with the name that it is known by."""
    names = {c.id: f"{band.name}: {c.name}" for band in page.bands for c in band.columns}
    found: dict[str, tuple[str, Area]] = {}
    for area in page.areas():
        if isinstance(area, Page):
            found[area.id] = ("Base", area)
        elif not isinstance(area, Block):
            found[area.id] = (names.get(area.id, area.name), area)
    return found


def _page(old: Page, new: Page) -> list[AreaChange]:
    before, after = _areas(old), _areas(new)
    found: list[AreaChange] = []
    for name, (title, area) in after.items():
        was = before.get(name)
        said = ["is new"] if was is None else list(_area(was[1], area))
        if said and not (was is None and isinstance(area, Column)):
            found.append({"area": name, "name": title, "said": said})
    for name, (title, area) in before.items():
        if name not in after and not isinstance(area, Column):
            found.append({"area": name, "name": title, "said": ["is gone"]})
    order = [b.id for b in old.bands if b.id in after]
    if order != [b.id for b in new.bands if b.id in before]:
        found.append({"area": new.id, "name": "Base", "said": ["bands stand in another order"]})
    return found


def changes(old: Site, new: Site) -> ChangesView:
    """What is otherwise in a site than in an earlier state."""
    before = {p.id: p for p in old.pages}
    there = {p.id for p in new.pages}
    pages: list[PageChange] = []
    for page in new.pages:
        was = before.get(page.id)
        areas = [] if was is None else _page(was, page)
        if was is None or areas:
            pages.append({"page": page.id, "title": page.title, "how": "changed" if was else "new", "areas": areas})
    gone = (page for page in old.pages if page.id not in there)
    pages += [{"page": page.id, "title": page.title, "how": "gone", "areas": []} for page in gone]
    rest = set(type(new).model_fields) - set(SITE_FIELDS)
    said = _differing(old, new, rest, FIELDS | SITE_WORDS)
    used = {a for p in new.pages for area in p.areas() for layer in area.backdrop.layers for a in layer.assets()}
    used |= {a for p in new.pages for block in p.blocks() for a in block.assets()}
    files = {a.id: a.hash for a in old.assets}
    said += [f"another file of {a.name}" for a in new.assets if a.id in used and files.get(a.id, a.hash) != a.hash]
    if [p.id for p in old.visited if p.id in there] != [p.id for p in new.visited if p.id in before]:
        said.append("pages stand in another order")
    return {"site": said, "pages": pages}
