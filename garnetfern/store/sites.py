"""The sites of a data folder: which there are, in what order, and which were removed."""

import sqlite3
from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

from peewee import fn

from ..core.errors import NotFoundError
from .history import Document, History
from .migrations import ONLY_SITE, now
from .tables import SiteRow, Tables


@dataclass(frozen=True)
class KeptSite:
    """A site's id and name, when it was begun, and when it was removed (None: it is there)."""

    id: str
    name: str
    made: str
    removed: str | None


class Sites:
    """Reads and writes the rows; every method is one transaction. A removed site keeps all that it has."""

    def __init__(self, tables: Tables, read: Callable[[Document], Document]) -> None:
        self._tables, self._db, self._rows, self._read = tables, tables.db, tables.site, read

    def list(self, removed: bool = False) -> list[KeptSite]:
        """Those that are there in their order, or those that were removed, the last one first."""
        rows = self._named()
        if removed:
            rows = rows.where(self._rows.removed.is_null(False)).order_by(self._rows.removed.desc(), self._rows.number)
        else:
            rows = rows.where(self._rows.removed.is_null()).order_by(self._rows.number)
        return [KeptSite(*row) for row in rows.tuples()]

    def _named(self) -> Any:
        """Every row with the name that the document has now."""
        step, place, row = self._tables.step, self._tables.place, self._rows
        return (
            row.select(row.id, fn.json_extract(step.document, "$.name"), row.made, row.removed)
            .join(place, on=(place.site == row.id))
            .join(step, on=((step.site == place.site) & (step.number == place.step)))
        )

    def there(self, site: str) -> bool | None:
        """Whether a site is on the list; None where there never was one of this id. Reads no document."""
        row: SiteRow | None = self._rows.get_or_none(self._rows.id == site)
        return None if row is None else row.removed is None

    def first(self) -> str | None:
        """The id of the first site on the list. Reads no document."""
        row = self._rows.select(self._rows.id).where(self._rows.removed.is_null()).order_by(self._rows.number).first()
        return None if row is None else str(row.id)

    def history(self, site: str) -> History:
        """The history of a site, which may be one that is yet to begin."""
        return History(self._tables, self._read, site)

    def _row(self, site: str) -> SiteRow:
        row: SiteRow | None = self._rows.get_or_none(self._rows.id == site)
        if row is None:
            raise NotFoundError(f"There is no site {site!r} here.")
        return row

    def remove(self, site: str) -> None:
        """Take a site off the list; all that it has is kept. Raises NotFoundError."""
        with self._db.atomic("IMMEDIATE"):
            row = self._row(site)
            row.removed = row.removed or now()
            row.save()

    def bring_back(self, site: str) -> None:
        """Put a removed site back where it was. Raises NotFoundError."""
        with self._db.atomic("IMMEDIATE"):
            row = self._row(site)
            row.removed = None
            row.save()

    def move(self, site: str, to: int) -> None:
        """Another place among those that are there. Raises NotFoundError."""
        with self._db.atomic("IMMEDIATE"):
            self._row(site)
            rest = [s.id for s in self.list() if s.id != site]
            gone = [s.id for s in self.list(removed=True) if s.id != site]
            for number, name in enumerate([*rest[:to], site, *rest[to:], *gone], start=1):
                self._rows.update(number=number).where(self._rows.id == name).execute()

    def revisions(self) -> int:
        """The sum of all revisions: another whenever anything of any site has changed."""
        places = self._tables.place
        return int(places.select(fn.SUM(places.revision)).scalar() or 0)


def which_site(db: sqlite3.Connection, table: str) -> str:
    """What says of a row whose it is, in a database of any version of ours."""
    columns = {name for _, name, *_ in db.execute(f"PRAGMA table_info({table})")}
    return "site" if "site" in columns else f"'{ONLY_SITE}'"


def standing(db: sqlite3.Connection) -> dict[str, tuple[int, int]]:
    """Revision and step of every site."""
    rows = db.execute(f"SELECT {which_site(db, 'place')}, revision, step FROM place")
    return {site: (revision, step) for site, revision, step in rows}


def step_of(db: sqlite3.Connection, site: str, number: int, what: str) -> Any:
    """Columns of one step of a site."""
    query = f"SELECT {what} FROM step WHERE number = ? AND {which_site(db, 'step')} = ?"
    return db.execute(query, (number, site)).fetchone()


def steps_to(db: sqlite3.Connection, site: str, number: int) -> int:
    """How many steps of a site lead to one of them, with it."""
    query = f"SELECT COUNT(*) FROM step WHERE number <= ? AND {which_site(db, 'step')} = ?"
    return int(db.execute(query, (number, site)).fetchone()[0])
