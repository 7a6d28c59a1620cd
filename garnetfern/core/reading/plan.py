"""Where a block's letters are judged: the rings of all of them at once, as places in the region that is painted."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from ..draw.sample import Region
from ..resolve.box import Box
from .ring import LEVELS, Levels, Ring, patch_side

Placed = tuple[int, int, int, int, Ring]
"""A letter on the page: its index in the wording, its line, its left and top, its ring."""


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


def plan_of(letters: Sequence[Placed], size: float) -> Plan:
    """The plan of these letters; `size` is theirs, px."""
    there = [letter for letter in letters if letter[4].total]
    if not there:
        return Plan(**{**vars(NOTHING), "faint": len(letters)})
    rings = [ring for *_, ring in there]
    boxes = np.array([(left + r.left, top + r.top, r.width, r.height) for _, _, left, top, r in there], dtype=np.int32)
    # what lies further away is in no patch
    region = _region(boxes, patch_side(size) // 2 + 1)
    width, height = region[2], region[3]
    inner = {id(ring): ring.rows * np.int32(width) + ring.columns for ring in rings}
    firsts = (boxes[:, 1] - region[1]) * width + boxes[:, 0] - region[0]
    longest = max(len(ring.levels) for ring in rings)
    places = np.full((len(rings), longest), width * height, dtype=np.int32)
    levels = np.zeros((len(rings), longest), dtype=np.uint8)
    for n, (ring, first) in enumerate(zip(rings, firsts, strict=True)):
        count = len(ring.levels)
        np.add(inner[id(ring)], first, out=places[n, :count])
        levels[n, :count] = ring.levels
    marked = np.zeros(width * height + 1, dtype=bool)
    marked[places[levels > LEVELS // 2]] = True
    return Plan(
        region,
        np.array([index for index, *_ in there], dtype=np.int32),
        np.array([line for _, line, *_ in there], dtype=np.int32),
        boxes,
        places,
        levels,
        np.array([ring.total for ring in rings], dtype=np.float32),
        max(ring.enough for ring in rings),
        np.flatnonzero(marked).astype(np.int32),
        len(letters) - len(there),
    )
