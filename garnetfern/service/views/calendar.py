"""The calendar: what stands in each place of each page, day by day; gaps and overlaps; what never gets its turn."""

from collections.abc import Iterator, Sequence
from datetime import date, timedelta
from typing import Any, TypeVar

from typing_extensions import TypedDict

from ...core.document import Page, Site
from ...core.document.placing import PLACES, Between, Place, Placed
from ...core.placement import conflicts, never_shown
from ...core.placement.shown import candidates, on_day, on_page, sharing
from ..kinds.rules import PLACE_NAMES, listed, rule_sentence, said_day

DAYS = 56
"""Eight weeks."""
OFTEN = 3
"""Gaps that come more often are told together."""


class RuleView(TypedDict):
    """A rule: what it says, and itself."""

    sentence: str
    rule: dict[str, Any]


class SpanView(TypedDict):
    """The days, by number, on which a time of a band falls in what is shown; `rule` is its number, None where it stands
    always. Open or cut ends are those that are not in sight."""

    rule: int | None
    first: int
    last: int
    begins: bool
    ends: bool


class BandView(TypedDict):
    """A band that rules show. `never`: why it is never to be seen; empty: it is."""

    page: str
    title: str
    place: Place
    pages: int
    rules: list[RuleView]
    spans: list[SpanView]
    never: str


class RunView(TypedDict):
    """Days, by number, on which the same stands in a place: a band, or several in turn; nothing has no title."""

    first: int
    last: int
    bands: list[str]
    title: str


class LaneView(TypedDict):
    """A place of a page in which something may stand, and its days."""

    place: Place
    runs: list[RunView]


class PageDays(TypedDict):
    """A page and its days, by place."""

    page: str
    title: str
    lanes: list[LaneView]


class CalendarView(TypedDict):
    """Eight weeks. `days` are ISO dates; `today` is the site's; `said` are gaps and overlaps."""

    zone: str
    today: str
    days: list[str]
    bands: list[BandView]
    pages: list[PageDays]
    said: list[str]
    places: dict[str, str]


T = TypeVar("T")
Lanes = dict[Place, list[tuple[str, ...]]]
"""By place, what stands there each day; of those that take turns, all."""


def _lanes(site: Site, page: Page, days: Sequence[date]) -> Lanes:
    """The places of a page in which something may stand."""
    found: Lanes = {}
    for place in PLACES:
        wanted = candidates(site, page, place)
        by_day = []
        for day in days if wanted else ():
            able = [p for p in wanted if on_day(p, day)]
            by_day.append(tuple(p.page for p in sharing(able[0], able)) if able else ())
        if by_day:
            found[place] = by_day
    return found


def _runs(found: Sequence[T]) -> Iterator[tuple[int, int, T]]:
    """Equal neighbours as one: first, last, what."""
    first = 0
    for n in range(1, len(found) + 1):
        if n == len(found) or found[n] != found[first]:
            yield first, n - 1, found[first]
            first = n


def _spans(placed: Placed, days: Sequence[date]) -> list[SpanView]:
    """The times of a band as they fall in what is shown."""
    times = [(n, r) for n, r in enumerate(placed.rules) if isinstance(r, Between)]
    if not times:
        return [{"rule": None, "first": 0, "last": len(days) - 1, "begins": False, "ends": False}]
    found: list[SpanView] = []
    for n, rule in times:
        within = [d for d, day in enumerate(days) if (not rule.first or rule.first <= day)
                  and (not rule.last or day <= rule.last)]  # fmt: skip
        if within:
            begins, ends = rule.first == days[within[0]], rule.last == days[within[-1]]
            found.append({"rule": n, "first": within[0], "last": within[-1], "begins": begins, "ends": ends})
    return found


def _when(days: Sequence[date], first: int, last: int) -> str:
    """Days in words; those that go on beyond what is shown have no end."""
    if first == 0 and last == len(days) - 1:
        return "on all of these days"
    if first == last:
        return f"on {said_day(days[first])}"
    if last == len(days) - 1:
        return f"from {said_day(days[first])}"
    if first == 0:
        return f"until {said_day(days[last])}"
    return f"from {said_day(days[first])} to {said_day(days[last])}"


def _gathered(entries: dict[str, list[str]], count: int) -> Iterator[str]:
    """Sentences that hold for several pages, once."""
    for text, titles in entries.items():
        where = "all pages" if len(titles) == count and count > 1 else listed(titles[:3])
        more = f" and {len(titles) - 3} more" if where != "all pages" and len(titles) > 3 else ""
        yield f"{text}: {where}{more}."


def _gaps(lanes: Lanes, days: Sequence[date]) -> Iterator[str]:
    for place, by_day in lanes.items():
        empty = [(first, last) for first, last, stands in _runs(by_day) if not stands]
        if len(empty) > OFTEN:
            count = sum(last - first + 1 for first, last in empty)
            yield f"Nothing stands {PLACE_NAMES[place]} on {count} of {len(days)} days"
        else:
            yield from (f"Nothing stands {PLACE_NAMES[place]} {_when(days, first, last)}" for first, last in empty)


def _overlaps(site: Site, page: Page, days: Sequence[date]) -> Iterator[str]:
    titles = {p.id: p.title for p in site.pages}
    by_day = [tuple((place, tuple(p.page for p in able)) for place, able in conflicts(site, page, day)) for day in days]
    for first, last, found in _runs(by_day):
        for place, names in found:
            rest = listed([titles[n] for n in names[1:]])
            yield f"{titles[names[0]]} stands before {rest} {PLACE_NAMES[place]} {_when(days, first, last)}"


def _lane(place: Place, by_day: Sequence[tuple[str, ...]], titles: dict[str, str]) -> LaneView:
    runs: list[RunView] = [
        {"first": first, "last": last, "bands": list(names), "title": " / ".join(titles[n] for n in names)}
        for first, last, names in _runs(by_day)
    ]
    return {"place": place, "runs": runs}


def calendar_view(site: Site, first: date, today: date) -> CalendarView:
    """Eight weeks from a day on."""
    days = [first + timedelta(n) for n in range(DAYS)]
    titles = {p.id: p.title for p in site.pages}
    never = never_shown(site)
    said: dict[str, list[str]] = {}
    rows: list[PageDays] = []
    for page in site.visited:
        lanes = _lanes(site, page, days)
        shown = [_lane(place, by_day, titles) for place, by_day in lanes.items()]
        rows.append({"page": page.id, "title": page.title, "lanes": shown})
        for text in (*_gaps(lanes, days), *_overlaps(site, page, days)):
            said.setdefault(text, []).append(page.title)
    bands: list[BandView] = [
        {
            "page": placed.page,
            "title": titles[placed.page],
            "place": placed.place,
            "pages": sum(on_page(placed, page) for page in site.visited),
            "rules": [{"sentence": rule_sentence(site, r), "rule": r.model_dump(mode="json")} for r in placed.rules],
            "spans": _spans(placed, days),
            "never": never.get(placed.page, ""),
        }
        for placed in site.placed
    ]
    return {
        "zone": site.zone,
        "today": str(today),
        "days": [str(day) for day in days],
        "bands": bands,
        "pages": rows,
        "said": list(_gathered(said, len(site.visited))),
        "places": {str(place): name for place, name in PLACE_NAMES.items()},
    }
