"""The sheets that layers become. Everything is in CSS px from the page's top left corner."""

from dataclasses import dataclass, field, replace
from typing import Literal

from ..colour.notation import Rgba
from ..document.layers import BlendMode
from ..document.layers.image import PLAIN, Filter
from .box import Box


@dataclass(frozen=True)
class Rendition:
    """One size of a picture: the original's hash, the width and height in px, and the part of the original it shows.

    `crop` is left, top, width and height in px of the original; None is the whole picture. `at` is the moment of a
    film that it shows, s; None: the original is no film.
    """

    hash: str
    width: int
    height: int
    lossless: bool = False
    crop: tuple[int, int, int, int] | None = None
    at: float | None = None


@dataclass(frozen=True)
class Sheet:
    """What a layer became: something that is painted into `box`, at an opacity, mixed in by a blend mode."""

    id: str
    box: Box
    opacity: float = field(default=1.0, kw_only=True)
    blend: BlendMode = field(default="normal", kw_only=True)

    def flat(self) -> Rgba | None:
        """Its colour, where it is one colour all over its box."""
        return None

    def shares(self) -> "dict[Sheet, float]":
        """What it is mixed of, each with its share 0..1."""
        return {self: 1.0}

    def pictures(self) -> tuple["ImageSheet", ...]:
        """The pictures that it is made of, lowest first; they are there only once they have come."""
        return ()

    def without_pictures(self) -> "Sheet | None":
        """What is left of it while no picture has come."""
        return None if self.pictures() else self


@dataclass(frozen=True)
class ColourSheet(Sheet):
    """A colour over `box`."""

    colour: Rgba

    def flat(self) -> Rgba | None:
        """That colour."""
        return self.colour


@dataclass(frozen=True)
class ImageSheet(Sheet):
    """A picture: `tile` is where the whole rendition lies, `box` the part of the page it may paint; `period` is how far
    apart tiles repeat across and down, px (None: one tile on that axis)."""

    tile: Box
    rendition: Rendition
    period: tuple[float | None, float | None] = (None, None)
    filter: Filter = PLAIN

    def pictures(self) -> tuple["ImageSheet", ...]:
        """Itself."""
        return (self,)


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
class FilmSheet(Sheet):
    """A frame of a film: `frame` is its size and moment, `place` the rectangle that all of it fills, of which `box` is
    seen. `still` is what stands there before and instead."""

    frame: Rendition
    place: Box
    still: ImageSheet

    def pictures(self) -> tuple["ImageSheet", ...]:
        """The still: how it lies is how the film lies."""
        return (self.still,)


@dataclass(frozen=True)
class MixedSheet(Sheet):
    """Sheets with their shares 0..1 of what is painted: their linear mix, premultiplied. A share below a sum of 1 is
    of something that is not there."""

    parts: tuple[tuple[Sheet, float], ...]

    def shares(self) -> dict[Sheet, float]:
        """Those of its parts."""
        return dict(self.parts)

    def pictures(self) -> tuple["ImageSheet", ...]:
        """Those of all parts."""
        return tuple(picture for part, _ in self.parts for picture in part.pictures())

    def without_pictures(self) -> "Sheet | None":
        """The parts that are no pictures."""
        left = tuple((part, share) for part, share in self.parts if not part.pictures())
        return replace(self, parts=left) if left else None
