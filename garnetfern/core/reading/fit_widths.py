"""Where, from narrow to wide, words begin to fit or cease to: looked at every few px, then found to the px."""

from collections.abc import Callable, Iterator, Mapping
from dataclasses import dataclass

from ..document import Page, Site, screen_for
from ..resolve.lengths import Viewport
from ..resolve.moment import Moment
from .fit import KINDS, Misfit, fit_in
from .reader import Reader
from .situation import Situation
from .widths import FIRST, LAST

STRIDE = 16
"""Widths are looked at so far apart, px: trouble that is met at fewer widths than that may be missed."""
LOOKED_AT = tuple(name for name, module in KINDS.items() if not getattr(module, "PAINTS", False))

Found = Mapping[tuple[str, str], Misfit]
"""Misfits at one width, by kind and block."""


@dataclass(frozen=True)
class FitChange:
    """A width from which on some words do not fit, or do again."""

    width: int
    misfit: Misfit
    begins: bool


class FitRun:
    """The widths of one page."""

    def __init__(self, reader: Reader, site: Site, page: Page) -> None:
        self.reader, self.site, self.page = reader, site, page
        self._known: dict[int, Found] = {}

    def at(self, width: int) -> Found:
        """What does not fit at a width."""
        if width not in self._known:
            screen = screen_for(self.site.screens, width)
            moment = Moment(Viewport(width, screen.height))
            there = Situation(f"{screen.id}:rest", f"{width} px", screen.id, moment, "")
            ((_, misfits),) = fit_in(self.reader, self.site, self.page, [there], LOOKED_AT)
            self._known[width] = {(m.kind, m.block): m for m in misfits}
        return self._known[width]

    def _between(self, low: int, high: int) -> Iterator[int]:
        """The widths between two at which what is found changes: each is the first of the new."""
        if self.at(low).keys() == self.at(high).keys():
            return
        if high - low == 1:
            yield high
            return
        middle = (low + high) // 2
        yield from self._between(low, middle)
        yield from self._between(middle, high)

    def run(self, told: Callable[[float], None]) -> Iterator[FitChange]:
        """Every change, from narrow to wide; trouble at the narrowest width begins there."""
        yield from (FitChange(FIRST, m, True) for m in self.at(FIRST).values())
        for low in range(FIRST, LAST, STRIDE):
            high = min(LAST, low + STRIDE)
            for width in self._between(low, high):
                before, after = self.at(width - 1), self.at(width)
                yield from (FitChange(width, after[key], True) for key in after if key not in before)
                yield from (FitChange(width, before[key], False) for key in before if key not in after)
            told((high - FIRST) / (LAST - FIRST))
