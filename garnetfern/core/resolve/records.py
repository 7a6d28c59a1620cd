"""The frozen records that resolving makes. Everything is in CSS px from the page's top left corner."""

import math
from dataclasses import dataclass, field

from ..colour.notation import Rgba


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

    def cut(self, other: "Box") -> "Box | None":
        """What both have in common, or None."""
        left, top = max(self.x, other.x), max(self.y, other.y)
        right, bottom = min(self.right, other.right), min(self.bottom, other.bottom)
        return Box(left, top, right - left, bottom - top) if right > left and bottom > top else None


def round_half_up(value: float) -> int:
    """Nearest whole number, halves upwards."""
    return math.floor(value + 0.5)


@dataclass(frozen=True)
class Rendition:
    """One size of a picture: the asset's hash and the width and height in picture px that are used."""

    hash: str
    width: int
    height: int
    lossless: bool = False


@dataclass(frozen=True)
class ColourSheet:
    """A colour over `box`."""

    id: str
    box: Box
    colour: Rgba
    opacity: float = 1.0


@dataclass(frozen=True)
class ImageSheet:
    """A picture: `tile` is where the whole rendition lies, `box` is the part of the page it may paint."""

    id: str
    box: Box
    tile: Box
    rendition: Rendition
    opacity: float = 1.0


Sheet = ColourSheet | ImageSheet


@dataclass(frozen=True)
class Run:
    """Glyphs of one font file: ids, their pen positions from the line's start, and the clusters they show."""

    face: str
    glyphs: tuple[int, ...]
    x: tuple[float, ...]
    y: tuple[float, ...]
    clusters: tuple[int, ...]


@dataclass(frozen=True)
class Line:
    """A line of text: its words, its left edge and width, baseline, and the start of its text in the wording."""

    text: str
    start: int
    x: float
    width: float
    baseline: float
    top: float
    height: float
    runs: tuple[Run, ...]


@dataclass(frozen=True)
class BlockRecord:
    """A block of words: box, lines, and the letters' fill. `doubts` say why it cannot be vouched for."""

    id: str
    box: Box
    lines: tuple[Line, ...]
    family: str
    weight: int
    size: float
    fill: Rgba
    wording: str
    doubts: tuple[str, ...] = ()


@dataclass(frozen=True)
class BandRecord:
    """A band: its box, the sheets of its backdrop from bottom to top, and its columns and blocks."""

    id: str
    box: Box
    sheets: tuple[Sheet, ...]
    columns: tuple[Box, ...] = ()
    blocks: tuple[BlockRecord, ...] = ()


@dataclass(frozen=True)
class PageRecord:
    """A page at one viewport. `base` is the colour of the canvas."""

    id: str
    width: float
    height: float
    base: Rgba
    bands: tuple[BandRecord, ...] = field(default=())

    def band(self, band_id: str) -> BandRecord | None:
        """The band of this id, or None."""
        return next((b for b in self.bands if b.id == band_id), None)
