"""What every open window is told of by itself: new revisions, and how far long work is."""

from collections.abc import Callable
from threading import Lock
from typing import Any

Ear = Callable[[str, dict[str, Any]], None]
"""Takes the kind of the news and what it is, on any thread; it must not wait."""


class News:
    """Tells all who listen."""

    def __init__(self) -> None:
        self._ears: set[Ear] = set()
        self._lock = Lock()

    def listen(self, ear: Ear) -> Callable[[], None]:
        """Begin to listen; gives how to end it."""
        with self._lock:
            self._ears.add(ear)
        return lambda: self._leave(ear)

    def _leave(self, ear: Ear) -> None:
        with self._lock:
            self._ears.discard(ear)

    def tell(self, kind: str, what: dict[str, Any]) -> None:
        """Tell of something."""
        with self._lock:
            ears = tuple(self._ears)
        for ear in ears:
            ear(kind, what)
