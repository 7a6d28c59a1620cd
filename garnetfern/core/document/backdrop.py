"""Backdrops: all that lies behind an area's words."""

from typing import Annotated, Literal

from pydantic import Field

from .assets import Crop
from .base import Colour, Fraction, Identifier, Model, Name
from .length import LengthText, SizeText

SizeKind = Literal["cover", "contain", "natural", "stretch", "own"]
RepeatStyle = Literal["no-repeat", "repeat", "space", "round"]


class _Layer(Model):
    id: Identifier
    name: Name
    visible: bool = True
    opacity: Fraction = 1.0


class ColourLayer(_Layer):
    """One colour over the whole area."""

    kind: Literal["colour"] = "colour"
    colour: Colour


class Position(Model):
    """A place by offsets from edges, as background-position with four values (CSS Backgrounds 3, section 3.6)."""

    side: Literal["left", "right"] = "left"
    across: LengthText = "50%"
    end: Literal["top", "bottom"] = "top"
    down: LengthText = "50%"


class ImageException(Model):
    """What of an image layer is otherwise on one screen; None: as everywhere."""

    size: SizeKind | None = None
    width: SizeText | None = None
    height: SizeText | None = None
    focal: tuple[Fraction, Fraction] | None = None
    position: Position | None = None
    crop: Crop | None = None
    visible: bool | None = None


class ImageLayer(_Layer):
    """A picture.

    `size` as background-size: cover, contain, natural (auto), stretch (100% 100%), or own with `width` and `height`
    (None: auto). `focal` is the spot to keep in sight; `position`, where given, stands instead of it. `repeat` across
    and down. `attachment` slower moves at `rate` times the page's speed.
    """

    kind: Literal["image"] = "image"
    asset: Identifier
    size: SizeKind = "cover"
    width: SizeText | None = None
    height: SizeText | None = None
    focal: tuple[Fraction, Fraction] = (0.5, 0.5)
    position: Position | None = None
    repeat: tuple[RepeatStyle, RepeatStyle] = ("no-repeat", "no-repeat")
    attachment: Literal["scroll", "fixed", "slower"] = "scroll"
    rate: float = Field(0.5, ge=0.05, le=0.95, description="of a slower picture, times the page's speed")
    crop: Crop | None = None
    screens: dict[Identifier, ImageException] = Field({}, max_length=12)


Layer = Annotated[ColourLayer | ImageLayer, Field(discriminator="kind")]


class Backdrop(Model):
    """All that lies behind an area's words: a base colour and layers from bottom to top."""

    base: Colour | None = None
    layers: tuple[Layer, ...] = Field((), max_length=24)
