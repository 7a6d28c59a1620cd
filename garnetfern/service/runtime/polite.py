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

    def ask(self, kind: str, number: int | None = None) -> int:
        """Begin a computation of a kind; older ones of it are not needed any more. `number`: which question it is in
        the order that they were asked in; one that is begun late, after a newer one, does not put an end to that."""
        with self._free:
            newest = self._newest.get(kind, 0)
            number = newest + 1 if number is None else number
            self._newest[kind] = max(newest, number)
            return number

    def give_way(self, kind: str, number: int) -> None:
        """Wait for those in a hurry. Raises SupersededError where a newer question was asked."""
        with self._free:
            self._free.wait_for(lambda: self._hurried == 0, timeout=PATIENCE)
            if self._newest.get(kind) != number:
                raise SupersededError("This was asked anew; the later answer counts.")


class PoliteReader(Reader):
    """A reader that gives way before each reading; it shares everything that another one keeps."""

    def __init__(self, reader: Reader, manners: Manners, kind: str, number: int | None = None) -> None:
        self.__dict__.update(reader.__dict__)
        self._manners, self._kind, self._number = manners, kind, manners.ask(kind, number)

    def pause(self) -> None:
        """Give way."""
        self._manners.give_way(self._kind, self._number)

    def read(self, *arguments: Any, **named: Any) -> Reading:
        """The reading of one block, after giving way."""
        self.pause()
        return super().read(*arguments, **named)

    def ratio(self, *arguments: Any, **named: Any) -> float | None:
        """The ratio of one block, after giving way."""
        self.pause()
        return super().ratio(*arguments, **named)
