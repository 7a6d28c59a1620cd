"""Boxes in CSS px from the page's top left corner."""

import math
from collections.abc import Iterable
from dataclasses import dataclass


@dataclass(frozen=True)
class Box:
    """A rectangle: left, top, width, height."""

    x: float
    y: float
    width: float
    height: float

    @property
    def right(self) -> float:
        """The right edge."""
        return self.x + self.width

    @property
    def bottom(self) -> float:
        """The lower edge."""
        return self.y + self.height

    def snapped(self) -> "Box":
        """Edges rounded to whole px, as the browser snaps boxes before it paints them."""
        left, top = round_half_up(self.x), round_half_up(self.y)
        return Box(left, top, round_half_up(self.right) - left, round_half_up(self.bottom) - top)

    def grown(self, by: float) -> "Box":
        """The box with every edge moved outwards."""
        return Box(self.x - by, self.y - by, self.width + 2 * by, self.height + 2 * by)

    def cut(self, other: "Box") -> "Box | None":
        """What both have in common, or None."""
        left, top = max(self.x, other.x), max(self.y, other.y)
        right, bottom = min(self.right, other.right), min(self.bottom, other.bottom)
        return Box(left, top, right - left, bottom - top) if right > left and bottom > top else None


def around(boxes: Iterable[Box]) -> Box:
    """The box around some, of which there must be one."""
    every = list(boxes)
    left, top = min(b.x for b in every), min(b.y for b in every)
    return Box(left, top, max(b.right for b in every) - left, max(b.bottom for b in every) - top)


def round_half_up(value: float) -> int:
    """Nearest whole number, halves upwards."""
    return math.floor(value + 0.5)
