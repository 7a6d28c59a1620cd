"""Rules about where and when, as people read them."""

from datetime import date

from ...core.document import Site
from ...core.document.placing import Between, NotOnPages, OnPages, OnWeekdays, Place, Rule

PLACE_NAMES: dict[Place, str] = {
    "top": "before the first band",
    "after-header": "after the header",
    "before-footer": "before the footer",
    "end": "after the last band",
}
WEEKDAYS = ("Mondays", "Tuesdays", "Wednesdays", "Thursdays", "Fridays", "Saturdays", "Sundays")
MONTHS = (
    "January",
    "February",
    "March",
    "April",
    "May",
    "June",
    "July",
    "August",
    "September",
    "October",
    "November",
    "December",
)


def said_day(day: date) -> str:
    """`1 May 2026`."""
    return f"{day.day} {MONTHS[day.month - 1]} {day.year}"


def listed(names: list[str]) -> str:
    """`one, two and three`."""
    return names[0] if len(names) == 1 else f"{', '.join(names[:-1])} and {names[-1]}"


def _pages(site: Site, rule: OnPages | NotOnPages) -> str:
    titles = {page.id: page.title for page in site.pages}
    kinds = [f"pages of the kind {kind}" if kind.endswith("page") else f"{kind} pages" for kind in rule.kinds]
    return listed([*kinds, *(titles.get(page, page) for page in rule.pages)])


def rule_sentence(site: Site, rule: Rule) -> str:
    """A rule as one sentence without its full stop."""
    if isinstance(rule, OnPages):
        return f"On {_pages(site, rule)}"
    if isinstance(rule, NotOnPages):
        return f"Not on {_pages(site, rule)}"
    if isinstance(rule, Between):
        if rule.first and rule.first == rule.last:
            return f"On {said_day(rule.first)}"
        first = f"From {said_day(rule.first)}" if rule.first else ""
        last = f"{' to' if first else 'Until'} {said_day(rule.last)}" if rule.last else ""
        return f"{first}{last}" or "Always"
    if isinstance(rule, OnWeekdays):
        return listed([WEEKDAYS[day - 1] for day in sorted(set(rule.days))])
    titles = {page.id: page.title for page in site.pages}
    every = "another each day" if rule.by == "day" else "another at each visit"
    return f"In turn with {listed([titles.get(name, name) for name in rule.others])}, {every}"
