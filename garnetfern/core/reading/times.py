"""The run over time: the worst reading at every moment of one period of a layer that moves by itself.

A member that is there alone reads the same all the while. A change is looked at in even parts, and halved where a
verdict changes and round its worst moment.
"""

from collections.abc import Iterator
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass
from itertools import pairwise

from ..colour.contrast import required_ratio
from ..document import LayerBase, Page, Phase, Site
from ..resolve.lengths import Viewport
from ..resolve.moment import Moment
from .halving import least_at
from .reader import Reader

PARTS = 4
"""A change is looked at in so many parts at least."""
FINE = 0.01
"""Where a verdict changes is found to within this, s."""
AT_ONCE = 2


@dataclass(frozen=True)
class TimePoint:
    """The reading furthest below (or least above) its requirement at a time, s: of which block, on which screen."""

    time: float
    block: str
    screen: str
    ratio: float
    required: float

    @property
    def quotient(self) -> float:
        """How far it is from what is required: 1 where it just meets it."""
        return self.ratio / self.required


class TimeRun:
    """One layer's page over one period, everything else at rest; the words of the area that the layer is in."""

    def __init__(self, reader: Reader, site: Site, page: Page, area: str, layer: LayerBase) -> None:
        self.reader, self.site, self.area, self.layer = reader, site, area, layer
        self._met = reader.met(site, page)
        self._known: dict[float, TimePoint | None] = {}

    def _on(self, screen_id: str, time: float) -> Iterator[TimePoint]:
        screen = next(s for s in self.site.screens if s.id == screen_id)
        moment = Moment(Viewport(screen.width, screen.height), phases=((self.layer.id, time),))
        record = self._met.at(moment)
        area = record.area(self.area)
        inside = frozenset(area.blocks if area else ())
        for block in record.blocks():
            if block.id in inside and block.words and block.lines and not block.doubts:
                ratio = self.reader.ratio(record, block)
                if ratio is not None:
                    required = required_ratio(block.size, block.weight, self.site.requirement)
                    yield TimePoint(time, block.id, screen_id, ratio, required)

    def at(self, time: float) -> TimePoint | None:
        """The worst reading at a time; None where there is nothing to be read."""
        if time not in self._known:
            found = (point for screen in self.site.screens for point in self._on(screen.id, time))
            self._known[time] = min(found, key=lambda p: p.quotient, default=None)
        return self._known[time]

    def _quotient(self, time: float) -> float:
        point = self.at(time)
        return 99.0 if point is None else point.quotient

    def _border(self, low: float, high: float) -> None:
        """Find where a verdict changes between two times: guessed by what lies between, then halved in turn."""
        halve = False
        while high - low > FINE:
            below, above = self._quotient(low) - 1, self._quotient(high) - 1
            share = 0.5 if halve else min(0.95, max(0.05, below / (below - above)))
            middle = low + (high - low) * share
            width = high - low
            low, high = (middle, high) if (self._quotient(middle) < 1) == (below < 0) else (low, middle)
            halve = high - low > width / 2

    def _look(self, phase: Phase) -> None:
        """A change is looked at in PARTS; round a worst moment that lies inside of it, and where a verdict changes,
        more closely."""
        if phase.start == phase.end:
            self.at(phase.start)
            return
        way = phase.end - phase.start
        times = [phase.start + way * n / PARTS for n in range(PARTS + 1)]
        worst = min(range(PARTS + 1), key=lambda n: self._quotient(times[n]))
        if 0 < worst < PARTS:
            least_at(lambda share: self._quotient(phase.start + way * share))
        looked = sorted(t for t in self._known if phase.start <= t <= phase.end)
        for one, other in pairwise(looked):
            if (self._quotient(one) < 1) != (self._quotient(other) < 1):
                self._border(one, other)

    def run(self) -> list[TimePoint]:
        """All moments that were looked at, in the order of time."""
        with ThreadPoolExecutor(AT_ONCE, "garnetfern-times") as pool:
            list(pool.map(self._look, self.layer.phases()))
        return [point for _, point in sorted(self._known.items()) if point is not None]
