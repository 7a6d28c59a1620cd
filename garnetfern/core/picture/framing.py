"""Framing: the window each screen cuts from a picture, what is lost and bare, and which focal point serves all."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from ..document import Asset, Crop, ImageLayer
from ..resolve.box import Box
from ..resolve.image import used_size
from ..resolve.sheets import ImageSheet

Span = tuple[float, float]


@dataclass(frozen=True)
class Window:
    """What a screen shows of a picture. The box is in fractions of the whole original.

    `lost` is the share of the used part that is cut off, `bare` the share of the area without picture, both 0..1.
    `magnification` is CSS px per picture px; at two device px per CSS px twice that many are asked of each.
    `tiles` is how many tiles stand side by side and below each other.
    """

    x: float
    y: float
    width: float
    height: float
    lost: float
    bare: float
    magnification: float
    tiles: tuple[float, float]

    def keeps(self, part: Crop) -> bool:
        """Whether a part of the picture is wholly in sight."""
        slack = 0.002
        across = self.x - slack <= part.x and part.x + part.width <= self.x + self.width + slack
        return across and self.y - slack <= part.y and part.y + part.height <= self.y + self.height + slack


def _axis(box: Span, tile: Span, period: float | None) -> tuple[float, float, float, float]:
    """First and last fraction of the tile in sight, the share of the box that is covered, and tiles in it."""
    (start, length), (first, size) = box, tile
    if size <= 0 or length <= 0:
        return 0.0, 0.0, 0.0, 0.0
    if period is not None:
        return 0.0, 1.0, min(1.0, size / period), length / period
    left, right = max(start, first), min(start + length, first + size)
    if right <= left:
        return 0.0, 0.0, 0.0, 0.0
    return (left - first) / size, (right - first) / size, (right - left) / length, 1.0


def window_of(sheet: ImageSheet, layer: ImageLayer, asset: Asset) -> Window:
    """The window that a resolved layer shows. For repeated pictures it is one whole tile."""
    box, tile = sheet.box, sheet.tile
    x0, x1, across, columns = _axis((box.x, box.width), (tile.x, tile.width), sheet.period[0])
    y0, y1, down, rows = _axis((box.y, box.height), (tile.y, tile.height), sheet.period[1])
    crop = layer.crop or Crop()
    width, _ = used_size(asset, layer.crop)
    return Window(
        crop.x + x0 * crop.width,
        crop.y + y0 * crop.height,
        (x1 - x0) * crop.width,
        (y1 - y0) * crop.height,
        max(0.0, 1 - (x1 - x0) * (y1 - y0)),
        max(0.0, 1 - across * down),
        tile.width / width,
        (columns, rows),
    )


def reach(windows: Sequence[Window], parts: Sequence[Crop], crop: Crop | None) -> Box | None:
    """The focal points (a box of fractions of the used part) that keep all parts in every window, or None."""
    whole = crop or Crop()

    def axis(spans: list[tuple[float, float]], sizes: list[float]) -> tuple[float, float] | None:
        low, high = 0.0, 1.0
        for first, last in spans:
            for size in sizes:
                free = 1 - size
                if free <= 1e-6:
                    continue
                low, high = max(low, (last - size) / free), min(high, first / free)
                if last - first > size + 0.002:
                    return None
        return (low, high) if low <= high + 1e-6 else None

    across = axis(
        [((p.x - whole.x) / whole.width, (p.x + p.width - whole.x) / whole.width) for p in parts],
        [w.width / whole.width for w in windows],
    )
    down = axis(
        [((p.y - whole.y) / whole.height, (p.y + p.height - whole.y) / whole.height) for p in parts],
        [w.height / whole.height for w in windows],
    )
    if across is None or down is None:
        return None
    return Box(across[0], down[0], across[1] - across[0], down[1] - down[0])


STEPS = 41


def _mass(detail: NDArray[np.float64]) -> NDArray[np.float64]:
    """Cumulated detail, one row and column more than the map."""
    table = np.zeros((detail.shape[0] + 1, detail.shape[1] + 1))
    table[1:, 1:] = detail.cumsum(axis=0).cumsum(axis=1)
    return table


def _at(table: NDArray[np.float64], x: float, y: float) -> float:
    """The cumulated detail up to a place in fractions, between cells in proportion."""
    rows, columns = table.shape[0] - 1, table.shape[1] - 1
    fx, fy = min(max(x, 0.0), 1.0) * columns, min(max(y, 0.0), 1.0) * rows
    x0, y0 = min(int(fx), columns - 1), min(int(fy), rows - 1)
    dx, dy = fx - x0, fy - y0
    top = table[y0, x0] * (1 - dx) + table[y0, x0 + 1] * dx
    foot = table[y0 + 1, x0] * (1 - dx) + table[y0 + 1, x0 + 1] * dx
    return float(top * (1 - dy) + foot * dy)


@dataclass(frozen=True)
class Proposal:
    """A focal point for all screens, and screens (by their number) that need another one."""

    focal: tuple[float, float]
    others: dict[int, tuple[float, float]]
    lost_parts: dict[int, list[int]]


def _placed(window: Window, focal: tuple[float, float], whole: Crop) -> Window:
    """The window moved to where it lies with this focal point."""
    x = whole.x + focal[0] * (whole.width - window.width)
    y = whole.y + focal[1] * (whole.height - window.height)
    return Window(x, y, window.width, window.height, window.lost, window.bare, window.magnification, window.tiles)


def best_focal(
    windows: Sequence[Window], detail: Sequence[Sequence[float]], parts: Sequence[Crop], crop: Crop | None = None
) -> Proposal:
    """The focal point that keeps most marked parts and then most of the detail in all windows together.

    A screen gets one of its own only where the common one loses a part there that its own would keep.
    """
    whole = crop or Crop()
    weights = np.array(detail, dtype=np.float64) ** 1.5 + 1e-6
    table = _mass(weights)
    total = table[-1, -1]

    def score(window: Window, focal: tuple[float, float]) -> tuple[int, float]:
        w = _placed(window, focal, whole)
        kept = sum(w.keeps(part) for part in parts)
        right, foot = w.x + w.width, w.y + w.height
        inside = _at(table, right, foot) - _at(table, w.x, foot) - _at(table, right, w.y) + _at(table, w.x, w.y)
        return kept, inside / total

    grid = [round(n / (STEPS - 1), 3) for n in range(STEPS)]

    def best(chosen: Sequence[Window]) -> tuple[float, float]:
        """Axes are searched one after the other, twice: windows of one picture differ along one axis each."""
        focal = (0.5, 0.5)

        def value(f: tuple[float, float]) -> tuple[int, float, float]:
            scores = [score(w, f) for w in chosen]
            off = abs(f[0] - 0.5) + abs(f[1] - 0.5)
            return sum(s[0] for s in scores), round(sum(s[1] for s in scores), 4), -off

        for _ in range(2):
            focal = max(((x, focal[1]) for x in grid), key=value)
            focal = max(((focal[0], y) for y in grid), key=value)
        return focal

    if not windows:
        return Proposal((0.5, 0.5), {}, {})
    common = best(windows)
    others: dict[int, tuple[float, float]] = {}
    lost: dict[int, list[int]] = {}
    for n, window in enumerate(windows):
        own = best([window])
        if score(window, own)[0] > score(window, common)[0]:
            others[n] = own
        shown = _placed(window, others.get(n, common), whole)
        missing = [k for k, part in enumerate(parts) if not shown.keeps(part)]
        if missing:
            lost[n] = missing
    return Proposal(common, others, lost)
