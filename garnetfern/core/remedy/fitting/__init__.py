"""Ways out for words that do not fit. A module here is one: ORDER, its place among them, those that change least first;
TITLE; `FOR`, the kinds of misfit that it may help; and `found(trouble)`, pages changed by more and more, each with the
change in one sentence. The first of them that helps is taken.
"""

import sys
from collections.abc import Iterator
from dataclasses import dataclass
from types import ModuleType

from ...registry import entries
from ._trouble import Change, Trouble

WAYS: dict[str, ModuleType] = dict(sorted(entries(sys.modules[__name__]).items(), key=lambda pair: int(pair[1].ORDER)))
"""Every way out by its name, in order."""


@dataclass(frozen=True)
class WayOut:
    """A change after which the words fit, and nothing is worse than before."""

    way: str
    change: Change


def _alone(trouble: Trouble, nearest: dict[str, tuple[int, Change]]) -> Iterator[WayOut]:
    """The least change of each way that suffices; in `nearest` is noted what is left with those that do not."""
    for name, module in WAYS.items():
        if trouble.kind not in module.FOR:
            continue
        for change in module.found(trouble):
            left = trouble.left(change.page)
            # where it helps and does harm elsewhere, more of the same may do none
            if not left and trouble.suffices(change.page):
                yield WayOut(name, change)
                break
            if left < nearest.get(name, (left + 1, change))[0]:
                nearest[name] = (left, change)


def ways_out(trouble: Trouble) -> Iterator[WayOut]:
    """The least change of each way that suffices; where none does alone, two together."""
    nearest: dict[str, tuple[int, Change]] = {}
    count = 0
    for way in _alone(trouble, nearest):
        count += 1
        yield way
    helping = ((left, change) for left, change in nearest.values() if 0 < left < len(trouble.situations))
    if count:
        return
    for _, first in sorted(helping, key=lambda pair: pair[0])[:2]:
        rest = trouble.on(first.page)
        for way in _alone(rest, {}):
            if trouble.suffices(way.change.page):
                yield WayOut(way.way, Change(way.change.page, f"{first.sentence} {way.change.sentence}"))


__all__ = ["WAYS", "Change", "Trouble", "WayOut", "ways_out"]
