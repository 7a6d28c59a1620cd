"""What a change of an area costs its picture, as one figure: the less, the better."""

from collections.abc import Iterator
from dataclasses import dataclass

import numpy as np

from ..colour.spaces import Bytes, oklab
from ..draw.paint import whole
from ..draw.sample import Region, Sampler
from ..draw.words import draw_page, paint_around
from ..reading import Reader, Situation
from ..resolve.records import PageRecord
from .distress import Distress
from .draft import Draft
from .kept import STRIDE, kept
from .remedy import plain_behind

MEANS, RIM, RECOLOURED, CONTRAST, CHROMA = 0.04, 0.03, 0.01, 0.15, 0.05
"""What a further kind of help costs, a rim that is seen, a block in another colour, and all contrast or all chroma
lost, in mean OKLab."""


@dataclass(frozen=True)
class Cost:
    """`change` is the mean OKLab distance of an area from what it was; `contrast` and `chroma` what is left of the
    spread of its lightness and of its chroma, 1 being all; `kept` as `kept.kept` tells it, 0..100."""

    change: float
    contrast: float
    chroma: float
    kept: float

    @property
    def of_picture(self) -> float:
        """What the picture pays."""
        return self.change + CONTRAST * max(0.0, 1 - self.contrast) + CHROMA * max(0.0, 1 - self.chroma)


def strips(region: Region) -> Iterator[Region]:
    """A region cut across into parts that are small enough for their samples to be kept."""
    left, top, width, height = region
    rows = max(1, Sampler.SMALL // (2 * width))
    for start in range(0, height, rows):
        yield left, top + start, width, min(rows, height - start)


def pictured(reader: Reader, record: PageRecord, area_id: str) -> Bytes | None:
    """An area with all that lies in it but the letters' own colour; None where nothing of it is to be seen."""
    area = record.area(area_id)
    if area is None or area.box.height < 1 or area.box.width < 1:
        return None
    region = whole(area.box.snapped())
    return np.concatenate(
        [draw_page(record, part, reader.pictures, reader.glyphs, paint_around) for part in strips(region)]
    )


def both_parts(before: Bytes, after: Bytes) -> tuple[Bytes, Bytes]:
    """Of two pictures the part that both have."""
    height, width = (min(before.shape[n], after.shape[n]) for n in (0, 1))
    return before[:height, :width], after[:height, :width]


class Costs:
    """What changes of one area cost; the area as it is now is painted once."""

    def __init__(self, distress: Distress) -> None:
        self.distress = distress
        self._now = {s: self._painted(distress.present.record(s)) for s in distress.rest}

    def _painted(self, record: PageRecord) -> Bytes | None:
        return pictured(self.distress.reader, record, self.distress.area.id)

    def of(self, draft: Draft) -> Cost:
        """The mean over the screens."""
        trial = self.distress.trial(draft.page)
        found = [self._on(s, trial.record(s)) for s in self.distress.rest]
        costs = [cost for cost in found if cost is not None]
        if not costs:
            return Cost(0.0, 1.0, 1.0, 100.0)
        fields = np.array([(c.change, c.contrast, c.chroma, c.kept) for c in costs]).mean(axis=0)
        return Cost(*map(float, fields))

    def _on(self, situation: Situation, record: PageRecord) -> Cost | None:
        before, after = self._now[situation], self._painted(record)
        if before is None or after is None:
            return None
        before, after = both_parts(before, after)
        one, other = (oklab(p[::STRIDE, ::STRIDE].astype(np.float32)) for p in (before, after))
        change = float(np.sqrt(((one - other) ** 2).sum(axis=-1)).mean())
        spread = float(other[..., 0].std()) / max(1e-4, float(one[..., 0].std()))
        colourful = [float(np.hypot(p[..., 1], p[..., 2]).mean()) for p in (one, other)]
        chroma = colourful[1] / max(1e-4, colourful[0])
        return Cost(change, spread, chroma, kept(before, after, plain_behind(self.distress.light)))


def figure(draft: Draft, cost: Cost) -> float:
    """What a draft costs in all: its picture, its rims, and blocks in another colour; kinds of help are counted for a
    whole page."""
    return cost.of_picture + RIM * draft.rims + RECOLOURED * draft.recoloured
