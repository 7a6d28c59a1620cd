"""What was read of somebody's stylesheet, to be looked at and chosen from."""

from collections.abc import Mapping, Sequence

from typing_extensions import TypedDict

from ...core.stylesheet import Brought, BroughtArea, Unread
from ..files.brought import Found


class UnreadRow(TypedDict):
    """Something that was not read, or read as something near to it (`nearest`), and where it stands."""

    sheet: str
    line: int
    column: int
    what: str
    why: str
    nearest: str


class NamedPicture(TypedDict):
    """A picture that is named: its address, the name of the one that was taken (None: there is none), and what was
    forgiven, or why there is none."""

    address: str
    name: str | None
    said: str


class BroughtRow(TypedDict):
    """A part of somebody's page: its selector and where it stands, how many layers and blocks of words it has, its
    pictures, and what was not read of it."""

    number: int
    selector: str
    sheet: str
    line: int
    layers: int
    words: list[str]
    pictures: list[NamedPicture]
    unread: list[UnreadRow]


class BroughtView(TypedDict):
    """All that was read, what could not be, the fonts that its stylesheets name, and the files of fonts that came with
    it and are not on the shelf."""

    id: int
    areas: list[BroughtRow]
    unread: list[UnreadRow]
    faces: list[str]
    fonts: list[str]
    sentence: str


def unread_row(one: Unread) -> UnreadRow:
    """One of them."""
    return {
        "sheet": one.sheet,
        "line": one.line,
        "column": one.column,
        "what": one.what,
        "why": one.why,
        "nearest": one.nearest,
    }


def _area(number: int, area: BroughtArea, found: dict[str, Found]) -> BroughtRow:
    pictures: list[NamedPicture] = [
        {"address": f.address[:200], "name": f.asset.name if f.asset else None, "said": f.said} for f in found.values()
    ]
    return {
        "number": number,
        "selector": area.selector,
        "sheet": area.sheet,
        "line": area.line,
        "layers": len(area.band.backdrop.layers),
        "words": [block.said for block in area.band.blocks()],
        "pictures": pictures,
        "unread": [unread_row(u) for u in area.unread],
    }


def sentence_of(brought: Brought, found: Sequence[Mapping[str, Found]]) -> str:
    """What was read, in one sentence; no more than was, nor more than was `found` of its pictures."""
    count, unread = len(brought.areas), sum(len(a.unread) for a in brought.areas) + len(brought.unread)
    if not count:
        return "No rule in it says what lies behind words." if not unread else "Nothing of it could be read; see why."
    areas = "1 area was read" if count == 1 else f"{count} areas were read"
    gone = len({f.address for one in found for f in one.values() if f.asset is None})
    rest = []
    if unread:
        rest.append("1 thing was not, or only nearly" if unread == 1 else f"{unread} things were not, or only nearly")
    if gone:
        rest.append("1 picture is not here" if gone == 1 else f"{gone} pictures are not here")
    return f"{'; '.join([areas, *rest])}." if rest else f"{areas}, all of it."


def brought_view(number: int, brought: Brought, found: list[dict[str, Found]], fonts: list[str]) -> BroughtView:
    """All that was read."""
    return {
        "id": number,
        "areas": [_area(n, area, found[n]) for n, area in enumerate(brought.areas)],
        "unread": [unread_row(u) for u in brought.unread],
        "faces": list(dict.fromkeys(face.family for face in brought.faces)),
        "fonts": fonts,
        "sentence": sentence_of(brought, found),
    }
