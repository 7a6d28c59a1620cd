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

PARTS = 8
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

    def _borders(self, times: list[float]) -> None:
        """Find where verdicts change between neighbours."""
        for start, end in pairwise(times):
            low, high = start, end
            while (self._quotient(low) < 1) != (self._quotient(high) < 1) and high - low > FINE:
                middle = (low + high) / 2
                low, high = (
                    (middle, high) if (self._quotient(middle) < 1) == (self._quotient(low) < 1) else (low, middle)
                )

    def _look(self, phase: Phase) -> None:
        if phase.start == phase.end:
            self.at(phase.start)
            return
        way = phase.end - phase.start
        times = [phase.start + way * n / PARTS for n in range(PARTS + 1)]
        for time in times:
            self.at(time)
        least_at(lambda share: self._quotient(phase.start + way * share))
        self._borders(sorted(t for t in self._known if phase.start <= t <= phase.end))

    def run(self) -> list[TimePoint]:
        """All moments that were looked at, in the order of time."""
        with ThreadPoolExecutor(AT_ONCE, "garnetfern-times") as pool:
            list(pool.map(self._look, self.layer.phases()))
        return [point for _, point in sorted(self._known.items()) if point is not None]
