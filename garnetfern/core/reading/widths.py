"""The run over widths: the worst reading at every width from 320 to 2560, and where something starts to fall short.

Readings move slowly between widths at which lines break anew. A stretch between two widths is taken to be as its ends
where both are laid out alike, read nearly alike and are not near what is required; any other is halved. Where the
verdicts of two ends differ, the width at which they change is found to the px.
"""

from collections.abc import Callable, Iterator
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass, replace
from itertools import pairwise

from ..colour.contrast import required_ratio
from ..document import Page, Site, screen_for
from ..resolve.layout import STACK_BELOW
from ..resolve.lengths import Viewport
from ..resolve.moment import Moment
from ..resolve.records import PageRecord
from ..resolve.serving import serving_ranges
from .kinds._moving import moving
from .reader import Reader

FIRST, LAST = 320, 2560
STRIDE = 120
"""Widths are looked at so far apart at least, px."""
NEAR = 0.12
"""A reading nearer to what is required than this share is looked at more closely."""
AT_IT = 0.01
"""Where a reading is nearer than this share, every width is looked at."""
STEADY = 0.06
"""Readings that differ by less than this share are taken to run straight between."""
AT_ONCE = 2
"""So many widths are looked at at a time: much of painting leaves the interpreter free."""
COARSE = 12
"""Where only letters or lines moved, stretches are halved down to so many px."""


@dataclass(frozen=True)
class Point:
    """The readings at one width: ratio by block, and which of them fall short. `breaks` tells where lines end."""

    width: int
    ratios: tuple[tuple[str, float, float], ...]
    breaks: tuple[tuple[str, tuple[int, ...]], ...]

    @property
    def worst(self) -> tuple[str, float, float] | None:
        """Block, ratio and requirement of the reading furthest below (or least above) its requirement."""
        return min(self.ratios, key=lambda r: r[1] / r[2], default=None)

    @property
    def short(self) -> frozenset[str]:
        """The blocks that fall short."""
        return frozenset(block for block, ratio, required in self.ratios if ratio < required)


@dataclass(frozen=True)
class Change:
    """The first width, from narrow to wide, at which a block falls short or can be read again."""

    width: int
    block: str
    short: bool


def _breaks(record: PageRecord) -> tuple[tuple[str, tuple[int, ...]], ...]:
    return tuple((b.id, tuple(line.start for line in b.lines)) for b in record.blocks() if b.words)


class WidthRun:
    """One page's readings over all widths, at rest; of what moves by itself the worst of its members at rest."""

    def __init__(self, reader: Reader, site: Site, page: Page) -> None:
        self.reader, self.site, self.page = reader, site, page
        self.points: dict[int, Point] = {}
        self._met = reader.met(site, page)
        self._phases = [(x.id, p.start) for x in moving(page) for p in x.phases()[1:] if p.start == p.end]

    def at(self, width: int) -> Point:
        """The readings at one width."""
        if width not in self.points:
            screen = screen_for(self.site.screens, width)
            rest = Moment(Viewport(width, screen.height))
            records = [self._met.at(moment) for moment in (rest, *(replace(rest, phases=(p,)) for p in self._phases))]
            found = []
            for block in records[0].blocks():
                if block.words and block.lines and not block.doubts:
                    ratios = [self.reader.ratio(record, block) for record in records]
                    measured = [ratio for ratio in ratios if ratio is not None]
                    if measured:
                        required = required_ratio(block.size, block.weight, self.site.requirement)
                        found.append((block.id, min(measured), required))
            self.points[width] = Point(width, tuple(found), _breaks(records[0]))
        return self.points[width]

    def _marks(self) -> list[int]:
        """Widths at which something is laid out otherwise, with the px before each, and strides between them."""
        edges = {s.least for s in self.site.screens} | {r.least for r in serving_ranges(self.site.screens)}
        edges |= {STACK_BELOW}
        inner = {w for edge in edges for w in (edge - 1, edge) if FIRST < w < LAST}
        return sorted(inner | {FIRST, LAST, *range(FIRST, LAST, STRIDE), *(s.width for s in self.site.screens)})

    def _alike(self, one: Point, other: Point) -> bool:
        """Whether all between two widths can be taken to be as they are."""
        span = other.width - one.width
        if span <= 1:
            return True
        if one.short != other.short:
            return False
        if {b for b, _, _ in one.ratios} != {b for b, _, _ in other.ratios}:
            return False
        pairs = list(zip(one.ratios, other.ratios, strict=True))
        if span <= COARSE:
            return all(abs(r / need - 1) >= AT_IT for pair in pairs for _, r, need in pair)
        near = any(abs(r / need - 1) < NEAR for pair in pairs for _, r, need in pair)
        steady = all(abs(a / b - 1) < STEADY for (_, a, _), (_, b, _) in pairs)
        return steady and not near and (one.breaks == other.breaks or span <= 2 * COARSE)

    def run(self, progress: Callable[[float], None] = lambda _: None) -> list[Point]:
        """All points that were looked at, from narrow to wide."""
        marks = self._marks()
        with ThreadPoolExecutor(AT_ONCE, "garnetfern-widths") as pool:
            for n in range(0, len(marks), AT_ONCE):
                progress(n / len(marks) / 3)
                list(pool.map(self.at, marks[n : n + AT_ONCE]))
            waiting = list(pairwise(marks))
            rounds = 0
            while waiting:
                rounds += 1
                progress(1 - 2 / 3 / rounds)
                unlike = [(a, b, (a + b) // 2) for a, b in waiting if not self._alike(self.points[a], self.points[b])]
                list(pool.map(self.at, (middle for _, _, middle in unlike)))
                waiting = [pair for a, b, middle in unlike for pair in ((a, middle), (middle, b))]
        return [self.points[w] for w in sorted(self.points)]


def changes(points: list[Point]) -> Iterator[Change]:
    """Where blocks begin to fall short, and where they can be read again; those that begin short are named first."""
    before: frozenset[str] = frozenset()
    for point in points:
        here = {block for block, _, _ in point.ratios}
        for block in sorted(point.short - before):
            yield Change(point.width, block, True)
        for block in sorted((before - point.short) & here):
            yield Change(point.width, block, False)
        before = point.short
