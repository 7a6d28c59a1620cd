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
from .opening import copy_database, read_only
from .trouble import DamagedError


@dataclass(frozen=True)
class Copy:
    """A kept copy: its day, the revision and the number of steps in it, what the last one was called and when."""

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

    def list(self) -> list[Copy]:
        """All copies that can be read, newest first."""
        found = []
        for day in self._days():
            try:
                with closing(read_only(self._file(day))) as db:
                    revision, step = db.execute("SELECT revision, step FROM place").fetchone()
                    label, made = db.execute("SELECT label, made FROM step WHERE number = ?", (step,)).fetchone()
                    (steps,) = db.execute("SELECT COUNT(*) FROM step WHERE number <= ?", (step,)).fetchone()
            except (sqlite3.Error, TypeError):
                continue
            found.append(Copy(day, revision, steps, label, made))
        return found

    def document(self, day: str) -> dict[str, Any]:
        """The site as it stood in the copy of a day. Raises NotFoundError or DamagedError."""
        if day not in self._days():
            raise NotFoundError("There is no copy of this day.")
        try:
            with closing(read_only(self._file(day))) as db:
                query = "SELECT document FROM step JOIN place ON place.step = step.number"
                return migrate(json.loads(db.execute(query).fetchone()[0]))
        except (sqlite3.Error, TypeError, ValueError) as error:
            raise DamagedError("This copy is damaged and cannot be brought back. Nothing was changed.") from error

    def keep(self, revision: int, day: date | None = None) -> bool:
        """Make the day's copy, if there is none yet and something has changed since the last; old ones are dropped."""
        wanted = (day or today()).isoformat()
        there = self.list()
        if any(c.day == wanted or c.revision == revision for c in there):
            return False
        copy_database(self._database, self._file(wanted))
        for old in self._days()[COPIES:]:
            self._file(old).unlink(missing_ok=True)
        return True
