"""The database: opening it safely, and closing every connection to it."""

import sqlite3
import threading
from contextlib import suppress
from pathlib import Path
from typing import Any

from peewee import SqliteDatabase

from .connection import Connection
from .migrations import NAMES, migrate
from .opening import inspect, keep_before, rehearse, room_for
from .trouble import FolderError

PRAGMAS = {"journal_mode": "wal", "foreign_keys": 1, "synchronous": "full", "busy_timeout": 5000}


class Database(SqliteDatabase):
    """A database that knows its connections, one for each thread, so that all of them can be closed."""

    def __init__(self, *arguments: Any, **named: Any) -> None:
        self._all: list[Connection] = []
        self._counting = threading.Lock()
        super().__init__(*arguments, factory=Connection, **named)

    def _connect(self) -> Any:
        connection = super()._connect()  # type: ignore[misc]
        with self._counting:
            self._all.append(connection)
        return connection

    def rollback(self) -> None:
        """Take back a transaction. A full disk has SQLite do that by itself; the cause must not be hidden by it."""
        if self.connection().in_transaction:
            super().rollback()

    def close_all(self) -> None:
        """Fold the write-ahead log into the file and close every connection, after the statement that runs on it: what
        goes on in other threads is told that it is closed."""
        with suppress(Exception):
            self.execute_sql("PRAGMA wal_checkpoint(TRUNCATE)")
        self.close()
        with self._counting:
            for connection in self._all:
                # one that is busy for longer ends with the process
                if connection.gate.shut():
                    with suppress(sqlite3.Error):
                        connection.close()
            self._all.clear()


def open_database(file: Path) -> Database:
    """Open (or make) the database in a file and migrate it. Each thread gets its own connection.

    Raises FolderError for one that is damaged, newer, empty or not ours; then it was not touched.
    """
    file.parent.mkdir(parents=True, exist_ok=True)
    if file.exists():
        done = inspect(file)
        if done and len(done) < len(NAMES):
            room_for(file)
            rehearse(file, file.parent / "work")
            keep_before(file, file.parent / "copies")
    db = Database(str(file), pragmas=PRAGMAS, autoconnect=True, check_same_thread=False)
    migrate(db)
    return db


def join_database(file: Path) -> Database:
    """Open a database that another process works with. Raises FolderError where that one is of another version."""
    if len(inspect(file)) < len(NAMES):
        message = f"{file} is in use by an earlier version of this application. End that first. Nothing was touched."
        raise FolderError(message)
    return Database(str(file), pragmas=PRAGMAS, autoconnect=True, check_same_thread=False)
