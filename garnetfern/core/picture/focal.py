"""Which focal point keeps a picture's subject in sight on all screens, and how sure that is."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace
from typing import Literal

import numpy as np
from numpy.typing import NDArray

from ..document import Crop
from .framing import Window
from .subject import EVEN, PLAIN, Subject

STEPS = 41
"""Places of the focal point that are tried along each axis."""
OWN = 0.1
"""A screen gets a focal point of its own where the common one keeps so much less of the subject, of all of it."""
SURE, DOUBTFUL = 0.7, 0.45
"""How much more than its size a window must hold of the subject for the place to be sure, and below which it is
doubtful: 0 where the subject seems to be everywhere, 1 where all of it is in the window."""
WHOLE = 0.98
"""A window that holds so much of an axis cuts nothing that matters off it."""

Sureness = Literal["marked", "sure", "likely", "doubtful"]
Spot = tuple[float, float]
MIDDLE: Spot = (0.5, 0.5)


@dataclass(frozen=True)
class Proposal:
    """A focal point for all screens, screens (by their number) that need another one, and the parts that a screen loses
    all the same. `sureness`: whether somebody marked what must stay in sight, or how clearly pixels tell it; where they
    do not, the middle stays."""

    focal: Spot
    others: dict[int, Spot]
    lost_parts: dict[int, list[int]]
    sureness: Sureness


class Mass:
    """How much of a map, as of the subject, lies in a part of the picture; between cells in proportion."""

    def __init__(self, cells: Sequence[Sequence[float]]) -> None:
        weights = np.array(cells, dtype=np.float64) + 1e-6
        self._table = np.zeros((weights.shape[0] + 1, weights.shape[1] + 1))
        self._table[1:, 1:] = weights.cumsum(axis=0).cumsum(axis=1)

    def _to(self, x: float, y: float) -> float:
        """The mass above and to the left of a place, in fractions."""
        table: NDArray[np.float64] = self._table
        rows, columns = table.shape[0] - 1, table.shape[1] - 1
        across, down = min(max(x, 0.0), 1.0) * columns, min(max(y, 0.0), 1.0) * rows
        column, row = min(int(across), columns - 1), min(int(down), rows - 1)
        right, below = across - column, down - row
        top = table[row, column] * (1 - right) + table[row, column + 1] * right
        foot = table[row + 1, column] * (1 - right) + table[row + 1, column + 1] * right
        return float(top * (1 - below) + foot * below)

    def within(self, x: float, y: float, width: float, height: float) -> float:
        """The mass in a box of fractions."""
        right, foot = x + width, y + height
        return self._to(right, foot) - self._to(x, foot) - self._to(right, y) + self._to(x, y)


def _placed(window: Window, focal: Spot, whole: Crop) -> Window:
    """The window moved to where it lies with this focal point."""
    x = whole.x + focal[0] * (whole.width - window.width)
    y = whole.y + focal[1] * (whole.height - window.height)
    return replace(window, x=x, y=y)


class _Focal:
    """Looks for focal points of one picture."""

    def __init__(self, subject: Sequence[Sequence[float]], parts: Sequence[Crop], whole: Crop) -> None:
        self.mass, self.parts, self.whole = Mass(subject), parts, whole
        self.total = self.mass.within(whole.x, whole.y, whole.width, whole.height)
        self.grid = [round(n / (STEPS - 1), 3) for n in range(STEPS)]

    def score(self, window: Window, focal: Spot) -> tuple[int, float]:
        """How many marked parts are in sight, and which share of the subject."""
        w = _placed(window, focal, self.whole)
        kept = sum(w.keeps(part) for part in self.parts)
        return kept, self.mass.within(w.x, w.y, w.width, w.height) / self.total

    def best(self, windows: Sequence[Window]) -> Spot:
        """The best for these windows together. Axes are searched one after the other, twice: windows of one picture
        differ along one axis each. Of several that are as good, the middle one."""

        def value(focal: Spot) -> tuple[int, float]:
            scores = [self.score(w, focal) for w in windows]
            return sum(s[0] for s in scores), round(sum(s[1] for s in scores), 4)

        def along(at: Callable[[float], Spot]) -> float:
            values = [value(at(place)) for place in self.grid]
            good = [place for place, v in zip(self.grid, values, strict=True) if v == max(values)]
            return good[len(good) // 2]

        x, y = MIDDLE
        for _ in range(2):
            x = along(lambda place, y=y: (place, y))  # type: ignore[misc]
            y = along(lambda place, x=x: (x, place))  # type: ignore[misc]
        return x, y

    def held(self, windows: Sequence[Window], focal: Spot, axis: int) -> float:
        """How much more of the subject than of the picture lies in the windows along an axis, 0..1: for the worst of
        those that cut there."""
        whole = self.whole
        least = 1.0
        for window in windows:
            w = _placed(window, focal, whole)
            size = (w.width / whole.width, w.height / whole.height)[axis]
            if size < WHOLE:
                box = (w.x, whole.y, w.width, whole.height) if axis == 0 else (whole.x, w.y, whole.width, w.height)
                held = self.mass.within(*box) / self.total
                least = min(least, (held - size) / (1 - size))
        return least


def best_focal(
    windows: Sequence[Window], subject: Subject, parts: Sequence[Crop], crop: Crop | None = None
) -> Proposal:
    """The focal point that keeps most marked parts and then most of the subject in all windows together.

    A screen gets a point of its own only where the common one loses a part there that its own would keep, or more of
    the subject than `OWN`. Along an axis where it is doubtful what the subject is, and nobody has marked anything, the
    middle stays.
    """
    look = _Focal(subject.cells, parts, crop or Crop())
    if not windows:
        return Proposal(MIDDLE, {}, {}, "marked" if parts else "doubtful")
    common = look.best(windows)
    others: dict[int, Spot] = {}
    for n, window in enumerate(windows):
        own = look.best([window])
        (kept, share), (mine, more) = look.score(window, common), look.score(window, own)
        if mine > kept or (mine == kept and more > share + OWN):
            others[n] = own
    if parts:
        return Proposal(common, others, _lost(look, windows, common, others), "marked")
    held_by = [look.held(windows, common, axis) for axis in (0, 1)]
    told = [held >= DOUBTFUL and subject.clear >= EVEN for held in held_by]

    def held(focal: Spot) -> Spot:
        x, y = (place if told[axis] else 0.5 for axis, place in enumerate(focal))
        return x, y

    sureness: Sureness = "likely" if all(told) else "doubtful"
    if all(told) and min(held_by) >= SURE and subject.clear >= PLAIN:
        sureness = "sure"
    return Proposal(
        held(common), {n: held(own) for n, own in others.items() if held(own) != held(common)}, {}, sureness
    )


def _lost(look: _Focal, windows: Sequence[Window], common: Spot, others: dict[int, Spot]) -> dict[int, list[int]]:
    """The marked parts that each window loses."""
    lost: dict[int, list[int]] = {}
    for n, window in enumerate(windows):
        shown = _placed(window, others.get(n, common), look.whole)
        missing = [k for k, part in enumerate(look.parts) if not shown.keeps(part)]
        if missing:
            lost[n] = missing
    return lost
