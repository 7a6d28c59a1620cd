"""Where on a page's way words over a fixed or slower picture are worst.

The page is scrolled by whole px, and the words are met anywhere from where their first letter comes into sight to where
the last one leaves it. Where one picture moves and only plain layers lie over it, its stretch that can come behind the
words is painted once, and every place is read on that; the worst of those is then read exactly. Otherwise places are
read exactly, a patch apart, and more closely round the worst.
"""

import math
from collections.abc import Callable
from dataclasses import dataclass

import numpy as np

from ..colour.spaces import Bytes, Pixels, level_luminance
from ..draw.paint import group
from ..draw.sample import Region, Sampler
from ..draw.sheets.image import whole_tiles
from ..resolve.box import Box, round_half_up
from ..resolve.records import BlockRecord, PageRecord
from ..resolve.sheets import ImageSheet, Sheet
from .ground import Around
from .letters import plain_ratios
from .plan import Plan
from .ring import patch_side

EXACT = 96
"""So many places are read exactly at the most where the picture's stretch does not serve."""
SURE = 3
"""So many of the places that are worst on the stretch are read exactly."""

Exactly = Callable[[int], float]
"""The ratio of the worst letter when the page is scrolled by so many px; infinite where no letter is in sight."""

AroundAt = Callable[[int], Around]
"""What lies round the words when the page is scrolled by so many px."""


def span(record: PageRecord, plan: Plan, height: float) -> range:
    """The px by which a page can be scrolled so that a letter of the plan is in sight; `height` is the screen's."""
    most = max(0, math.floor(record.height - height))
    first = int(plan.boxes[:, 1].min()) - math.floor(height)
    last = int((plan.boxes[:, 1] + plan.boxes[:, 3]).max())
    return range(max(0, min(first, most)), min(most, last) + 1)


def _closer(value: Exactly, places: range, stride: int) -> int:
    """The place with the least value: looked at a stride apart, then halved round the two least."""
    known: dict[int, float] = {place: value(place) for place in (*places[::stride], places[-1])}
    while stride > 1:
        stride = (stride + 1) // 2
        for centre in sorted(known, key=lambda place: known[place])[:2]:
            for near in (centre - stride, centre + stride):
                if near in places and near not in known:
                    known[near] = value(near)
        if stride == 1:
            break
    return min(known, key=lambda place: known[place])


@dataclass(frozen=True, eq=False)
class _Stretch:
    """What of a picture can come behind words.

    Where the page is scrolled by `start` px, `pixels` lie from `top` px of the page on; they go `rate` px down the page
    for each px that it is scrolled. `over` is what lies over them and goes with the page: premultiplied RGBA.
    """

    start: int
    top: int
    rate: float
    pixels: Bytes
    over: Pixels | None

    def behind(self, plan: Plan, place: int) -> Bytes:
        """The ground of a plan's region at a place."""
        _, top, _, tall = plan.region
        first = top - round_half_up(self.rate * (place - self.start)) - self.top
        ground = self.pixels[first : first + tall]
        if self.over is None:
            return ground
        levels = ground * (1 - self.over[..., 3:]) + self.over[..., :3] * np.float32(255)
        return (levels + np.float32(0.5)).astype(np.uint8)


def _split(there: Around) -> tuple[ImageSheet, tuple[Sheet, ...]] | None:
    """The one picture that moves, and the sheets over it; None where it is not as simple as that."""
    if there.above or any(layer.area is None or layer.area.plate is not None for layer in there.beneath):
        return None
    sheets = [(sheet, layer.area.moves) for layer in there.beneath for sheet in layer.sheets if layer.area is not None]
    moving = [n for n, (sheet, moves) in enumerate(sheets) if moves and sheet.pictures()]
    if len(moving) != 1 or any(sheet.blend != "normal" for sheet, _ in sheets[moving[0] :]):
        return None
    sheet = sheets[moving[0]][0]
    return None if sheet.pictures() != (sheet,) else (sheet.pictures()[0], tuple(s for s, _ in sheets[moving[0] + 1 :]))


def _stretch(at: AroundAt, plan: Plan, places: range, pictures: Sampler) -> _Stretch | None:
    """The stretch; None where it does not serve."""
    parts, last = _split(at(places[0])), _split(at(places[-1]))
    if parts is None or last is None:
        return None
    sheet, over = parts
    left, top, width, tall = plan.region
    rate = (last[0].tile.y - sheet.tile.y) / max(1, len(places) - 1)
    way = math.ceil(abs(rate) * len(places)) + 1
    part: Region = (left, top - way, width, tall + way + 1)
    pixels = whole_tiles(sheet, Box(left, sheet.tile.y, width, 1), part, pictures)
    if pixels is None:
        return None
    above = group(over, plan.region, pictures)
    return _Stretch(places[0], part[1], rate, pixels, above if above[..., 3].any() else None)


def worst_place(
    record: PageRecord, block: BlockRecord, plan: Plan, height: float, at: AroundAt, pictures: Sampler, exact: Exactly
) -> int | None:
    """The px by which a page must be scrolled for the block's words to be worst; None where none is ever in sight."""
    places = span(record, plan, height) if plan.count else range(0)
    if not places:
        return None
    if block.shadow is None and block.stroke is None:
        stretch = _stretch(at, plan, places, pictures)
        if stretch is not None:
            return _along(stretch, block, plan, places, height, exact)
    return _closer(exact, places, max(patch_side(block.size), math.ceil(len(places) / EXACT)))


def _along(stretch: _Stretch, block: BlockRecord, plan: Plan, places: range, height: float, exact: Exactly) -> int:
    """The worst place on a stretch, read exactly where it is near the worst."""

    def value(place: int) -> float:
        shown = plan.seen(Box(-1e6, place, 2e6, height))
        if not shown.count:
            return math.inf
        ground = stretch.behind(plan, place)
        return float(plain_ratios(block, shown, ground, level_luminance(ground)).min())

    stride = max(1, patch_side(block.size) // 2)
    known: dict[int, float] = {place: value(place) for place in (*places[::stride], places[-1])}
    for best in sorted(known, key=lambda place: known[place])[:SURE]:
        known |= {p: value(p) for p in range(best - stride + 1, best + stride) if p in places and p not in known}
    apart: list[int] = []
    for place in sorted(known, key=lambda place: known[place]):
        if len(apart) < SURE and all(abs(place - other) > stride for other in apart):
            apart.append(place)
    return min(apart, key=exact)
