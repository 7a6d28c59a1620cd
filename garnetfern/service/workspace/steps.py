"""What has become of the site since a revision: for whoever knows that one, the difference alone."""

from collections import OrderedDict
from dataclasses import dataclass
from threading import Lock
from typing import Any

from ...store import State
from ..runtime.difference import Patch, difference

KEPT = 24
"""For how many revisions back the difference is told; earlier ones get the whole document."""


@dataclass(frozen=True)
class Taken:
    """A state, and what leads to it from the revision `since`; where that is not known, the whole document."""

    revision: int
    since: int
    patch: Patch | None
    document: dict[str, Any] | None
    undo: str | None
    redo: str | None
    kept: str


class Steps:
    """Remembers the documents of the last revisions."""

    def __init__(self) -> None:
        self._documents: OrderedDict[int, dict[str, Any]] = OrderedDict()
        self._lock = Lock()

    def note(self, state: State) -> State:
        """Remember the document of a state."""
        with self._lock:
            self._documents[state.revision] = state.document
            while len(self._documents) > KEPT:
                self._documents.popitem(last=False)
        return state

    def to(self, state: State, since: int) -> Taken:
        """What leads to a state from an earlier revision."""
        with self._lock:
            before = self._documents.get(since)
        patch = None if before is None else difference(before, state.document)
        whole = state.document if patch is None else None
        return Taken(state.revision, since, patch, whole, state.undo, state.redo, state.kept)
