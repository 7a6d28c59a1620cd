"""Long computations that give way: to edits being shown, and to a newer question of the same kind."""

import threading
from collections.abc import Iterator
from contextlib import contextmanager
from typing import Any

from ...core.errors import GarnetfernError
from ...core.reading import Reader, Reading

PATIENCE = 2.0
"""A polite computation goes on after this many seconds even if somebody is always in a hurry."""


class SupersededError(GarnetfernError):
    """The same was asked anew for a later state; this answer is not needed any more."""

    kind = "superseded"


class Manners:
    """Knows who is in a hurry, and which question of each kind is the newest."""

    def __init__(self) -> None:
        self._hurried = 0
        self._newest: dict[str, int] = {}
        self._free = threading.Condition()

    @contextmanager
    def hurry(self) -> Iterator[None]:
        """Others wait while this is being computed."""
        with self._free:
            self._hurried += 1
        try:
            yield
        finally:
            with self._free:
                self._hurried -= 1
                self._free.notify_all()

    def ask(self, kind: str) -> int:
        """Begin a computation of a kind; older ones of it are not needed any more."""
        with self._free:
            self._newest[kind] = self._newest.get(kind, 0) + 1
            return self._newest[kind]

    def give_way(self, kind: str, number: int) -> None:
        """Wait for those in a hurry. Raises SupersededError where a newer question was asked."""
        with self._free:
            self._free.wait_for(lambda: self._hurried == 0, timeout=PATIENCE)
            if self._newest.get(kind) != number:
                raise SupersededError("This was asked anew; the later answer counts.")


class PoliteReader(Reader):
    """A reader that gives way before each reading; it shares everything that another one keeps."""

    def __init__(self, reader: Reader, manners: Manners, kind: str) -> None:
        self.__dict__.update(reader.__dict__)
        self._manners, self._kind, self._number = manners, kind, manners.ask(kind)

    def read(self, *arguments: Any, **named: Any) -> Reading:
        """The reading of one block, after giving way."""
        self._manners.give_way(self._kind, self._number)
        return super().read(*arguments, **named)

    def ratio(self, *arguments: Any, **named: Any) -> float | None:
        """The ratio of one block, after giving way."""
        self._manners.give_way(self._kind, self._number)
        return super().ratio(*arguments, **named)
