"""The history of the site document: every change is a step, undo and redo move along the steps."""

import json
from dataclasses import dataclass
from typing import Any

from peewee import SqliteDatabase, fn

from ..core import limits
from ..core.document import migrate
from ..core.errors import DocumentError, NotFoundError, Problem, StaleError
from .database import now
from .tables import Place, Step


@dataclass(frozen=True)
class State:
    """The present state: revision, document as plain JSON, what undo and redo would do, and when it was kept."""

    revision: int
    document: dict[str, Any]
    undo: str | None
    redo: str | None
    kept: str


class History:
    """Reads and writes the steps. Every method is one transaction; a write on an old revision is refused."""

    def __init__(self, db: SqliteDatabase) -> None:
        self._db = db

    def empty(self) -> bool:
        """Whether nothing was ever written."""
        return not Place.select().exists()

    def start(self, document: dict[str, Any], label: str) -> State:
        """Write the first step into an empty history."""
        with self._db.atomic("IMMEDIATE"):
            Step.create(number=1, label=label, document=json.dumps(document), made=now())
            Place.create(id=1, revision=1, step=1)
            return self._state()

    def _place(self) -> Place:
        place: Place | None = Place.get_or_none()
        if place is None:
            raise NotFoundError("There is no site here yet.")
        return place

    def _state(self) -> State:
        place = self._place()
        step: Step = place.step
        following: Step | None = Step.get_or_none(Step.number == step.number + 1)
        first: int = Step.select(fn.MIN(Step.number)).scalar()
        return State(
            place.revision,
            migrate(json.loads(step.document)),
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
            step: Step | None = Step.get_or_none(Step.number == self._place().step.number - 1)
            return migrate(json.loads(step.document)) if step else None

    def _checked(self, based_on: int) -> Place:
        place = self._place()
        if place.revision != based_on:
            raise StaleError(based_on, place.revision)
        return place

    def _move(self, place: Place, number: int) -> State:
        Place.update(step=number, revision=place.revision + 1).execute()
        return self._state()

    def change(self, based_on: int, document: dict[str, Any], label: str) -> State:
        """Add a step behind the present one; steps that had been undone are dropped. Raises StaleError."""
        with self._db.atomic("IMMEDIATE"):
            place = self._checked(based_on)
            number = place.step.number
            Step.delete().where(Step.number > number).execute()
            Step.create(number=number + 1, label=label, document=json.dumps(document), made=now())
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
            number = place.step.number + by
            if not Step.select().where(Step.number == number).exists():
                raise NotFoundError(refusal)
            return self._move(place, number)
