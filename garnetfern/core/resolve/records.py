"""The frozen records that resolving makes. Everything is in CSS px from the page's top left corner."""

import math
from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Literal

from ..colour.notation import Rgba
from .box import Box
from .sheets import Sheet

NOTHING = Box(0, 0, 0, 0)
EVERYTHING = Box(0, 0, math.inf, math.inf)
UNDERLINE_BELOW, UNDERLINE_THICK = 0.16, 0.06
"""How far beneath the baseline a link's line lies and how thick it is, em; 1 px at least."""


@dataclass(frozen=True)
class Run:
    """Glyphs of one font file at a size, px, and a setting of its axes: ids, their pen positions from the line's start,
    and the clusters they show. `joined` are the clusters of several characters that are one glyph, each with the index
    behind the last of these and the pen's place there; from left to right alone."""

    face: str
    size: float
    axes: tuple[float, ...]
    glyphs: tuple[int, ...]
    x: tuple[float, ...]
    y: tuple[float, ...]
    clusters: tuple[int, ...]
    joined: tuple[tuple[int, int, float], ...] = ()


@dataclass(frozen=True)
class Line:
    """A line of text, or the part of one that is in one voice: its words, its left edge and width, baseline, and the
    start of its text in the wording. Parts of one line have one `top`.

    `fill` is its letters' own colour, where they have one; `phrase` the number of the phrase that they are of;
    `underlined`: with a line beneath.
    """

    text: str
    start: int
    x: float
    width: float
    baseline: float
    top: float
    height: float
    runs: tuple[Run, ...]
    fill: Rgba | None = None
    phrase: int | None = None
    underlined: bool = False

    def phrase_beside(self, before: "Line") -> bool:
        """Whether it goes on where another part of the same line ends."""
        return self.top == before.top and self.start == before.start + len(before.text)


@dataclass(frozen=True)
class ShadowRecord:
    """A shadow: how far it is moved, its blur and spread in px (Backgrounds 3, section 6), and its colour."""

    across: float
    down: float
    blur: float
    spread: float
    colour: Rgba


@dataclass(frozen=True)
class Stroke:
    """A line along the letters' outlines, `width` px wide in all. Hollow letters have no fill but this."""

    width: float
    colour: Rgba
    hollow: bool = False


@dataclass(frozen=True)
class BlockRecord:
    """A block: box, lines, and the letters' fill. `doubts` say why it cannot be vouched for.

    A picture or a space has no `words`. `shadow` and `stroke` are what is painted behind the letters' fill.
    """

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
    stroke: Stroke | None = None
    shadow: ShadowRecord | None = None

    def rows(self) -> list[tuple[int, ...]]:
        """The numbers of its lines, those together that are parts of one."""
        found: list[tuple[int, ...]] = []
        for number, line in enumerate(self.lines):
            if found and line.phrase_beside(self.lines[number - 1]):
                found[-1] = (*found[-1], number)
            else:
                found.append((number,))
        return found

    def fill_of(self, line: Line) -> Rgba:
        """The colour of a line's letters."""
        return self.fill if line.fill is None else line.fill


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
    content: Box = NOTHING
    pictures: tuple[tuple[str, Box], ...] = ()


@dataclass(frozen=True)
class PlateRecord:
    """How a block's plate is framed, in px: its corners, key line and shadow."""

    radius: float = 0.0
    line: float = 0.0
    line_colour: Rgba | None = None
    shadow: ShadowRecord | None = None

    def inner(self, box: Box) -> Box:
        """Where its layers lie: inside the key line."""
        return box.grown(-self.line)

    @property
    def reach(self) -> float:
        """How far its shadow reaches past its box, px."""
        if self.shadow is None:
            return 0.0
        return max(abs(self.shadow.across), abs(self.shadow.down)) + self.shadow.spread + 1.5 * self.shadow.blur + 1


@dataclass(frozen=True)
class AreaRecord:
    """Anything with a backdrop: its box, its sheets from bottom to top, and the ids of the blocks that stand in it.

    `moves`: a picture of it moves otherwise than the page when that is scrolled. `opacity`: of a plate with all that is
    in it, while its words arrive.
    """

    id: str
    kind: Literal["page", "join", "band", "column", "block", "picture"]
    box: Box
    sheets: tuple[Sheet, ...] = ()
    blocks: tuple[str, ...] = ()
    plate: PlateRecord | None = None
    moves: bool = False
    opacity: float = 1.0

    def touches(self, region: Box) -> bool:
        """Whether it may paint something there."""
        box = self.box if self.plate is None else self.box.grown(self.plate.reach)
        return box.cut(region) is not None


@dataclass(frozen=True)
class PageRecord:
    """A page at one viewport. `base` is the colour of its canvas, `areas` are as painted, `sight` is on the screen."""

    id: str
    width: float
    height: float
    base: Rgba
    bands: tuple[BandRecord, ...] = ()
    areas: tuple[AreaRecord, ...] = ()
    sight: Box = EVERYTHING

    def without_pictures(self) -> "PageRecord":
        """The same while no picture has come."""
        found = ((a, (s.without_pictures() for s in a.sheets)) for a in self.areas)
        left = (replace(a, sheets=tuple(s for s in sheets if s is not None)) for a, sheets in found)
        return replace(self, areas=tuple(left))

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
