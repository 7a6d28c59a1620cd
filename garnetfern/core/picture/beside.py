"""What it costs a picture that words stand on it: how much of its subject they cover, how busy it is there, and how
near its lightness is to theirs."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from ..document import Crop
from ..resolve.box import Box
from .focal import Mass
from .framing import Window

CALM = 0.06
"""What ground of the picture's mean busyness counts, beside covering all of the subject, which counts 1."""
CLOSE, APART = 0.5, 60.0
"""What words cost that are as light as the picture beneath them; and how far apart, L*, they cost nothing of that."""
SOME = 0.05
"""Of a subject of which less than that share is in sight, covering all that is there does not count as covering it."""
FOCUS = 0.16
"""How far from a focal point that somebody set the subject is taken to reach, in fractions of the picture."""

Map = Sequence[Sequence[float]]


@dataclass(frozen=True)
class Behind:
    """A picture as one area shows it: the window of it, and the area's box, CSS px."""

    window: Window
    area: Box

    def part(self, words: Box) -> Box | None:
        """What of the picture lies beneath a box, in fractions of the whole; None where nothing does."""
        found = words.cut(self.area)
        if found is None or self.area.width <= 0 or self.area.height <= 0:
            return None
        across, down = self.window.width / self.area.width, self.window.height / self.area.height
        x = self.window.x + (found.x - self.area.x) * across
        y = self.window.y + (found.y - self.area.y) * down
        return Box(x, y, found.width * across, found.height * down)


def around_focal(focal: tuple[float, float]) -> NDArray[np.float64]:
    """A map of the subject where somebody set the focal point, and pixels do not tell more."""
    down, across = (np.mgrid[0:24, 0:24] + 0.5) / 24
    far = (across - focal[0]) ** 2 + (down - focal[1]) ** 2
    return np.asarray(np.exp(-far / (2 * FOCUS**2)), dtype=np.float64)


def of_parts(parts: Sequence[Crop]) -> NDArray[np.float64]:
    """A map of the subject where somebody marked its parts."""
    down, across = (np.mgrid[0:48, 0:48] + 0.5) / 48
    found = np.zeros((48, 48))
    for part in parts:
        inside = (across >= part.x) & (across <= part.x + part.width)
        found[inside & (down >= part.y) & (down <= part.y + part.height)] = 1
    return found


@dataclass(frozen=True)
class Standing:
    """A line of words: its box, CSS px, and its letters' lightness, L*; None where a plate lies beneath it."""

    box: Box
    light: float | None


class Costs:
    """What it costs a picture that words stand on parts of it. `light` is a map of the picture's L*."""

    def __init__(self, subject: Map, detail: Map, light: Map) -> None:
        self._subject, self._detail, self._light = Mass(subject), Mass(detail), Mass(light)
        self._cells = len(light) * len(light[0])

    def _too_close(self, standing: Standing, part: Box) -> float:
        """How near the words' lightness is to the picture's, 0..1."""
        size = part.width * part.height * self._cells
        if standing.light is None or size <= 0:
            return 0.0
        beneath = self._light.within(part.x, part.y, part.width, part.height) / size
        return max(0.0, 1 - abs(standing.light - beneath) / APART)

    def of(self, words: Sequence[Standing], behind: Behind) -> float:
        """The share of the subject in sight that they cover, how busy the picture is beneath them, and how near to
        their lightness."""
        window = behind.window
        seen = self._subject.within(window.x, window.y, window.width, window.height)
        seen = max(seen, SOME * self._subject.within(0, 0, 1, 1))
        busy = self._detail.within(window.x, window.y, window.width, window.height)
        mean = max(busy / max(window.width * window.height, 1e-9), 1e-9)
        found = [(one, part) for one in words if (part := behind.part(one.box)) is not None]
        covered = sum(self._subject.within(p.x, p.y, p.width, p.height) for _, p in found) / seen
        room = sum(p.width * p.height for _, p in found)
        if room <= 0:
            return covered
        under = sum(self._detail.within(p.x, p.y, p.width, p.height) for _, p in found)
        close = sum(self._too_close(one, p) * p.width * p.height for one, p in found)
        return covered + CALM * under / room / mean + CLOSE * close / room
