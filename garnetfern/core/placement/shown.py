"""What is shown on a page at a moment: pure, and total over every moment and every visit."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date, datetime

from ..document import Band, Ids, Page, Site
from ..document.ids import renamed_band
from ..document.placing import PLACES, Between, InTurn, NotOnPages, OnPages, OnWeekdays, Place, Placed, Rule, zone_of


@dataclass(frozen=True)
class Occasion:
    """A day in the site's time zone, and which visit of a visitor it is, from 0."""

    day: date
    visit: int = 0


def day_of(site: Site, moment: datetime) -> date:
    """The day that a moment (aware of its zone) falls on where the site is."""
    return moment.astimezone(zone_of(site.zone)).date()


def _meant(rule: OnPages | NotOnPages, page: Page) -> bool:
    return page.kind in rule.kinds or page.id in rule.pages


def on_page(placed: Placed, page: Page) -> bool:
    """Whether a band may stand on a page."""
    wanted = [r for r in placed.rules if isinstance(r, OnPages)]
    barred = [r for r in placed.rules if isinstance(r, NotOnPages)]
    return (not wanted or any(_meant(r, page) for r in wanted)) and not any(_meant(r, page) for r in barred)


def _within(rule: Between, day: date) -> bool:
    return (rule.first is None or rule.first <= day) and (rule.last is None or day <= rule.last)


def on_day(placed: Placed, day: date) -> bool:
    """Whether a band may stand on a day."""
    times = [r for r in placed.rules if isinstance(r, Between)]
    weekdays = {d for r in placed.rules if isinstance(r, OnWeekdays) for d in r.days}
    return (not times or any(_within(r, day) for r in times)) and (not weekdays or day.isoweekday() in weekdays)


def turn_of(placed: Placed) -> InTurn | None:
    """How a band takes turns: its first rule about it."""
    return next((r for r in placed.rules if isinstance(r, InTurn)), None)


def sharing(first: Placed, able: Sequence[Placed]) -> list[Placed]:
    """Those of which one is shown in turn: the first that could stand, and those that it names or that name it."""
    turn = turn_of(first)
    named = set(turn.others) if turn else set()
    for other in able[1:]:
        theirs = turn_of(other)
        if theirs and first.page in theirs.others:
            named.add(other.page)
    return [p for p in able if p is first or p.page in named]


def _of(able: Sequence[Placed], occasion: Occasion) -> Placed:
    """Which of those that could stand does: the first in the list, or the one whose turn it is."""
    group = sharing(able[0], able)
    turn = next((t for t in map(turn_of, group) if t), None)
    if len(group) == 1 or turn is None:
        return able[0]
    number = occasion.day.toordinal() if turn.by == "day" else occasion.visit
    return group[number % len(group)]


def candidates(site: Site, page: Page, place: Place) -> list[Placed]:
    """The bands that may ever stand in a place of a page, those that win first."""
    return [p for p in site.placed if p.place == place and on_page(p, page)]


Able = dict[Place, list[Placed]]
"""By place, the bands that may ever stand there."""


def able_on(site: Site, page: Page) -> Able:
    """What may ever stand on a page; a place where nothing may is left out."""
    every = {place: candidates(site, page, place) for place in PLACES}
    return {place: able for place, able in every.items() if able}


def standing_of(every: Able, occasion: Occasion) -> dict[Place, Placed]:
    """What stands of that which may."""
    found: dict[Place, Placed] = {}
    for place, wanted in every.items():
        able = [p for p in wanted if on_day(p, occasion.day)]
        if able:
            found[place] = _of(able, occasion)
    return found


def standing(site: Site, page: Page, occasion: Occasion) -> dict[Place, Placed]:
    """What stands in each place of a page; a place where nothing does is left out."""
    return standing_of(able_on(site, page), occasion)


def shown_by_rules(site: Site, page: Page) -> bool:
    """Whether rules may ever show something on a page."""
    return not page.loose and any(on_page(placed, page) for placed in site.placed)


def _at(page: Page, place: Place) -> int:
    """Before which of a page's bands a place is."""
    if place == "top":
        return 0
    if place == "end":
        return len(page.bands)
    if place == "after-header":
        return next((n + 1 for n, b in reversed(tuple(enumerate(page.bands))) if b.role == "header"), 0)
    return next((n for n, b in enumerate(page.bands) if b.role == "footer"), len(page.bands))


def with_bands(site: Site, page: Page, wanted: dict[Place, list[Placed]]) -> tuple[Page, dict[str, list[Band]]]:
    """A page with bands in its places, and which they are there by the loose page that they come from.

    They have ids that the page has not; joins of the page go on running from their first band to their last.
    """
    ids = Ids(page)
    before: dict[int, list[Band]] = {}
    put: dict[str, list[Band]] = {}
    for place in PLACES:
        for placed in wanted.get(place, []):
            loose = site.page(placed.page)
            bands = [renamed_band(band, ids.free) for band in (loose.bands if loose else ())]
            put[placed.page] = bands
            before.setdefault(_at(page, place), []).extend(bands)
    if not put:
        return page, put
    bands = []
    for n in range(len(page.bands) + 1):
        bands += before.get(n, [])
        bands += page.bands[n : n + 1]
    return page.model_copy(update={"bands": tuple(bands)}), put


def shown(site: Site, page: Page, occasion: Occasion) -> Page:
    """The page as a visitor gets it on an occasion; the same object where nothing is shown by rules."""
    stands = {place: [placed] for place, placed in standing(site, page, occasion).items()}
    return with_bands(site, page, stands)[0]


__all__ = ["Occasion", "Rule", "candidates", "day_of", "on_day", "on_page", "shown", "standing", "with_bands"]
