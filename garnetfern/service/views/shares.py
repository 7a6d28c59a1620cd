"""What is the same on which pages, and what a change to it changes."""

from typing import Literal

from typing_extensions import TypedDict

from ...core.document import Page, Site
from ...core.document.shares import PARTS, members, share_of
from ..kinds.parts import PART_NAMES, PART_NOTES


class PagePart(TypedDict):
    """A part of a page. `state`: `own` where nothing is shared, `shared`, `out` where the page stepped out, `none`
    where the page cannot have it. `pages` are those that a change here changes; `areas` the ids of the part."""

    part: str
    name: str
    state: Literal["own", "shared", "out", "none"]
    sentence: str
    pages: list[str]
    areas: list[str]
    kinds: list[str]


class PageParts(TypedDict):
    """The parts of a page that can be shared."""

    page: str
    kind: str
    parts: list[PagePart]


class PartView(TypedDict):
    """A part that can be shared."""

    part: str
    name: str
    note: str


class SharesView(TypedDict):
    """All parts, what they are on each page, and the kinds of page with the number of pages of each."""

    parts: list[PartView]
    pages: list[PageParts]
    kinds: dict[str, int]


def _of_kinds(kinds: list[str]) -> str:
    return "" if not kinds else f" of the kind{'' if len(kinds) == 1 else 's'} {' and '.join(kinds)}"


def _part(site: Site, page: Page, part: str) -> PagePart:
    shareable, share = PARTS[part], share_of(site, page, part)
    name = PART_NAMES[part]
    found: PagePart = {
        "part": part,
        "name": name,
        "state": "own",
        "sentence": f"{name} is this page's own.",
        "pages": [page.id],
        "areas": sorted(shareable.areas(page)),
        "kinds": list(share.kinds) if share else [],
    }
    if shareable.bare(page) is None:
        return {**found, "state": "none", "sentence": f"This page has nothing that could be {name.lower()}."}
    if share is None:
        return found
    there = [p.id for p in members(site, share)]
    if page.id in share.out:
        others = f"{len(there)} other page{'' if len(there) == 1 else 's'}"
        return {**found, "state": "out", "sentence": f"{name} is this page's own; {others} share one."}
    among = _of_kinds(list(share.kinds))
    count = f"this page{among} alone so far" if len(there) == 1 else f"{len(there)} pages{among}"
    return {**found, "state": "shared", "pages": there, "sentence": f"A change here changes {count}."}


def shares_view(site: Site) -> SharesView:
    """Everything about what pages have in common."""
    return {
        "parts": [{"part": part, "name": PART_NAMES[part], "note": PART_NOTES[part]} for part in PART_NAMES],
        "pages": [
            {"page": page.id, "kind": page.kind, "parts": [_part(site, page, part) for part in PART_NAMES]}
            for page in site.visited
        ],
        "kinds": {kind: sum(page.kind == kind for page in site.visited) for kind in site.kinds},
    }
