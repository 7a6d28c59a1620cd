"""Connections that can be closed from another thread: none is while a statement of it runs, which SQLite does not
survive."""

import sqlite3
import threading
from typing import Any

PATIENCE = 10.0
"""So long statements that run may take until everything is closed, s."""


class Gate:
    """Statements go through it. Once it is shut none begins any more."""

    def __init__(self) -> None:
        self._there = threading.Condition()
        self._inside = 0
        self._shut = False

    def __enter__(self) -> None:
        """A statement begins. Raises ProgrammingError where the gate is shut."""
        with self._there:
            if self._shut:
                raise sqlite3.ProgrammingError("Cannot operate on a closed database.")
            self._inside += 1

    def __exit__(self, *_: object) -> None:
        """It has ended."""
        with self._there:
            self._inside -= 1
            self._there.notify_all()

    def shut(self, seconds: float = PATIENCE) -> bool:
        """Let none in any more, and wait for those inside; whether all have left."""
        with self._there:
            self._shut = True
            return self._there.wait_for(lambda: self._inside == 0, seconds)


class Connection(sqlite3.Connection):
    """A connection all of whose statements go through a gate."""

    gate: Gate

    def __init__(self, *arguments: Any, **named: Any) -> None:
        self.gate = Gate()
        super().__init__(*arguments, **named)

    def cursor(self, *_: Any) -> "Cursor":  # type: ignore[override]
        """A cursor that goes through it."""
        return super().cursor(Cursor)


class Cursor(sqlite3.Cursor):
    """What runs statements, and fetches what they give row by row."""

    connection: Connection

    def execute(self, *arguments: Any) -> "Cursor":
        """Run a statement."""
        with self.connection.gate:
            return super().execute(*arguments)

    def executemany(self, *arguments: Any) -> "Cursor":
        """Run a statement several times."""
        with self.connection.gate:
            return super().executemany(*arguments)

    def fetchone(self) -> Any:
        """The next row."""
        with self.connection.gate:
            return super().fetchone()

    def fetchmany(self, *arguments: Any, **named: Any) -> list[Any]:
        """The next rows."""
        with self.connection.gate:
            return super().fetchmany(*arguments, **named)

    def fetchall(self) -> list[Any]:
        """All rows that are left."""
        with self.connection.gate:
            return super().fetchall()

    def __next__(self) -> Any:
        """The next row, as in a loop."""
        with self.connection.gate:
            return super().__next__()
