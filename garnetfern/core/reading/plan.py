"""Where a block's letters are judged: the rings of all of them at once, as places in the region that is painted."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from ..draw.sample import Region
from ..resolve.box import Box
from .ring import LEVELS, Levels, enough_pixels, patch_side

Ring = tuple[int, int, int, int, Levels]
"""A letter's ring on the page: the letter's index in the wording, its line, the ring's left and top, its levels."""


@dataclass(frozen=True, eq=False)
class Plan:
    """The letters of a block that are judged.

    `region` is what has to be painted. A row for each letter: `index` in the wording, `line`, `boxes` (left, top,
    width and height of its ring, px of the page), `places` of its ring's pixels in the region, one after the other,
    with their `levels`; rows are filled up with the place behind the last pixel and level 0. `totals` are the sums of
    the levels, and `most` pixels of a row are enough for its figure. `inked` are the places inside of any ring. `faint`
    letters cover nothing, and cannot be judged.
    """

    region: Region
    index: NDArray[np.int32]
    line: NDArray[np.int32]
    boxes: NDArray[np.int32]
    places: NDArray[np.int32]
    levels: Levels
    totals: NDArray[np.float32]
    most: int
    inked: NDArray[np.int32]
    faint: int = 0

    @property
    def count(self) -> int:
        """How many letters there are to judge."""
        return len(self.index)

    def only(self, chosen: NDArray[np.bool_]) -> "Plan":
        """The same with some of its letters alone."""
        if chosen.all():
            return self
        return Plan(
            self.region,
            self.index[chosen],
            self.line[chosen],
            self.boxes[chosen],
            self.places[chosen],
            self.levels[chosen],
            self.totals[chosen],
            self.most,
            self.inked,
            self.faint,
        )

    def seen(self, sight: Box) -> "Plan":
        """With the letters alone whose middle is in sight."""
        across = self.boxes[:, 0] + self.boxes[:, 2] / 2
        down = self.boxes[:, 1] + self.boxes[:, 3] / 2
        inside = (across >= sight.x) & (across <= sight.right) & (down >= sight.y) & (down <= sight.bottom)
        return self.only(np.asarray(inside))


NOTHING = Plan(
    (0, 0, 0, 0),
    np.zeros(0, np.int32),
    np.zeros(0, np.int32),
    np.zeros((0, 4), np.int32),
    np.zeros((0, 0), np.int32),
    np.zeros((0, 0), np.uint8),
    np.zeros(0, np.float32),
    0,
    np.zeros(0, np.int32),
)


def _region(boxes: NDArray[np.int32], margin: int) -> Region:
    left, top = (int(v) - margin for v in boxes[:, :2].min(axis=0))
    right, foot = (int(v) + margin for v in (boxes[:, :2] + boxes[:, 2:]).max(axis=0))
    return left, top, right - left, foot - top


def plan_of(rings: Sequence[Ring], size: float) -> Plan:
    """The plan of letters with these rings; `size` is that of the letters, px."""
    there = [ring for ring in rings if ring[4].any()]
    if not there:
        return Plan(**{**vars(NOTHING), "faint": len(rings)})
    boxes = np.array([(left, top, r.shape[1], r.shape[0]) for _, _, left, top, r in there], dtype=np.int32)
    # what lies further away is in no patch
    region = _region(boxes, patch_side(size) // 2 + 1)
    width, height = region[2], region[3]
    inner: dict[int, tuple[NDArray[np.int32], Levels, int]] = {}
    rows = []
    for _, _, left, top, ring in there:
        if id(ring) not in inner:
            y, x = np.nonzero(ring)
            inner[id(ring)] = ((y * width + x).astype(np.int32), ring[y, x], enough_pixels(ring))
        places, levels, _ = inner[id(ring)]
        rows.append((places + np.int32((top - region[1]) * width + left - region[0]), levels))
    longest = max(len(places) for places, _ in rows)
    places = np.full((len(rows), longest), width * height, dtype=np.int32)
    levels = np.zeros((len(rows), longest), dtype=np.uint8)
    for n, (there_, level) in enumerate(rows):
        places[n, : len(there_)] = there_
        levels[n, : len(level)] = level
    marked = np.zeros(width * height + 1, dtype=bool)
    marked[places[levels > LEVELS // 2]] = True
    return Plan(
        region,
        np.array([ring[0] for ring in there], dtype=np.int32),
        np.array([ring[1] for ring in there], dtype=np.int32),
        boxes,
        places,
        levels,
        levels.sum(axis=1, dtype=np.int64).astype(np.float32),
        max(enough for _, _, enough in inner.values()),
        np.flatnonzero(marked).astype(np.int32),
        len(rings) - len(there),
    )
