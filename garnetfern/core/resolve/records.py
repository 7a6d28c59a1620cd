"""The frozen records that resolving makes. Everything is in CSS px from the page's top left corner."""

import math
from collections.abc import Iterator
from dataclasses import dataclass, field, replace
from typing import ClassVar, Literal

from ..colour.notation import Rgba
from ..document.layers import BlendMode
from ..document.layers.image import PLAIN, Filter


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
class Sheet:
    """What a layer became: something that is painted into `box`, at an opacity, mixed in by a blend mode."""

    LOADED: ClassVar[bool] = False
    """Whether it is a picture, which is there only once it has come."""

    id: str
    box: Box
    opacity: float = field(default=1.0, kw_only=True)
    blend: BlendMode = field(default="normal", kw_only=True)


@dataclass(frozen=True)
class ColourSheet(Sheet):
    """A colour over `box`."""

    colour: Rgba


@dataclass(frozen=True)
class ImageSheet(Sheet):
    """A picture: `tile` is where the whole rendition lies, `box` the part of the page it may paint; `period` is how far
    apart tiles repeat across and down, px (None: one tile on that axis)."""

    LOADED = True

    tile: Box
    rendition: Rendition
    period: tuple[float | None, float | None] = (None, None)
    filter: Filter = PLAIN


@dataclass(frozen=True)
class Ramp:
    """A gradient in px of the page: stops as (place, colour) in rising order, 0..1 along its line, radius or turn.

    linear: `origin` is where 0 is, `axis` the way from there to 1. radial: `origin` is the centre, `axis` both radii.
    conic: `origin` is the centre, `axis[0]` the angle it begins at, degrees clockwise from the top.
    """

    shape: Literal["linear", "radial", "conic"]
    origin: tuple[float, float]
    axis: tuple[float, float]
    stops: tuple[tuple[float, Rgba], ...]
    repeating: bool = False
    space: Literal["srgb", "oklab"] = "srgb"


@dataclass(frozen=True)
class GradientSheet(Sheet):
    """Gradients over `box`, bottom first; together they are one sheet."""

    ramps: tuple[Ramp, ...]


@dataclass(frozen=True)
class PatternSheet(Sheet):
    """A colour through a tile's figure: `svg` is one tile of `size` px, its first corner at `origin` before the turn.

    The turn is in degrees, clockwise, about the corner of `box`.
    """

    colour: Rgba
    svg: str
    size: tuple[int, int]
    origin: tuple[float, float]
    turn: float


@dataclass(frozen=True)
class ShapeSheet(Sheet):
    """A colour or a gradient through a silhouette, which `svg` draws at the size of `place`.

    With `outside` everything but the silhouette is painted.
    """

    fill: "Rgba | Ramp"
    svg: str
    place: Box
    outside: bool = False


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

    `moves`: a picture of it moves otherwise than the page when that is scrolled.
    """

    id: str
    kind: Literal["page", "join", "band", "column", "block", "picture"]
    box: Box
    sheets: tuple[Sheet, ...] = ()
    blocks: tuple[str, ...] = ()
    plate: PlateRecord | None = None
    moves: bool = False

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
    sight: Box = Box(0, 0, math.inf, math.inf)

    def without_pictures(self) -> "PageRecord":
        """The same while no picture has come."""
        left = (replace(a, sheets=tuple(s for s in a.sheets if not s.LOADED)) for a in self.areas)
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
