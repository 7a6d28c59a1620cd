"""Looking at a data folder as a whole: every row, every hash, every reference. Nothing is changed."""

import sqlite3
from collections.abc import Callable, Collection, Iterator
from contextlib import closing
from dataclasses import dataclass
from pathlib import Path

from ..core.document import read_site
from ..core.errors import DocumentError
from .opening import DATABASE, inspect, read_only
from .pictures import hash_of
from .references import documents, has_fonts, hashes_in
from .releases import released
from .sites import standing
from .trouble import FolderError


@dataclass(frozen=True)
class Finding:
    """Something that is not as it should be. `grave`: something of the owner's is lost or wrong."""

    grave: bool
    what: str


Progress = Callable[[str, float], None]


def _database(folder: Path) -> Iterator[Finding]:
    try:
        inspect(folder / DATABASE)
        with closing(read_only(folder / DATABASE)) as db:
            for (line,) in db.execute("PRAGMA integrity_check(20)"):
                if line != "ok":
                    yield Finding(True, f"The database is damaged: {line}.")
            for table, row, *_ in db.execute("PRAGMA foreign_key_check"):
                yield Finding(True, f"Row {row} of {table} refers to something that is not there.")
    except FolderError as error:
        yield Finding(True, error.message)
    except sqlite3.Error as error:
        yield Finding(True, f"The database is damaged: {error}.")


def _fonts_known(db: sqlite3.Connection) -> dict[str, int]:
    """Owners' fonts by hash, and how many bytes each has."""
    return dict(db.execute("SELECT hash, bytes FROM font").fetchall()) if has_fonts(db) else {}


def _lacking(document: object, named: str, pictures: Collection[str], fonts: Collection[str]) -> Iterator[Finding]:
    """What a document names and the database does not know."""
    for what, kind, known in (("picture", "assets", pictures), ("font", "fonts", fonts)):
        for missing in sorted(hashes_in(document, kind) - set(known)):
            yield Finding(True, f"{named} names the {what} {missing[:10]}, which the database does not know.")


def _fonts(db: sqlite3.Connection, folder: Path) -> Iterator[Finding]:
    known = _fonts_known(db)
    for hash_, size in sorted(known.items()):
        try:
            data = (folder / "fonts" / hash_[:2] / hash_).read_bytes()
        except OSError as error:
            yield Finding(True, f"The font {hash_[:10]} cannot be read: {error.strerror}.")
            continue
        if hash_of(data) != hash_ or len(data) != size:
            yield Finding(True, f"The font {hash_[:10]} is damaged: its bytes are not what they were.")
    for file in sorted((folder / "fonts").glob("*/*")):
        if file.name not in known:
            what = "half a file, left by a crash" if file.name.startswith(".part-") else "a file without a row"
            yield Finding(False, f"{file.relative_to(folder)} is {what}; `tidy` removes it.")


def _steps(db: sqlite3.Connection, progress: Progress) -> Iterator[Finding]:
    (count,) = db.execute("SELECT COUNT(*) FROM step").fetchone()
    known = {hash_ for (hash_,) in db.execute("SELECT hash FROM picture")}
    fonts = _fonts_known(db)
    places = standing(db)
    numbers: dict[str, set[int]] = {}
    several = len(places) > 1
    for n, (site, number, document) in enumerate(documents(db)):
        progress(f"step {number}", n / max(1, count) / 2)
        numbers.setdefault(site, set()).add(number)
        named = f"Step {number} of {site}" if several else f"Step {number}"
        try:
            read_site(document)
        except DocumentError as error:
            yield Finding(True, f"{named} is no document that can be read: {error.path}: {error.message}")
        yield from _lacking(document, named, known, fonts)
    for site in sorted(set(numbers) - set(places)):
        yield Finding(True, f"The database does not say at which step the site {site!r} stands.")
    for site, (_, step) in sorted(places.items()):
        if step not in numbers.get(site, set()):
            yield Finding(True, f"The site {site!r} stands at step {step}, which is not there.")


