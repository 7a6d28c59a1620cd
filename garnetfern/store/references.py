"""What refers to what: which pictures and fonts the documents of a database need."""

import json
import sqlite3
from collections.abc import Iterator
from contextlib import closing
from pathlib import Path
from typing import Any

from .opening import DATABASE, read_only
from .releases import released
from .sites import which_site


def documents(db: sqlite3.Connection) -> Iterator[tuple[str, int, Any]]:
    """Site, number and document of every step; None where it is no JSON."""
    rows = db.execute(f"SELECT {which_site(db, 'step')}, number, document FROM step ORDER BY 1, number")
    for site, number, text in rows:
        try:
            yield site, number, json.loads(text)
        except ValueError:
            yield site, number, None


def hashes_in(document: Any, what: str = "assets") -> set[str]:
    """The pictures that a document names; `what`: the list in it, "fonts" for those."""
    named = document.get(what, []) if isinstance(document, dict) else []
    return {str(one.get("hash")) for one in named if isinstance(one, dict)}


def has_fonts(db: sqlite3.Connection) -> bool:
    """Whether a database is new enough to know owners' fonts."""
    return db.execute("SELECT 1 FROM sqlite_master WHERE name = 'font'").fetchone() is not None


def needed(folder: Path, what: str = "assets") -> set[str]:
    """The pictures (or "fonts") that any step of the history, any release, or any copy, names."""
    found: set[str] = set()
    for file in (folder / DATABASE, *(folder / "copies").glob("*.sqlite")):
        try:
            with closing(read_only(file)) as db:
                every = (document for _, _, document in documents(db))
                for document in (*every, *(document for _, _, document, _ in released(db))):
                    found |= hashes_in(document, what)
        except sqlite3.Error:
            continue  # what cannot be read is told by `verify`; nothing is removed because of it
    return found
