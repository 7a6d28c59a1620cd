"""Framing: the window each screen cuts from a picture, what is lost and bare, and what keeps marked parts in sight."""

from collections.abc import Sequence
from dataclasses import dataclass

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
