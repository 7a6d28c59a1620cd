"""Whether a database may be opened: looked at without touching it, migrated on a copy first."""

import os
import shutil
import sqlite3
from contextlib import closing
from pathlib import Path

from peewee import SqliteDatabase

from .migrations import APPLICATION_ID, NAMES, migrate
from .trouble import FolderError

DATABASE = "garnetfern.sqlite"
MAGIC = b"SQLite format 3\x00"
TABLES = frozenset({"step", "place", "picture"})


def read_only(file: Path) -> sqlite3.Connection:
    """A connection that cannot change the database."""
    return sqlite3.connect(f"{file.resolve().as_uri()}?mode=ro", uri=True, timeout=5, check_same_thread=False)


def _refuse(file: Path, why: str, hint: str = "Bring back a backup with `garnetfern restore`.") -> FolderError:
    return FolderError(f"{file} {why} Nothing in it was touched. {hint}")


def _bytes_of(file: Path) -> bytes:
    try:
        with file.open("rb") as stream:
            return stream.read(100)
    except OSError as error:
        hint = "Give the application the right to read it."
        raise _refuse(file, f"cannot be read ({error.strerror}).", hint) from error


def _done(db: sqlite3.Connection, file: Path) -> list[str]:
    """The migrations that were carried out, after making sure that the database is ours and not newer."""
    (own,) = db.execute("PRAGMA application_id").fetchone()
    names = {name for (name,) in db.execute("SELECT name FROM sqlite_master WHERE type = 'table'")}
    if own not in (0, APPLICATION_ID) or (names and "migration" not in names) or (own and not names):
        raise _refuse(file, "is a database of another application.", "Give another folder with --data.")
    if not names:
        return []
    done = [name for (name,) in db.execute("SELECT name FROM migration ORDER BY name")]
    newer = [name for name in done if name not in NAMES]
    if newer:
        why = f"was written by a newer version of this application (it knows {newer[-1]!r})."
        raise _refuse(file, why, "Use that version.")
    if done and not names >= TABLES:
        raise _refuse(file, "lacks tables that it should have.")
    return done


def inspect(file: Path) -> list[str]:
    """The names of the migrations that a database has seen. Raises FolderError for what cannot be opened."""
    head = _bytes_of(file)
    if not head and not Path(f"{file}-wal").exists():
        raise _refuse(file, "is empty (0 bytes), where a database should be.")
    if head and not head.startswith(MAGIC):
        raise _refuse(file, "is no database: it begins otherwise.")
    try:
        with closing(read_only(file)) as db:
            (verdict,) = db.execute("PRAGMA quick_check(1)").fetchone()
            if verdict != "ok":
                raise _refuse(file, f"is damaged ({' '.join(str(verdict).split())[:120]}).")
            return _done(db, file)
    except sqlite3.Error as error:
        raise _refuse(file, f"is damaged ({error}).") from error


def copy_database(source: Path, target: Path) -> None:
    """A consistent copy of a database that is in use (SQLite's online backup), written aside and renamed."""
    target.parent.mkdir(parents=True, exist_ok=True)
    part = target.with_name(f".part-{target.name}")
    part.unlink(missing_ok=True)
    try:
        with closing(read_only(source)) as old, closing(sqlite3.connect(part)) as new:
            old.backup(new)
            new.execute("PRAGMA journal_mode = delete")
        with part.open("rb+") as file:
            os.fsync(file.fileno())
        part.replace(target)
    except BaseException:
        part.unlink(missing_ok=True)
        raise


def rehearse(file: Path, work: Path) -> None:
    """Carry out the migrations on a copy. Raises FolderError where they do not succeed; then nothing was touched."""
    work.mkdir(parents=True, exist_ok=True)
    copy = work / f"rehearsal-{DATABASE}"
    try:
        copy_database(file, copy)
        db = SqliteDatabase(str(copy))
        try:
            migrate(db)
            ((verdict,),) = db.execute_sql("PRAGMA quick_check(1)").fetchall()
        finally:
            db.close()
        if verdict != "ok":
            raise _refuse(file, f"cannot be brought to the present form ({verdict}).")
    except FolderError:
        raise
    except Exception as error:
        raise _refuse(file, f"cannot be brought to the present form ({error}).") from error
    finally:
        for leftover in work.glob(f"rehearsal-{DATABASE}*"):
            leftover.unlink(missing_ok=True)


def keep_before(file: Path, folder: Path) -> Path:
    """Keep the database as it is before it is migrated."""
    kept = folder / f"before-{NAMES[-1].split()[0]}.sqlite"
    copy_database(file, kept)
    return kept


def check_folder(folder: Path) -> None:
    """Raise FolderError where a folder holds a site's pictures, but not its database: it is not begun anew."""
    if (folder / DATABASE).exists():
        return
    pictures = folder / "pictures" / "originals"
    if pictures.is_dir() and any(pictures.iterdir()):
        message = (
            f"{folder} holds pictures of a site, but its database ({DATABASE}) is missing. Nothing was touched. "
            "Put it back, or bring back a backup with `garnetfern restore`."
        )
        raise FolderError(message)
    found = folder.iterdir() if folder.is_dir() else iter(())
    strangers = [p.name for p in found if p.name not in OURS and not p.name.startswith((".", DATABASE))]
    if strangers:
        message = (
            f"{folder} holds {strangers[0]!r}, which is none of this application's files, and no site. "
            "Nothing was touched. Give an empty folder with --data."
        )
        raise FolderError(message)


OURS = frozenset({"in-use", "pictures", "fitted", "releases", "copies", "log", "work"})
"""What a data folder of ours holds."""


def room_for(file: Path) -> None:
    """Raise FolderError where the disk has no room for a copy of the database."""
    size = file.stat().st_size
    free = shutil.disk_usage(file.parent).free
    if free < 2 * size + 1_000_000:
        why = "cannot be brought to the present form: the disk is too full for a copy."
        raise _refuse(file, why, "Make room first.")