def _originals(db: sqlite3.Connection, folder: Path, progress: Progress) -> Iterator[Finding]:
    rows = db.execute("SELECT hash, bytes FROM picture").fetchall()
    originals = folder / "pictures" / "originals"
    for n, (hash_, size) in enumerate(rows):
        progress(f"picture {hash_[:10]}", 0.5 + n / max(1, len(rows)) / 2)
        file = originals / hash_[:2] / hash_
        try:
            data = file.read_bytes()
        except OSError as error:
            yield Finding(True, f"The picture {hash_[:10]} cannot be read: {error.strerror}.")
            continue
        if hash_of(data) != hash_:
            yield Finding(True, f"The picture {hash_[:10]} is damaged: its bytes are not what they were.")
        elif len(data) != size:
            yield Finding(True, f"The picture {hash_[:10]} has {len(data):,} bytes; its row says {size:,}.")
    known = {hash_ for hash_, _ in rows}
    for file in sorted(originals.glob("*/*")):
        if file.name not in known:
            what = "half a file, left by a crash" if file.name.startswith(".part-") else "a file without a row"
            yield Finding(False, f"{file.relative_to(folder)} is {what}; `tidy` removes it.")


def _releases(db: sqlite3.Connection, folder: Path) -> Iterator[Finding]:
    known = {hash_ for (hash_,) in db.execute("SELECT hash FROM picture")}
    fonts = _fonts_known(db)
    files: dict[str, str] = {}
    for site, number, document, held in released(db):
        named = f"Release {number} of {site}"
        try:
            read_site(document)
        except DocumentError as error:
            yield Finding(True, f"{named} is no document that can be read: {error.path}: {error.message}")
        yield from _lacking(document, named, known, fonts)
        if not held:
            yield Finding(True, f"{named} does not say what files it has.")
        files = {file.hash: named for file in held.values()} | files
    for hash_, named in sorted(files.items()):
        try:
            whole = hash_of((folder / "releases" / hash_[:2] / hash_).read_bytes()) == hash_
        except OSError:
            whole = False
        if not whole:
            yield Finding(True, f"A file of {named} ({hash_[:10]}) is damaged or gone; put the site live once more.")


def _derived(db: sqlite3.Connection, folder: Path) -> Iterator[Finding]:
    """Renditions and fitted files: what is damaged is made anew, so nothing here is grave."""
    tables = {name for (name,) in db.execute("SELECT name FROM sqlite_master WHERE type = 'table'")}
    made = db.execute("SELECT name, hash FROM made").fetchall() if "made" in tables else []
    files = [(folder / "pictures" / "renditions" / name[:2] / name, hash_) for name, hash_ in made]
    fitted = db.execute("SELECT DISTINCT hash FROM fitted").fetchall() if "fitted" in tables else []
    files += [(folder / "fitted" / hash_[:2] / hash_, hash_) for (hash_,) in fitted]
    for file, hash_ in files:
        if file.exists() and hash_of(file.read_bytes()) != hash_:
            yield Finding(False, f"{file.relative_to(folder)} is damaged; it is made anew when it is needed.")


def verify(folder: Path, progress: Progress = lambda _, __: None) -> list[Finding]:
    """Everything that is wrong with a data folder."""
    if not (folder / DATABASE).exists():
        return [Finding(True, f"{folder} holds no site: there is no {DATABASE}.")]
    found = list(_database(folder))
    if any(f.grave for f in found):
        return found
    with closing(read_only(folder / DATABASE)) as db:
        found += _steps(db, progress)
        found += _originals(db, folder, progress)
        found += _fonts(db, folder)
        found += _releases(db, folder)
        found += _derived(db, folder)
    for copy in sorted((folder / "copies").glob("????-??-??.sqlite")):
        try:
            inspect(copy)
        except FolderError as error:
            found.append(Finding(False, f"A daily copy cannot be used: {error.message}"))
    return found
