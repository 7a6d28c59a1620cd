"""Which file of a film a visitor gets, and where its frames lie."""

from dataclasses import dataclass
from math import sqrt

from ..document import Asset, Footage
from ..document.layers.video import VideoLayer
from .box import Box, round_half_up
from .sheets import Rendition

PHONE_BELOW = 600
"""Narrower viewports get a phone's files, CSS px."""
PIXELS = {True: 960 * 540, False: 1600 * 900}
"""A film's file for phones, and for other screens, has so many px at the most."""


@dataclass(frozen=True)
class Cut:
    """What a film's file for visitors is made from: the film, its part, its size in px, and the bytes it may have."""

    hash: str
    footage: Footage
    width: int
    height: int
    budget: int

    def frame(self, time: float) -> Rendition:
        """The frame that is there at a time, s from the part's beginning."""
        at = self.footage.moment(self.footage.frame(time))
        return Rendition(self.hash, self.width, self.height, at=at)


def film_size(asset: Asset, phone: bool) -> tuple[int, int]:
    """Width and height of a film's file, px: even, as 4:2:0 needs it, and never enlarged."""
    scale = min(1.0, sqrt(PIXELS[phone] / (asset.width * asset.height)))
    return max(2, 2 * round(asset.width * scale / 2)), max(2, 2 * round(asset.height * scale / 2))


def cut_of(layer: VideoLayer, asset: Asset, phone: bool, budget: int) -> Cut:
    """The file of a layer's film for phones or for other screens. `budget` in bytes."""
    return Cut(asset.hash, layer.footage, *film_size(asset, phone), budget)


def film_place(layer: VideoLayer, size: tuple[int, int], area: Box) -> Box:
    """The rectangle that all of a frame fills (CSS Images 3, section 5.5), as the browser rounds it: its place and its
    size each by itself."""
    if layer.size == "stretch":
        wide, high = area.width, area.height
    else:
        across, down = area.width / size[0], area.height / size[1]
        scale = max(across, down) if layer.size == "cover" else min(across, down)
        wide, high = size[0] * scale, size[1] * scale
    x = area.x + (area.width - wide) * layer.focal[0]
    y = area.y + (area.height - high) * layer.focal[1]
    return Box(round_half_up(x), round_half_up(y), max(1.0, round_half_up(wide)), max(1.0, round_half_up(high)))
