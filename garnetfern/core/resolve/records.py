"""The frozen records that resolving makes. Everything is in CSS px from the page's top left corner."""

import math
from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal

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
    """One size of a picture: the original's hash, the width and height in px, and the part of the original it shows.

    `crop` is left, top, width and height in px of the original; None is the whole picture.
    """

    hash: str
    width: int
    height: int
    lossless: bool = False
    crop: tuple[int, int, int, int] | None = None


@dataclass(frozen=True)
class ColourSheet:
    """A colour over `box`."""

    id: str
    box: Box
    colour: Rgba
    opacity: float = 1.0


@dataclass(frozen=True)
class ImageSheet:
    """A picture: `tile` is where the whole rendition lies, `box` is the part of the page it may paint.

    `period` is how far apart tiles repeat across and down, px; None where there is one tile on that axis.
    """

    id: str
    box: Box
    tile: Box
    rendition: Rendition
    opacity: float = 1.0
    period: tuple[float | None, float | None] = (None, None)


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
    """A block: box, lines, and the letters' fill. `doubts` say why it cannot be vouched for.

    A picture or a space has no `words`."""

    id: str
    box: Box
    lines: tuple[Line, ...]
    family: str
    weight: int
    size: float
    fill: Rgba
    wording: str
    doubts: tuple[str, ...] = ()
    words: bool = True


@dataclass(frozen=True)
class ColumnRecord:
    """A column: its box with its inner space, and the ids of its blocks."""

    id: str
    box: Box
    blocks: tuple[str, ...] = ()


@dataclass(frozen=True)
class BandRecord:
    """A band: its box, the box with its outer space, columns and blocks. `content` is what holds its columns."""

    id: str
    box: Box
    outer: Box
    columns: tuple[ColumnRecord, ...] = ()
    blocks: tuple[BlockRecord, ...] = ()
    content: Box = Box(0, 0, 0, 0)
    pictures: tuple[tuple[str, Box], ...] = ()


@dataclass(frozen=True)
class AreaRecord:
    """Anything with a backdrop: its box, its sheets from bottom to top, and the ids of the blocks that stand in it."""

    id: str
    kind: Literal["page", "join", "band", "column", "picture"]
    box: Box
    sheets: tuple[Sheet, ...] = ()
    blocks: tuple[str, ...] = ()


@dataclass(frozen=True)
class PageRecord:
    """A page at one viewport. `base` is the colour of the canvas; `areas` are in the order of painting."""

    id: str
    width: float
    height: float
    base: Rgba
    bands: tuple[BandRecord, ...] = ()
    areas: tuple[AreaRecord, ...] = ()

    def band(self, band_id: str) -> BandRecord | None:
        """The band of this id, or None."""
        return next((b for b in self.bands if b.id == band_id), None)

    def area(self, area_id: str) -> AreaRecord | None:
        """The area of this id, or None."""
        return next((a for a in self.areas if a.id == area_id), None)

    def blocks(self) -> Iterator[BlockRecord]:
        """All blocks of words in reading order."""
        for band in self.bands:
            yield from band.blocks
