"""Bands that are kept once and shown by rules: where, on which pages, when, and in turn with which others."""

from collections.abc import Iterator
from datetime import date
from typing import Annotated, Literal
from zoneinfo import ZoneInfo, available_timezones

from pydantic import Field

from ..errors import Problem
from .base import Identifier, Model, Name

Place = Literal["top", "after-header", "before-footer", "end"]
PLACES: tuple[Place, ...] = ("top", "after-header", "before-footer", "end")
Weekday = Annotated[int, Field(ge=1, le=7)]
"""ISO 8601: 1 is Monday."""


class OnPages(Model):
    """On these kinds of page and these pages."""

    kind: Literal["on"] = "on"
    kinds: tuple[Name, ...] = Field((), max_length=40)
    pages: tuple[Identifier, ...] = Field((), max_length=200)


class NotOnPages(Model):
    """On none of these kinds of page and none of these pages."""

    kind: Literal["not-on"] = "not-on"
    kinds: tuple[Name, ...] = Field((), max_length=40)
    pages: tuple[Identifier, ...] = Field((), max_length=200)


class Between(Model):
    """From a day to a day, both with it, in the site's time zone; None: open."""

    kind: Literal["between"] = "between"
    first: date | None = None
    last: date | None = None


class OnWeekdays(Model):
    """On some days of the week."""

    kind: Literal["weekdays"] = "weekdays"
    days: tuple[Weekday, ...] = Field(min_length=1, max_length=7)


class InTurn(Model):
    """In turn with other bands that could stand in the same place: another each day, or at each visit."""

    kind: Literal["in-turn"] = "in-turn"
    others: tuple[Identifier, ...] = Field(min_length=1, max_length=5)
    by: Literal["day", "visit"] = "day"


Rule = Annotated[OnPages | NotOnPages | Between | OnWeekdays | InTurn, Field(discriminator="kind")]


class Placed(Model):
    """The bands of a loose page, shown on others. Rules of one kind are alternatives; all kinds must hold.

    `not-on` rules all hold, whatever there is besides. Without rules it stands on every page, always.
    """

    page: Identifier
    place: Place = "after-header"
    rules: tuple[Rule, ...] = Field((), max_length=40)


def zone_of(name: str) -> ZoneInfo:
    """The time zone of an IANA name. Raises ValueError."""
    if name not in available_timezones():
        raise ValueError(f"There is no time zone {name!r}; names are like Europe/London.")
    return ZoneInfo(name)


def _named(rule: OnPages | NotOnPages, kinds: set[str], pages: set[str], where: str) -> Iterator[Problem]:
    if not rule.kinds and not rule.pages:
        yield Problem("rule", "A rule about pages names a kind of page or a page.", where)
    for kind in rule.kinds:
        if kind not in kinds:
            yield Problem("kind", f"There is no kind of page {kind!r} in this site.", f"{where}.kinds")
    for page in rule.pages:
        if page not in pages:
            yield Problem("page", f"There is no page {page!r} in this site.", f"{where}.pages")


def placing_problems(
    placed: tuple[Placed, ...], loose: set[str], pages: set[str], kinds: set[str]
) -> Iterator[Problem]:
    """Rules that name what is not there. `loose` are the ids of the loose pages, `pages` those of the others."""
    names = [one.page for one in placed]
    for name in sorted(loose - set(names)):
        yield Problem("placed", f"The loose page {name!r} is shown by nothing.", "$.placed")
    for n, one in enumerate(placed):
        where = f"$.placed[{n}]"
        if one.page not in loose:
            yield Problem("placed", f"There is no loose page {one.page!r} in this site.", f"{where}.page")
        if names.index(one.page) != n:
            yield Problem("placed", f"The loose page {one.page!r} is placed twice.", f"{where}.page")
        for m, rule in enumerate(one.rules):
            place = f"{where}.rules[{m}]"
            if isinstance(rule, OnPages | NotOnPages):
                yield from _named(rule, kinds, pages, place)
            if isinstance(rule, Between) and rule.first and rule.last and rule.first > rule.last:
                message = f"A time goes from a day to a later one; this one goes from {rule.first} to {rule.last}."
                yield Problem("rule", message, place)
            if isinstance(rule, InTurn):
                for other in rule.others:
                    if other == one.page or other not in names:
                        yield Problem("rule", f"There is no other band {other!r} to take turns with.", place)
