"""Every page that rules can compose, each once; and what never gets its turn, or gives way to another."""

from collections.abc import Iterable, Iterator
from dataclasses import dataclass
from datetime import date, timedelta
from math import lcm

from ..document import Page, Site
from ..document.placing import PLACES, Between, Place, Placed
from .shown import (
    Able,
    Occasion,
    able_on,
    candidates,
    on_day,
    on_page,
    sharing,
    shown,
    standing,
    standing_of,
    turn_of,
)

WEEK = 7
LONGEST = 420
"""So many days of a stretch without a change are looked at; turns come round within it."""
LONG_AGO = date(2000, 1, 3)
"""A Monday that stands for every day, where no rule names one."""


@dataclass(frozen=True)
class Composition:
    """A page as rules compose it, and the first occasion on which they do."""

    page: Page
    occasion: Occasion
    stands: tuple[tuple[Place, str], ...]

    @property
    def plain(self) -> bool:
        """Whether nothing is shown by rules."""
        return not self.stands


def _edges(placed: Iterable[Placed]) -> list[date]:
    """The days on which something begins, or is over."""
    found = set()
    for one in placed:
        for rule in one.rules:
            if isinstance(rule, Between):
                found |= {rule.first} if rule.first else set()
                found |= {rule.last + timedelta(1)} if rule.last and rule.last < date.max else set()
    return sorted(found)


def _round(every: Able) -> tuple[int, int]:
    """After how many days, and how many visits, what stands comes round again."""
    days, visits = WEEK, 1
    for wanted in every.values():
        able = {p.page: turn_of(p) for p in wanted}
        turns = [turn for turn in able.values() if turn]
        named = {name for turn in turns for name in turn.others} | {name for name, turn in able.items() if turn}
        size = lcm(*range(1, len(named & set(able)) + 1))
        days = lcm(days, size) if any(turn.by == "day" for turn in turns) else days
        visits = lcm(visits, size) if any(turn.by == "visit" for turn in turns) else visits
    return min(days, LONGEST), min(visits, LONGEST)


def occasions(every: Able, since: date | None = None) -> Iterator[Occasion]:
    """Occasions among which every composition is: each stretch without a change, as long as turns need."""
    days, visits = _round(every)
    edges = _edges(placed for wanted in every.values() for placed in wanted)
    begin = since or (edges[0] - timedelta(days) if edges and edges[0].toordinal() > days else LONG_AGO)
    starts = [begin, *(edge for edge in edges if edge > begin)]
    for n, start in enumerate(starts):
        end = starts[n + 1] if n + 1 < len(starts) else date.max
        length = min(days, (end - start).days)
        yield from (Occasion(start + timedelta(d), visit) for d in range(length) for visit in range(visits))


Stands = tuple[tuple[Place, str], ...]


def _standings(every: Able, since: date | None) -> dict[Stands, Occasion]:
    """Everything that stands at some time, and the first occasion on which it does."""
    found: dict[Stands, Occasion] = {}
    for occasion in occasions(every, since):
        stands = tuple((place, placed.page) for place, placed in standing_of(every, occasion).items())
        found.setdefault(stands, occasion)
    return found


def compositions(site: Site, page: Page, since: date | None = None) -> list[Composition]:
    """Every page that rules can compose of a page from a day on, each once; itself where there are none."""
    found = _standings(able_on(site, page), since)
    return [Composition(shown(site, page, occasion), occasion, stands) for stands, occasion in found.items()]


def seen_on(site: Site, page: Page, since: date | None = None) -> set[str]:
    """The loose pages whose bands are to be seen on a page at some time from a day on."""
    return {name for stands in _standings(able_on(site, page), since) for _, name in stands}


def never_shown(site: Site, since: date | None = None) -> dict[str, str]:
    """The bands that are never to be seen from a day on, each with the reason."""
    # pages on which the same may stand are looked at once
    alike = {tuple(p.page for wanted in able_on(site, page).values() for p in wanted): page for page in site.visited}
    seen = {name for page in alike.values() for name in seen_on(site, page, since)}
    titles = {page.id: page.title for page in site.pages}
    found = {}
    for placed in site.placed:
        if placed.page in seen:
            continue
        pages = [page for page in site.visited if on_page(placed, page)]
        days = [o.day for page in pages[:1] for o in occasions(able_on(site, page), since) if on_day(placed, o.day)]
        if not pages:
            reason = "no page is meant by its rules"
        elif not days:
            reason = "none of its days is still to come" if since else "there is no such day"
        else:
            first = standing(site, pages[0], Occasion(days[0])).get(placed.place)
            reason = f"{titles[first.page]} stands before it wherever it could" if first else "another stands before it"
        found[placed.page] = reason
    return found


def conflicts(site: Site, page: Page, day: date) -> list[tuple[Place, list[Placed]]]:
    """Places of a page where more could stand on a day than do in turn; the first of each is what does."""
    found = []
    for place in PLACES:
        able = [p for p in candidates(site, page, place) if on_day(p, day)]
        if able and len(sharing(able[0], able)) < len(able):
            found.append((place, able))
    return found
