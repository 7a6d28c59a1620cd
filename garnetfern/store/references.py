"""What refers to what: which pictures the documents of a database need."""

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


def hashes_in(document: Any) -> set[str]:
    """The pictures that a document names."""
    assets = document.get("assets", []) if isinstance(document, dict) else []
    return {str(a.get("hash")) for a in assets if isinstance(a, dict)}


def needed(folder: Path) -> set[str]:
    """The pictures that any step of the history, any release, or any copy, names."""
    found: set[str] = set()
    for file in (folder / DATABASE, *(folder / "copies").glob("*.sqlite")):
        try:
            with closing(read_only(file)) as db:
                every = (document for _, _, document in documents(db))
                for document in (*every, *(document for _, _, document, _ in released(db))):
                    found |= hashes_in(document)
        except sqlite3.Error:
            continue  # what cannot be read is told by `verify`; nothing is removed because of it
    return found
