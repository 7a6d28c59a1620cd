"""Daily copies of the database, made when something has changed. Pictures need none: their files never change."""

import json
import sqlite3
from contextlib import closing
from dataclasses import dataclass
from datetime import UTC, date, datetime
from pathlib import Path
from typing import Any

from ..core.document import migrate
from ..core.errors import NotFoundError
from ..core.limits import COPIES
from .migrations import ONLY_SITE
from .opening import copy_database, read_only
from .sites import standing, step_of, steps_to
from .trouble import DamagedError


@dataclass(frozen=True)
class Copy:
    """A site in a kept copy: its day, revision and number of steps, what the last one was called and when it was."""

    day: str
    revision: int
    steps: int
    label: str
    made: str


def today() -> date:
    """The present day, UTC."""
    return datetime.now(UTC).date()


class Copies:
    """The copies of one data folder."""

    def __init__(self, database: Path, folder: Path) -> None:
        self._database, self._folder = database, folder

    def _file(self, day: str) -> Path:
        return self._folder / f"{day}.sqlite"

    def _days(self) -> list[str]:
        """The days of the copies that there are, newest first."""
        return sorted((f.stem for f in self._folder.glob("????-??-??.sqlite")), reverse=True)

    def list(self, site: str = ONLY_SITE) -> list[Copy]:
        """All copies of a site that can be read, newest first."""
        found = []
        for day in self._days():
            try:
                with closing(read_only(self._file(day))) as db:
                    revision, step = standing(db)[site]
                    label, made = step_of(db, site, step, "label, made")
                    steps = steps_to(db, site, step)
            except (sqlite3.Error, TypeError, KeyError):
                continue
            found.append(Copy(day, revision, steps, label, made))
        return found

    def _revisions(self, day: str) -> int | None:
        """The sum of all revisions in a copy; None where it cannot be read."""
        try:
            with closing(read_only(self._file(day))) as db:
                return sum(revision for revision, _ in standing(db).values())
        except sqlite3.Error:
            return None

    def document(self, day: str, site: str = ONLY_SITE) -> dict[str, Any]:
        """The site as it stood in the copy of a day. Raises NotFoundError or DamagedError."""
        if day not in self._days():
            raise NotFoundError("There is no copy of this day.")
        try:
            with closing(read_only(self._file(day))) as db:
                step = standing(db).get(site)
                if step is None:
                    raise NotFoundError("This site is not in the copy of this day.")
                return migrate(json.loads(step_of(db, site, step[1], "document")[0]))
        except (sqlite3.Error, TypeError, ValueError) as error:
            raise DamagedError("This copy is damaged and cannot be brought back. Nothing was changed.") from error

    def keep(self, revisions: int, day: date | None = None) -> bool:
        """Make the day's copy, if there is none yet and something has changed since the last; old ones are dropped."""
        wanted = (day or today()).isoformat()
        there = self._days()
        if wanted in there or any(self._revisions(day) == revisions for day in there):
            return False
        copy_database(self._database, self._file(wanted))
        for old in self._days()[COPIES:]:
            self._file(old).unlink(missing_ok=True)
        return True
