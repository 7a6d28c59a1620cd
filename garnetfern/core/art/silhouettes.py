"""Silhouettes along an edge. They stand at the foot of a square of 100 units and are stretched to any size."""

import math
from dataclasses import dataclass


@dataclass(frozen=True)
class Silhouette:
    """A filled path on a square of 100 units, standing on its lower edge."""

    id: str
    name: str
    path: str


def _n(value: float) -> str:
    return f"{value:.2f}".rstrip("0").rstrip(".")


def _line(points: list[tuple[float, float]]) -> str:
    """A path along points from left to right, closed along the foot."""
    return "M0 100" + "".join(f"L{_n(x)} {_n(y)}" for x, y in points) + "L100 100z"


def _torn() -> str:
    """A ragged edge out of three tones that do not fit into one another."""
    points = []
    for n in range(81):
        x = n * 1.25
        high = 30 + 14 * math.sin(x * 0.21) + 9 * math.sin(x * 0.83 + 1) + 7 * math.sin(x * 2.61 + 2)
        points.append((x, high + (5 if n % 2 else -5)))
    return _line(points)


def _teeth(count: int, deep: float) -> str:
    step = 100 / count
    return _line([(n * step / 2, 0 if n % 2 else deep) for n in range(2 * count + 1)])


def _scallops(count: int) -> str:
    step = 100 / count
    return "M0 100V50" + f"a{_n(step / 2)} 50 0 0 1 {_n(step)} 0" * count + "V100z"


def _fern() -> str:
    """The tips of fronds beside one another."""
    points: list[tuple[float, float]] = [(0, 70)]
    for n in range(14):
        x = n * 100 / 14
        tall = 18 + 30 * abs(math.sin(n * 2.4))
        points += [(x + 2.4, 62), (x + 3.6, tall), (x + 5.4, 58), (x + 6.6, 72)]
    return _line([(min(100.0, x), y) for x, y in points] + [(100, 70)])


_ALL = (
    Silhouette("wave", "Wave", "M0 100V50C20 10 32 10 50 45S82 90 100 40V100z"),
    Silhouette("swell", "Long swell", "M0 100V70C30 0 60 0 100 60V100z"),
    Silhouette("slope", "Slope", "M0 100V0L100 80V100z"),
    Silhouette("gable", "Gable", "M0 100V70L50 0L100 70V100z"),
    Silhouette("valley", "Valley", "M0 100V0L50 75L100 0V100z"),
    Silhouette("arc", "Arc", "M0 100C0 45 22 0 50 0S100 45 100 100z"),
    Silhouette("bowl", "Bowl", "M0 100V0C0 45 22 85 50 85S100 45 100 0V100z"),
    Silhouette("corner", "Corner", "M0 100V0L70 100z"),
    Silhouette("quarter", "Quarter round", "M0 100V0C55 0 100 45 100 100z"),
    Silhouette("blob", "Blob", "M8 62C0 30 26 2 52 6S98 26 94 58S74 98 46 96S14 88 8 62z"),
    Silhouette("pebble", "Pebble", "M4 54C8 20 40 14 66 18S100 44 96 66S60 90 34 86S0 78 4 54z"),
    Silhouette("torn", "Torn edge", _torn()),
    Silhouette("teeth", "Teeth", _teeth(18, 60)),
    Silhouette("scallops", "Scallops", _scallops(9)),
    Silhouette("steps", "Steps", "M0 100V75H25V50H50V25H75V0H100V100z"),
    Silhouette("fern-tips", "Fern tips", _fern()),
    Silhouette("band", "Straight", "M0 100V0H100V100z"),
)
SILHOUETTES = {shape.id: shape for shape in _ALL}
"""Every silhouette by its id."""
