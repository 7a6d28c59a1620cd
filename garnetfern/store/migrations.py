"""How the tables came to their present form. Each step and the record of it are one transaction."""

from collections.abc import Callable
from datetime import UTC, datetime

from peewee import SqliteDatabase

APPLICATION_ID = 0x47464E31
"""What a database says that is ours (SQLite file format, section 1.3.17): `GFN1`."""


def now() -> str:
    """The present moment as ISO 8601, UTC, whole seconds."""
    return datetime.now(UTC).replace(microsecond=0).isoformat()


def _first_tables(db: SqliteDatabase) -> None:
    db.execute_sql(
        "CREATE TABLE step (number INTEGER PRIMARY KEY, label TEXT NOT NULL, "
        "document TEXT NOT NULL, made TEXT NOT NULL)"
    )
    db.execute_sql(
        "CREATE TABLE place (id INTEGER PRIMARY KEY CHECK (id = 1), revision INTEGER NOT NULL, "
        "step INTEGER NOT NULL REFERENCES step (number))"
    )
    db.execute_sql(
        "CREATE TABLE picture (hash TEXT PRIMARY KEY, type TEXT NOT NULL, width INTEGER NOT NULL, "
        "height INTEGER NOT NULL, bytes INTEGER NOT NULL, alpha INTEGER NOT NULL, added TEXT NOT NULL)"
    )


def _looks_and_jobs(db: SqliteDatabase) -> None:
    db.execute_sql("ALTER TABLE picture ADD COLUMN look TEXT NOT NULL DEFAULT ''")
    db.execute_sql(
        "CREATE TABLE job (id INTEGER PRIMARY KEY AUTOINCREMENT, kind TEXT NOT NULL, state TEXT NOT NULL, "
        "done INTEGER NOT NULL DEFAULT 0, total INTEGER NOT NULL DEFAULT 0, message TEXT NOT NULL DEFAULT '', "
        "made TEXT NOT NULL)"
    )
    db.execute_sql(
        "CREATE TABLE fitted (key TEXT PRIMARY KEY, hash TEXT NOT NULL, quality INTEGER NOT NULL, "
        "ssim REAL NOT NULL, bytes INTEGER NOT NULL, fits INTEGER NOT NULL)"
    )


def _hashes_of_renditions(db: SqliteDatabase) -> None:
    db.execute_sql("CREATE TABLE made (name TEXT PRIMARY KEY, hash TEXT NOT NULL)")
    db.execute_sql(f"PRAGMA application_id = {APPLICATION_ID}")


def _films(db: SqliteDatabase) -> None:
    db.execute_sql("ALTER TABLE picture ADD COLUMN duration REAL NOT NULL DEFAULT 0")
    db.execute_sql("ALTER TABLE picture ADD COLUMN rate REAL NOT NULL DEFAULT 0")


ONLY_SITE = "site"
"""The id of the site of a folder that held one alone, and of the first that is begun in an empty one."""


def _sites(db: SqliteDatabase) -> None:
    """One site becomes one of several; its history and its work are its own."""
    db.execute_sql("CREATE TABLE site (id TEXT PRIMARY KEY, number INTEGER NOT NULL, made TEXT NOT NULL, removed TEXT)")
    db.execute_sql(
        "CREATE TABLE steps (site TEXT NOT NULL REFERENCES site (id), number INTEGER NOT NULL, label TEXT NOT NULL, "
        "document TEXT NOT NULL, made TEXT NOT NULL, PRIMARY KEY (site, number))"
    )
    db.execute_sql(
        "CREATE TABLE places (site TEXT PRIMARY KEY REFERENCES site (id), revision INTEGER NOT NULL, "
        "step INTEGER NOT NULL, FOREIGN KEY (site, step) REFERENCES steps (site, number))"
    )
    db.execute_sql(
        "INSERT INTO site (id, number, made) SELECT ?, 1, (SELECT made FROM step ORDER BY number LIMIT 1) FROM place",
        (ONLY_SITE,),
    )
    db.execute_sql(
        "INSERT INTO steps SELECT ?, number, label, document, made FROM step WHERE EXISTS (SELECT 1 FROM place)",
        (ONLY_SITE,),
    )
    db.execute_sql("INSERT INTO places SELECT ?, revision, step FROM place", (ONLY_SITE,))
    for old in ("place", "step"):
        db.execute_sql(f"DROP TABLE {old}")
        db.execute_sql(f"ALTER TABLE {old}s RENAME TO {old}")
    db.execute_sql(f"ALTER TABLE job ADD COLUMN site TEXT NOT NULL DEFAULT '{ONLY_SITE}'")


def _releases(db: SqliteDatabase) -> None:
    db.execute_sql(
        "CREATE TABLE release (site TEXT NOT NULL REFERENCES site (id), number INTEGER NOT NULL, made TEXT NOT NULL, "
        "revision INTEGER NOT NULL, back INTEGER, document TEXT NOT NULL, files TEXT NOT NULL, facts TEXT NOT NULL, "
        "PRIMARY KEY (site, number), FOREIGN KEY (site, back) REFERENCES release (site, number))"
    )


def _fonts(db: SqliteDatabase) -> None:
    db.execute_sql(
        "CREATE TABLE font (hash TEXT PRIMARY KEY, bytes INTEGER NOT NULL, added TEXT NOT NULL, facts TEXT NOT NULL)"
    )


MIGRATIONS: tuple[tuple[str, Callable[[SqliteDatabase], None]], ...] = (
    ("0001 first tables", _first_tables),
    ("0002 looks, jobs and fitted files", _looks_and_jobs),
    ("0003 hashes of renditions", _hashes_of_renditions),
    ("0004 films", _films),
    ("0005 sites", _sites),
    ("0006 releases", _releases),
    ("0007 fonts", _fonts),
)
"""In order; each is carried out once, in one transaction with the record of it."""
NAMES = tuple(name for name, _ in MIGRATIONS)


def migrate(db: SqliteDatabase) -> list[str]:
    """Carry out what is missing; gives the names of what was done."""
    with db.atomic("IMMEDIATE"):
        db.execute_sql("CREATE TABLE IF NOT EXISTS migration (name TEXT PRIMARY KEY, applied TEXT NOT NULL)")
    done = {name for (name,) in db.execute_sql("SELECT name FROM migration")}
    fresh = []
    for name, action in MIGRATIONS:
        if name in done:
            continue
        with db.atomic("IMMEDIATE"):
            action(db)
            db.execute_sql("INSERT INTO migration (name, applied) VALUES (?, ?)", (name, now()))
        fresh.append(name)
    return fresh
