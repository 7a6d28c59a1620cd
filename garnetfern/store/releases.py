"""What was put live: numbered, never changed, its files kept by their content. A site's last one is what is live."""

import json
import sqlite3
from collections.abc import Iterator
from dataclasses import dataclass
from pathlib import Path
from typing import Any

from peewee import fn

from ..core.errors import GarnetfernError, NotFoundError
from .files import write_whole
from .history import Document
from .migrations import now
from .pictures import hash_of
from .tables import ReleaseRow, Tables
from .trouble import DamagedError

REACHABLE = 10
"""Files of so many releases stay where they were, so that a page that somebody has open goes on to find its own."""
FOLDER = "releases"


@dataclass(frozen=True)
class ReleasedFile:
    """A file of a release: the SHA-256 of its content, and its size in bytes."""

    hash: str
    bytes: int


@dataclass(frozen=True)
class Release:
    """A release: when it was made of which revision, of which earlier one it is the same, its files by their path, and
    what was measured of it."""

    number: int
    made: str
    revision: int
    back: int | None
    files: dict[str, ReleasedFile]
    facts: dict[str, Any]


class NameTakenError(GarnetfernError):
    """A file that would come to lie under the name of another that visitors may still have."""

    kind = "name-taken"


def is_page(path: str) -> bool:
    """Whether a file is a page, whose name stays; all other names change with their content."""
    return path.endswith(".html")


def _files(text: str) -> dict[str, ReleasedFile]:
    return {path: ReleasedFile(hash_, size) for path, (hash_, size) in json.loads(text).items()}


class Releases:
    """Reads and writes releases; a row is written once all its files lie whole on the disk, and never again."""

    def __init__(self, tables: Tables, folder: Path) -> None:
        self._db, self._rows, self._folder = tables.db, tables.release, folder
        self._reach: dict[str, tuple[int, dict[str, ReleasedFile]]] = {}

    def path(self, hash_: str) -> Path:
        """Where a file of this content lies."""
        return self._folder / hash_[:2] / hash_

    def _of(self, site: str) -> Any:
        return self._rows.select().where(self._rows.site == site)

    @staticmethod
    def _release(row: ReleaseRow) -> Release:
        facts = json.loads(row.facts)
        return Release(row.number, row.made, row.revision, row.back, _files(row.files), facts)

    def list(self, site: str, most: int | None = None) -> list[Release]:
        """The releases of a site, the last one, which is live, first."""
        rows = self._of(site).order_by(self._rows.number.desc()).limit(most)
        return [self._release(row) for row in rows]

    def live(self, site: str) -> Release | None:
        """What is live; None where nothing was put live yet."""
        return next(iter(self.list(site, 1)), None)

    def _row(self, site: str, number: int) -> ReleaseRow:
        row: ReleaseRow | None = self._rows.get_or_none((self._rows.site == site) & (self._rows.number == number))
        if row is None:
            raise NotFoundError(f"There is no release {number} of this site.")
        return row

    def get(self, site: str, number: int) -> Release:
        """One of them. Raises NotFoundError."""
        return self._release(self._row(site, number))

    def document(self, site: str, number: int) -> Document:
        """The document of a release, of whatever version it was. Raises NotFoundError."""
        found: Document = json.loads(self._row(site, number).document)
        return found

    def reachable(self, site: str) -> dict[str, ReleasedFile]:
        """What a host has to hold: the files of what is live, and those of earlier releases that pages may still ask
        for. Pages themselves are the live ones alone."""
        last = self._last(site)
        known = self._reach.get(site)
        if known is None or known[0] != last:
            known = self._reach[site] = last, self._reached(site)
        return known[1]

    def _last(self, site: str) -> int:
        """The number of what is live; 0 where nothing is."""
        return int(self._rows.select(fn.MAX(self._rows.number)).where(self._rows.site == site).scalar() or 0)

    def _reached(self, site: str) -> dict[str, ReleasedFile]:
        kept = self.list(site, REACHABLE)
        older = {path: file for r in reversed(kept) for path, file in r.files.items() if not is_page(path)}
        return older | (kept[0].files if kept else {})

    def keep(self, data: bytes) -> ReleasedFile:
        """Keep a file by its content; the same is kept once."""
        hash_ = hash_of(data)
        target = self.path(hash_)
        if not target.exists() or hash_of(target.read_bytes()) != hash_:
            write_whole(target, data)
        return ReleasedFile(hash_, len(data))

    def data(self, file: ReleasedFile) -> bytes:
        """A file's content. Raises DamagedError where it is not what it was, or gone."""
        try:
            found = self.path(file.hash).read_bytes()
        except OSError:
            found = b""
        if hash_of(found) != file.hash:
            raise DamagedError(
                f"A released file ({file.hash[:10]}) is not what it was on the disk. Put the site live once more."
            )
        return found

    def publish(
        self, site: str, revision: int, document: Document, files: dict[str, ReleasedFile], facts: dict[str, Any]
    ) -> Release:
        """Put live what was kept, as the next release. Raises NameTakenError; then nothing has changed."""
        return self._add(site, revision, json.dumps(document), files, facts, None)

    def back(self, site: str, number: int) -> Release:
        """Put live again what an earlier release was, as a new one. Raises NotFoundError, or DamagedError where a file
        of it is not what it was; then nothing has changed."""
        row = self._row(site, number)
        files = _files(row.files)
        for file in files.values():
            self.data(file)
        return self._add(site, row.revision, row.document, files, json.loads(row.facts), number)

    def _add(
        self,
        site: str,
        revision: int,
        document: str,
        files: dict[str, ReleasedFile],
        facts: dict[str, Any],
        back: int | None,
    ) -> Release:
        with self._db.atomic("IMMEDIATE"):
            for path, known in self.reachable(site).items():
                if not is_page(path) and path in files and files[path] != known:
                    raise NameTakenError(f"{path} would hold something else than visitors have of that name.")
            last = self._last(site)
            listed = json.dumps({path: [file.hash, file.bytes] for path, file in sorted(files.items())})
            made = {"made": now(), "revision": revision, "back": back}
            texts = {"document": document, "files": listed, "facts": json.dumps(facts)}
            self._rows.create(site=site, number=last + 1, **made, **texts)
        return self.get(site, last + 1)


def _has_releases(db: sqlite3.Connection) -> bool:
    """Whether a database, which may be of an earlier version, knows of releases."""
    return db.execute("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = 'release'").fetchone() is not None


def live_releases(db: sqlite3.Connection) -> dict[str, int]:
    """The number of what is live, by site."""
    return dict(db.execute("SELECT site, MAX(number) FROM release GROUP BY site")) if _has_releases(db) else {}


def released(db: sqlite3.Connection) -> Iterator[tuple[str, int, Any, dict[str, ReleasedFile]]]:
    """Site, number, document and files of every release in a database of any version of ours; no document and no files
    where they cannot be read."""
    query = "SELECT site, number, document, files FROM release ORDER BY site, number"
    rows = db.execute(query) if _has_releases(db) else ()
    for site, number, document, files in rows:
        try:
            yield site, number, json.loads(document), _files(files)
        except (ValueError, TypeError):
            yield site, number, None, {}
