"""The run over widths: the worst reading at every width from 320 to 2560, and where something starts to fall short.

Readings move slowly between widths at which lines break anew. A stretch between two widths is taken to be as its ends
where both are laid out alike, read nearly alike and are not near what is required; any other is halved. Where the
verdicts of two ends differ, the width at which they change is found to the px. All of this is done for each block of
words by itself: one that is near to what is required does not have the others looked at as closely.
"""

from bisect import bisect_left
from collections.abc import Callable, Collection, Iterator, Mapping
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass, replace
from itertools import pairwise

from ..colour.contrast import required_ratio
from ..document import Page, Site, screen_for
from ..resolve.layout import STACK_BELOW
from ..resolve.lengths import Viewport
from ..resolve.moment import Moment
from ..resolve.records import BlockRecord, PageRecord
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
    """The readings at one width: block, ratio and requirement. `breaks` tells where lines end.

    Where a run looked at others of the blocks alone, a block's ratio runs straight between the next widths, of one
    verdict, at which it was looked at.
    """

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


Ratio = tuple[float, float]
"""What a block's worst letter has, and what is required of it."""


@dataclass(frozen=True)
class Look:
    """What was seen at a width: a ratio by block, None where it has none; and where the lines of all blocks end."""

    ratios: dict[str, Ratio | None]
    breaks: Mapping[str, tuple[int, ...]]


class WidthRun:
    """One page's readings over all widths, at rest; of what moves by itself the worst of its members at rest."""

    def __init__(self, reader: Reader, site: Site, page: Page) -> None:
        self.reader, self.site, self.page = reader, site, page
        self._looks: dict[int, Look] = {}
        self._met = reader.met(site, page)
        self._phases = [(x.id, p.start) for x in moving(page) for p in x.phases()[1:] if p.start == p.end]

    def _look(self, width: int, wanted: Collection[str] | None = None) -> Look:
        """Look at some blocks at a width (None: at all)."""
        look = self._looks.get(width)
        if look is not None and wanted is None:
            wanted = look.breaks.keys()
        if look is not None and wanted is not None and look.ratios.keys() >= set(wanted):
            return look
        screen = screen_for(self.site.screens, width)
        rest = Moment(Viewport(width, screen.height))
        records = [self._met.at(moment) for moment in (rest, *(replace(rest, phases=(p,)) for p in self._phases))]
        blocks = [block for block in records[0].blocks() if block.words]
        if look is None:
            look = Look({}, {block.id: tuple(line.start for line in block.lines) for block in blocks})
        for block in blocks:
            if block.id not in look.ratios and (wanted is None or block.id in wanted):
                look.ratios[block.id] = self._ratio(records, block)
        self._looks[width] = look
        return look

    def _ratio(self, records: list[PageRecord], block: BlockRecord) -> Ratio | None:
        if not block.lines or block.doubts:
            return None
        found = [self.reader.ratio(record, block) for record in records]
        measured = [ratio for ratio in found if ratio is not None]
        required = required_ratio(block.size, block.weight, self.site.requirement)
        return (min(measured), required) if measured else None

    def at(self, width: int) -> Point:
        """The readings at one width, all of them looked at there."""
        look = self._look(width)
        found = [(block, ratio) for block in look.breaks if (ratio := look.ratios[block]) is not None]
        return Point(width, tuple((block, *ratio) for block, ratio in found), tuple(look.breaks.items()))

    def _marks(self) -> list[int]:
        """Widths at which something is laid out otherwise, with the px before each, and strides between them."""
        edges = {s.least for s in self.site.screens} | {r.least for r in serving_ranges(self.site.screens)}
        edges |= {STACK_BELOW}
        inner = {w for edge in edges for w in (edge - 1, edge) if FIRST < w < LAST}
        return sorted(inner | {FIRST, LAST, *range(FIRST, LAST, STRIDE), *(s.width for s in self.site.screens)})

    def _alike(self, block: str, low: int, high: int) -> bool:
        """Whether a block can be taken to be between two widths as it is at them."""
        one, other = self._looks[low], self._looks[high]
        first, last = one.ratios.get(block), other.ratios.get(block)
        span = high - low
        if span <= 1 or (first is None and last is None):
            return True
        if first is None or last is None:
            return False
        shares = [ratio / required for ratio, required in (first, last)]
        if (shares[0] < 1) != (shares[1] < 1):
            return False
        if span <= COARSE:
            return all(abs(share - 1) >= AT_IT for share in shares)
        near = any(abs(share - 1) < NEAR for share in shares)
        steady = abs(first[0] / last[0] - 1) < STEADY
        return steady and not near and (one.breaks.get(block) == other.breaks.get(block) or span <= 2 * COARSE)

    def run(self, progress: Callable[[float], None] = lambda _: None) -> list[Point]:
        """All widths that were looked at, from narrow to wide."""
        marks = self._marks()
        with ThreadPoolExecutor(AT_ONCE, "garnetfern-widths") as pool:
            for n in range(0, len(marks), AT_ONCE):
                progress(n / len(marks) / 3)
                list(pool.map(self._look, marks[n : n + AT_ONCE]))
            every = list(dict.fromkeys(block for width in marks for block in self._looks[width].breaks))
            waiting = [(low, high, every) for low, high in pairwise(marks)]
            rounds = 0
            while waiting:
                rounds += 1
                progress(1 - 2 / 3 / rounds)
                halved = []
                for low, high, blocks in waiting:
                    unlike = [block for block in blocks if not self._alike(block, low, high)]
                    if unlike:
                        halved.append((low, (low + high) // 2, high, unlike))
                list(pool.map(self._look, (middle for _, middle, _, _ in halved), (blocks for *_, blocks in halved)))
                waiting = [(a, b, blocks) for low, mid, high, blocks in halved for a, b in ((low, mid), (mid, high))]
        return list(self._points(every))

    def _points(self, every: list[str]) -> Iterator[Point]:
        widths = sorted(self._looks)
        seen = {block: [w for w in widths if block in self._looks[w].ratios] for block in every}
        for width in widths:
            found = [(block, ratio) for block in every if (ratio := self._at(block, width, seen[block])) is not None]
            breaks = tuple(self._looks[width].breaks.items())
            yield Point(width, tuple((block, *ratio) for block, ratio in found), breaks)

    def _at(self, block: str, width: int, seen: list[int]) -> Ratio | None:
        """A block's ratio at a width, where it was not looked at from what it is at the next widths where it was; None
        where it is not to be seen."""
        if block not in self._looks[width].breaks:
            return None
        n = bisect_left(seen, width)
        high = seen[min(n, len(seen) - 1)]
        after = self._looks[high].ratios[block]
        if high == width:
            return after
        low = seen[n - 1]
        before = self._looks[low].ratios[block]
        if before is None or after is None:
            return None
        share = (width - low) / (high - low)
        return before[0] + share * (after[0] - before[0]), max(before[1], after[1])


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
