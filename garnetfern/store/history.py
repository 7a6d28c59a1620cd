"""The history of a site's document: every change is a step, undo and redo move along the steps."""

import json
from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

from peewee import fn

from ..core import limits
from ..core.errors import DocumentError, NotFoundError, Problem, StaleError
from .migrations import ONLY_SITE, now
from .tables import Place, Step, Tables

Document = dict[str, Any]


@dataclass(frozen=True)
class State:
    """The present state: revision, document as plain JSON, what undo and redo would do, and when it was kept."""

    revision: int
    document: dict[str, Any]
    undo: str | None
    redo: str | None
    kept: str


def _text(document: dict[str, Any]) -> str:
    """The document as it is kept. Raises DocumentError where it is too large."""
    text = json.dumps(document)
    if len(text) > limits.DOCUMENT:
        has, most = len(text) / limits.MB, limits.DOCUMENT // limits.MB
        message = f"A site has {most} MB at the most, its pictures left out; this one would have {has:.1f} MB. "
        raise DocumentError([Problem("size", message + "Nothing was changed.", "$")])
    return text


class History:
    """Reads and writes the steps of one site; `read` brings documents of earlier versions to the present form.

    Every method is one transaction; a write on an old revision is refused."""

    def __init__(
        self, tables: Tables, read: Callable[[Document], Document] = lambda found: found, site: str = ONLY_SITE
    ) -> None:
        self._db, self._read, self.site = tables.db, read, site
        self._sites, self._steps, self._places = tables.site, tables.step, tables.place

    def _at(self, number: Any) -> Any:
        """The condition of a step of this site."""
        return (self._steps.site == self.site) & (self._steps.number == number)

    def _here(self) -> Any:
        return self._places.site == self.site

    def empty(self) -> bool:
        """Whether nothing was ever written."""
        return not self._places.select().where(self._here()).exists()

    def start(self, document: dict[str, Any], label: str) -> State:
        """Write the first step into an empty history."""
        with self._db.atomic("IMMEDIATE"):
            if self._sites.get_or_none(self._sites.id == self.site) is None:
                last = self._sites.select(fn.MAX(self._sites.number)).scalar() or 0
                self._sites.create(id=self.site, number=last + 1, made=now())
            self._steps.create(site=self.site, number=1, label=label, document=_text(document), made=now())
            self._places.create(site=self.site, revision=1, step=1)
            return self._state()

    def _place(self) -> Place:
        place: Place | None = self._places.get_or_none(self._here())
        if place is None:
            raise NotFoundError("There is no site here yet.")
        return place

    def _state(self) -> State:
        place = self._place()
        step: Step = self._steps.get(self._at(place.step))
        following: Step | None = self._steps.get_or_none(self._at(step.number + 1))
        first: int = self._steps.select(fn.MIN(self._steps.number)).where(self._steps.site == self.site).scalar()
        return State(
            place.revision,
            self._read(json.loads(step.document)),
            step.label if step.number > first else None,
            following.label if following else None,
            step.made,
        )

    def revision(self) -> int:
        """The present revision alone."""
        return self._place().revision

    def state(self) -> State:
        """Where the site stands."""
        with self._db.atomic():
            return self._state()

    def before(self) -> dict[str, Any] | None:
        """The document one step back, or None at the first step."""
        with self._db.atomic():
            step: Step | None = self._steps.get_or_none(self._at(self._place().step - 1))
            return self._read(json.loads(step.document)) if step else None

    def _checked(self, based_on: int) -> Place:
        place = self._place()
        if place.revision != based_on:
            raise StaleError(based_on, place.revision)
        return place

    def _move(self, place: Place, number: int) -> State:
        self._places.update(step=number, revision=place.revision + 1).where(self._here()).execute()
        return self._state()

    def change(self, based_on: int, document: dict[str, Any], label: str) -> State:
        """Add a step behind the present one; steps that had been undone are dropped. Raises StaleError."""
        with self._db.atomic("IMMEDIATE"):
            place = self._checked(based_on)
            number = place.step
            self._steps.delete().where((self._steps.site == self.site) & (self._steps.number > number)).execute()
            self._steps.create(site=self.site, number=number + 1, label=label, document=_text(document), made=now())
            return self._move(place, number + 1)

    def undo(self, based_on: int) -> State:
        """Go one step back. Raises StaleError, or NotFoundError at the first step."""
        return self._step(based_on, -1, "There is nothing to undo.")

    def redo(self, based_on: int) -> State:
        """Go one step forward. Raises StaleError, or NotFoundError at the last step."""
        return self._step(based_on, 1, "There is nothing to redo.")

    def _step(self, based_on: int, by: int, refusal: str) -> State:
        with self._db.atomic("IMMEDIATE"):
            place = self._checked(based_on)
            number = place.step + by
            if not self._steps.select().where(self._at(number)).exists():
                raise NotFoundError(refusal)
            return self._move(place, number)
