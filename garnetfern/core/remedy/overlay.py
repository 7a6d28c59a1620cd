"""The least opacity of an overlay at which every reading in its area meets the requirement."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace

import numpy as np

from ..colour.contrast import EVEN
from ..colour.spaces import luminance
from ..document import Area, LayerBase, Page, Site
from ..draw.paint import paint_backdrops, whole
from ..reading import Reader, Reading, Situation, situations
from ..resolve.records import AreaRecord, BlockRecord, PageRecord
from ..resolve.sheets import Sheet
from ..telling import Told, silent
from .kept import kept
from .remedy import plain_behind
from .search import narrowed
from .trial import quotient

STEP = 0.01
SCAN = 20


@dataclass(frozen=True)
class OverlayRemedy:
    """`opacity` (None: there is none that suffices), the worst reading then, and how much of the picture is kept.

    Where there is none, `worst` is the reading at `nearest`, the opacity that comes nearest.
    """

    opacity: float | None
    nearest: float
    worst: Reading | None
    kept: float


class _Trial:
    """The readings of an area's blocks as functions of one overlay's opacity."""

    def __init__(self, reader: Reader, site: Site, page: Page, area: Area, layer: LayerBase) -> None:
        self.reader, self.site, self.layer = reader, site, layer
        self.cases: list[tuple[Situation, PageRecord, BlockRecord]] = []
        self.whole: list[PageRecord] = []
        """What the page is like with its pictures there, once each."""
        met = reader.met(site, page)
        self.area = area.id
        change = area.backdrop.over.layers.get(layer.id) if area.backdrop.over else None
        self.own_when_pointed = change is not None and change.opacity is not None
        for situation in situations(site, page):
            record = met.at(situation.moment)
            if not situation.moment.missing and all(record is not known for known in self.whole):
                self.whole.append(record)
            found = record.area(area.id)
            inside = frozenset(found.blocks if found else ())
            self.cases += [(situation, record, b) for b in record.blocks() if b.lines and b.id in inside]

    @property
    def light(self) -> bool:
        """Whether most of the words are light."""
        light = [luminance(np.array(block.fill.rgb, dtype=np.float32)) > EVEN for _, _, block in self.cases]
        return bool(2 * sum(light) >= len(light))

    def with_opacity(self, sheets: tuple[Sheet, ...], opacity: float, pointed: bool = False) -> tuple[Sheet, ...]:
        """The sheets, the overlay's opacity changed; where it has one of its own under the pointer, that stays."""
        if pointed and self.own_when_pointed:
            return sheets
        return tuple(replace(s, opacity=opacity) if s.id == self.layer.id else s for s in sheets)

    def reading(self, case: tuple[Situation, PageRecord, BlockRecord], opacity: float) -> Reading:
        """One case at an opacity."""
        situation, record, block = case

        def keep(area: AreaRecord) -> tuple[Sheet, ...]:
            pointed = situation.moment.pointed > 0
            return self.with_opacity(area.sheets, opacity, pointed) if area.id == self.area else area.sheets

        return self.reader.read(record, block, situation, self.site.requirement, keep)

    def worst(self, opacity: float) -> Reading | None:
        """The reading furthest below its requirement, by their quotient."""
        readings = [self.reading(case, opacity) for case in self.cases]
        return min((r for r in readings if r.ratio is not None), key=quotient, default=None)


def _raised(trial: _Trial) -> float | None:
    """Raise the opacity for one case after the other; None where a case is met nowhere above."""
    best = 0.0
    for case in trial.cases:

        def far(opacity: float, case: tuple[Situation, PageRecord, BlockRecord] = case) -> float:
            return min(21.0, quotient(trial.reading(case, opacity)))

        def meets(opacity: float, far: Callable[[float], float] = far) -> bool:
            return far(opacity) >= 1

        if meets(best):
            continue
        steps = [1.0, *(n / SCAN for n in range(1, SCAN))]
        high = next((s for s in steps if s > best and meets(s)), None)
        if high is None:
            return None
        best = narrowed(far, best, high)
    return best


