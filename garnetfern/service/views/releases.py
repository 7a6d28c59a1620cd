"""What was put live, and what the next release would bring: weights, what is fetched again, and readings."""

from datetime import date
from typing import Any

from typing_extensions import TypedDict

from ...core.css import Urls
from ...core.css.visit import fetched
from ...core.document import Site
from ...core.document.addresses import file_of
from ...core.placement import Occasion, shown
from ...core.resolve.book import FontBook
from ...store import Release, ReleasedFile, is_page
from .changes import ChangesView
from .pages import content_of
from .whole_check import CheckView, ComparedRow, WorstRow

Files = dict[str, ReleasedFile]
Visits = dict[str, dict[str, list[str]]]
"""By page and screen: the files that a visit fetches."""


class ReleaseRow(TypedDict):
    """A release in the list: its number, when it was made, of which earlier one it is the same, how many files of how
    many bytes it has, what its readings came to, and whether it was put live although words fall short or are lost."""

    number: int
    made: str
    back: int | None
    files: int
    bytes: int
    sentence: str
    short: int
    lost: int


class ScreenPicture(TypedDict):
    """A screen, and by what a page's picture on it is fetched, before (None: there was none) and now."""

    screen: str
    name: str
    before: str | None
    after: str


class PageLook(TypedDict):
    """How a page looks before and now."""

    page: str
    title: str
    screens: list[ScreenPicture]


class ReleasesView(TypedDict):
    """All releases, the live one first; what has changed since that, and how it looks: the pages that look otherwise,
    or all of them where nothing has changed (`same`) or nothing is live."""

    releases: list[ReleaseRow]
    visit: str
    same: bool
    changes: ChangesView
    looks: list[PageLook]


class VisitWeight(TypedDict):
    """What a visitor of a page fetches on a screen, bytes: with nothing kept, and with what the last release left."""

    page: str
    title: str
    screen: str
    name: str
    bytes: int
    before: int | None
    again: int | None


class CacheFacts(TypedDict):
    """What becomes of the files that a visitor of the last release has kept: how many of how many bytes stay as they
    are, are asked for anew, or are asked about and may have changed (pages)."""

    kept: int
    kept_bytes: int
    fresh: int
    fresh_bytes: int
    pages: int
    changed_pages: int


class LookView(TypedDict):
    """What the next release would be: its readings, which of them are better and worse than those of the last, and
    what it weighs."""

    check: CheckView
    compared: list[ComparedRow]
    weights: list[VisitWeight]
    cache: CacheFacts | None
    files: int
    bytes: int


def release_row(release: Release) -> ReleaseRow:
    """A release in the list."""
    return {
        "number": release.number,
        "made": release.made,
        "back": release.back,
        "files": len(release.files),
        "bytes": sum(file.bytes for file in release.files.values()),
        "sentence": str(release.facts.get("sentence", "")),
        "short": int(release.facts.get("short", 0)),
        "lost": len(release.facts.get("lost", [])),
    }


def visits_of(site: Site, files: Files, urls: Urls, fonts: FontBook, day: date) -> Visits:
    """What every visit fetches on a day: the page, its stylesheet, and what these ask for. Paths are those of files."""
    found: Visits = {}
    asked = urls.for_page()
    sheets = {path.rsplit("-", 1)[0]: path for path in files if path.startswith("css/")}
    for page in site.visited:
        composed = shown(site, page, Occasion(day))
        own = [file_of(site, page.id), sheets[f"css/{page.slug}"]]
        by_screen = {s.id: [*own, *fetched(site, composed, fonts, asked, s)] for s in site.screens}
        found[page.id] = by_screen
    return found


def facts_of(check: CheckView, visits: Visits) -> dict[str, Any]:
    """What is kept of a release beside its files."""
    return {**check, "visits": visits}


def _sum(paths: list[str], files: Files) -> int:
    return sum(files[path].bytes for path in paths if path in files)


def weights(site: Site, files: Files, visits: Visits, last: Release | None) -> list[VisitWeight]:
    """What visitors fetch by page and screen; `again` counts what was not kept from the last release's same visit."""
    old: Visits = last.facts.get("visits", {}) if last else {}
    rows: list[VisitWeight] = []
    for page in site.visited:
        for screen in site.screens:
            paths = visits[page.id][screen.id]
            known = old.get(page.id, {}).get(screen.id)
            held = {path: last.files[path] for path in known or () if last and path in last.files}
            anew = [path for path in paths if held.get(path) != files.get(path)]
            rows.append(
                {
                    "page": page.id,
                    "title": page.title,
                    "screen": screen.id,
                    "name": screen.name,
                    "bytes": _sum(paths, files),
                    "before": None if known is None or last is None else _sum(known, last.files),
                    "again": None if known is None else _sum(anew, files),
                }
            )
    return rows


def cache_facts(files: Files, last: Release | None) -> CacheFacts | None:
    """What becomes of what visitors have kept; None where nothing was live before."""
    if last is None:
        return None
    kept = [f for path, f in files.items() if not is_page(path) and path in last.files]
    fresh = [f for path, f in files.items() if not is_page(path) and path not in last.files]
    pages = [path for path in files if is_page(path)]
    return {
        "kept": len(kept),
        "kept_bytes": sum(f.bytes for f in kept),
        "fresh": len(fresh),
        "fresh_bytes": sum(f.bytes for f in fresh),
        "pages": len(pages),
        "changed_pages": sum(files[path] != last.files.get(path) for path in pages),
    }


def rows_of(release: Release | None) -> list[WorstRow]:
    """The readings that were kept with a release."""
    found: list[WorstRow] = release.facts.get("rows", []) if release else []
    return found


def _content(site: Site | None, page_id: str) -> str | None:
    """What a page's picture depends on; None where there is no such page."""
    page = site.page(page_id) if site is not None else None
    return None if site is None or page is None else content_of(site, page)


def looks(old: Site | None, new: Site) -> list[PageLook]:
    """The pages that look otherwise than in an earlier state, on every screen; all of them where there is none."""
    found: list[PageLook] = []
    for page in new.visited:
        before, after = _content(old, page.id), content_of(new, page)
        if before == after:
            continue
        there = {s.id for s in old.screens} if old is not None else set()
        screens: list[ScreenPicture] = [
            {"screen": s.id, "name": s.name, "before": before if s.id in there else None, "after": after}
            for s in new.screens
        ]
        found.append({"page": page.id, "title": page.title, "screens": screens})
    return found
