"""What was computed once and need not be computed again: one store, bounded by bytes, keyed by content, counted."""

import threading
from collections import Counter
from collections.abc import Callable, Hashable
from dataclasses import dataclass, is_dataclass
from typing import Any, TypeAlias, TypeVar, cast

from cachetools import LRUCache

from .limits import MB

T = TypeVar("T")

MOST = 512 * MB
"""How many bytes an application keeps."""

FIGURES = 8
"""What part of that again is kept for figures."""

OBJECT = 64
"""What a small object weighs, bytes; an estimate."""

_MISSING = object()


def weight(value: object) -> int:
    """About how many bytes a value takes: arrays and texts exactly, everything around them by estimate."""
    if isinstance(value, float | int | None):
        return OBJECT
    own = getattr(value, "nbytes", None)
    if own is not None:
        return OBJECT + int(own)
    if isinstance(value, str | bytes):
        return OBJECT + len(value)
    if isinstance(value, tuple | list | frozenset):
        return OBJECT + sum(map(weight, value))
    if isinstance(value, dict):
        return OBJECT + sum(weight(k) + weight(v) for k, v in value.items())
    if is_dataclass(value):
        return OBJECT + sum(map(weight, vars(value).values()))
    return OBJECT


class _Place:
    """A kind and a key, hashed once: keys are deep, and a store asks for the hash several times."""

    __slots__ = ("_hash", "_what")

    def __init__(self, kind: str, key: Hashable) -> None:
        self._what = (kind, key)
        self._hash = hash(self._what)

    def __hash__(self) -> int:
        return self._hash

    def __eq__(self, other: object) -> bool:
        return isinstance(other, _Place) and self._what == other._what


_Shelf: TypeAlias = LRUCache[Hashable, tuple[int, Any]]


def _first(entry: tuple[int, Any]) -> int:
    return entry[0]


@dataclass(frozen=True)
class Kept:
    """How a store has fared with one kind of value."""

    kind: str
    hits: int
    misses: int


class Cache:
    """Keeps values by kind and key; of those longest not asked for, as many go as are too heavy together.

    Keys are made of content alone, so that a value holds for whoever asks. Safe across threads; what two ask for at
    the same time may be made twice. `weigh` gives what a value weighs, of which `most` is the limit: bytes, as a rule.
    Figures are small and dear: they are kept beside, in an eighth of that again, where no picture turns them out.
    """

    def __init__(self, most: int = MOST, weigh: Callable[[object], int] = weight) -> None:
        self._weigh = weigh
        self._values: _Shelf = LRUCache(most, getsizeof=_first)
        self._figures: _Shelf = LRUCache(most // FIGURES, getsizeof=_first)
        self._lock = threading.Lock()
        self._hits: Counter[str] = Counter()
        self._misses: Counter[str] = Counter()

    def get(self, kind: str, key: Hashable, make: Callable[[], T]) -> T:
        """The value of a kind for a key; made, and kept where it is not heavier than the whole store."""
        return self._kept(self._values, kind, key, make)

    def figure(self, kind: str, key: Hashable, make: Callable[[], T]) -> T:
        """As `get`, for what many readings come to: small, long in making, under a short key (keys are not weighed)."""
        return self._kept(self._figures, kind, key, make)

    def _kept(self, shelf: _Shelf, kind: str, key: Hashable, make: Callable[[], T]) -> T:
        place = _Place(kind, key)
        with self._lock:
            known = shelf.get(place, _MISSING)
            (self._misses if known is _MISSING else self._hits)[kind] += 1
        if known is not _MISSING:
            return cast(T, cast(tuple[int, Any], known)[1])
        made = make()
        entry = (self._weigh(made), made)
        with self._lock:
            if entry[0] <= shelf.maxsize:
                shelf[place] = entry
        return made

    @property
    def size(self) -> int:
        """How many bytes are kept."""
        return int(self._values.currsize + self._figures.currsize)

    @property
    def most(self) -> int:
        """How many bytes are kept at the most."""
        return int(self._values.maxsize + self._figures.maxsize)

    def facts(self) -> list[Kept]:
        """Hits and misses by kind, in the order of their names."""
        with self._lock:
            kinds = sorted({*self._hits, *self._misses})
            return [Kept(kind, self._hits[kind], self._misses[kind]) for kind in kinds]