def _up(opacity: float) -> float:
    return min(1.0, -int(-(opacity - 1e-9) / STEP // 1) * STEP)


def _scanned(trial: _Trial) -> float | None:
    """The first of twenty steps at which all cases are met, refined."""

    def far(opacity: float) -> float:
        worst = trial.worst(opacity)
        return 21.0 if worst is None else min(21.0, quotient(worst))

    low = 0.0
    for n in range(SCAN + 1):
        if far(n / SCAN) >= 1:
            return n / SCAN if n == 0 else narrowed(far, low, n / SCAN)
        low = n / SCAN
    return None


def _settled(trial: _Trial, opacity: float | None) -> float | None:
    """Rounded up to whole per cent where the readings hold there too; None where they do not hold at all."""
    if opacity is None:
        return None
    for candidate in (round(_up(opacity), 4), opacity):
        worst = trial.worst(candidate)
        if worst is None or not worst.falls_short:
            return candidate
    return None


def least_opacity(reader: Reader, site: Site, page: Page, area: Area, layer: LayerBase) -> OverlayRemedy:
    """Search all situations at once; the result is checked again in full before it is given."""
    trial = _Trial(reader, site, page, area, layer)
    opacity = _settled(trial, _raised(trial))
    if opacity is None:
        opacity = _settled(trial, _scanned(trial))
    if opacity is not None:
        return OverlayRemedy(opacity, opacity, trial.worst(opacity), _kept(trial, opacity))
    tried = [(n / SCAN, trial.worst(n / SCAN)) for n in range(SCAN + 1)]
    nearest, worst = max(tried, key=lambda t: quotient(t[1]) if t[1] else 0.0)
    return OverlayRemedy(None, nearest, worst, _kept(trial, nearest))


@dataclass(frozen=True)
class Laid:
    """An overlay on a page."""

    page: Page
    area: Area
    layer: LayerBase


@dataclass(frozen=True)
class Everywhere:
    """One opacity for an overlay on several pages: each of them with the worst reading there is on it then."""

    opacity: float
    worst: tuple[tuple[Laid, Reading | None], ...]
    kept: float

    @property
    def suffices(self) -> bool:
        """Whether every word on every page can be read at it."""
        return all(reading is None or not reading.falls_short for _, reading in self.worst)


def least_everywhere(reader: Reader, site: Site, places: Sequence[Laid], told: Told = silent) -> Everywhere:
    """The least opacity that serves the page that needs most. `told` hears the pages as they are looked at.

    More of an overlay need not be better everywhere, so the readings are those at that opacity, not at each page's own.
    """
    found = []
    for n, laid in enumerate(places):
        told(laid.page.title, n / len(places))
        found.append(least_opacity(reader, site, laid.page, laid.area, laid.layer))
    opacity = max((f.opacity if f.opacity is not None else f.nearest for f in found), default=0.0)
    trials = [_Trial(reader, site, laid.page, laid.area, laid.layer) for laid in places]
    worst = tuple((laid, trial.worst(opacity)) for laid, trial in zip(places, trials, strict=True))
    shares = [_kept(trial, opacity) for trial in trials]
    return Everywhere(opacity, worst, sum(shares) / len(shares) if shares else 100.0)


def _kept(trial: _Trial, opacity: float) -> float:
    """The mean over the screens of what the area's picture keeps."""
    shares = []
    for record in trial.whole:
        area = record.area(trial.area)
        if area is None or not area.box.height:
            continue
        region = whole(area.box.snapped())
        before = paint_backdrops(record, region, trial.reader.pictures)

        def changed(found: AreaRecord) -> tuple[Sheet, ...]:
            return trial.with_opacity(found.sheets, opacity) if found.id == trial.area else found.sheets

        after = paint_backdrops(record, region, trial.reader.pictures, changed)
        shares.append(kept(before, after, plain_behind(trial.light)))
    return sum(shares) / len(shares) if shares else 100.0
