"""A picture."""

from typing import ClassVar, Literal

from pydantic import Field, model_validator

from ...limits import FILM_SECONDS
from ..assets import Crop
from ..base import Fraction, Identifier, Model
from ..length import LengthText, SizeText
from ..screens import without
from ._base import AS_OTHERS, LayerBase

SizeKind = Literal["cover", "contain", "natural", "stretch", "own"]
RepeatStyle = Literal["no-repeat", "repeat", "space", "round"]


class Position(Model):
    """A place by offsets from edges, as background-position with four values (CSS Backgrounds 3, section 3.6)."""

    side: Literal["left", "right"] = "left"
    across: LengthText = "50%"
    end: Literal["top", "bottom"] = "top"
    down: LengthText = "50%"


class Filter(Model):
    """What is done to a picture before it is laid down (Filter Effects 1, section 5), in this order.

    `blur` is the standard deviation in px; the others are amounts, 1 (for `grayscale` 0) being no change.
    """

    blur: float = Field(0, ge=0, le=60)
    brightness: float = Field(1, ge=0, le=3)
    contrast: float = Field(1, ge=0, le=3)
    saturate: float = Field(1, ge=0, le=3)
    grayscale: float = Field(0, ge=0, le=1)


PLAIN = Filter()


class ImageException(Model):
    """What of an image layer is otherwise on one screen; None: as everywhere."""

    size: SizeKind | None = None
    width: SizeText | None = None
    height: SizeText | None = None
    focal: tuple[Fraction, Fraction] | None = None
    position: Position | None = None
    crop: Crop | None = None
    visible: bool | None = None


class ImageLayer(LayerBase):
    """A picture.

    `size` as background-size: cover, contain, natural (auto), stretch (100% 100%), or own with `width` and `height`
    (None: auto). `focal` is the spot to keep in sight; `position`, where given, stands instead of it. `repeat` across
    and down. `attachment` slower moves at `rate` times the page's speed. A blurred picture is laid out in an area
    that is larger by three times its blur each way, so that its edges do not pale.
    """

    framed: ClassVar[bool] = True

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
    filter: Filter = PLAIN
    at: float = Field(0, ge=0, le=FILM_SECONDS, description="of a film: the moment that is shown, s")
    screens: dict[Identifier, ImageException] = Field({}, max_length=12)

    @model_validator(mode="after")
    def _filtered_where_it_can_be(self) -> "ImageLayer":
        if self.filter != PLAIN and self.attachment == "fixed":
            raise ValueError("A picture that stays put takes no filter: browsers would let it scroll then.")
        if self.filter.blur and self.attachment != "scroll":
            raise ValueError("Only a picture that moves with the page can be blurred.")
        return self

    def pictures(self) -> tuple["ImageLayer", ...]:
        """Itself."""
        return (self,)

    def bare(self) -> "ImageLayer":
        """Nothing is to be seen of it."""
        return self.model_copy(update={"visible": False, "screens": {}})

    def as_member(self, name: str) -> "ImageLayer":
        """As strong as those it takes turns with; it moves with the page, and is there on every screen."""
        kept = without(self.screens, "visible")
        return self.model_copy(update={"id": name, "attachment": "scroll", "screens": kept, **AS_OTHERS})

    def assets(self) -> tuple[str, ...]:
        """The id of its picture."""
        return (self.asset,)

    def with_asset(self, old: str, new: str, title: str) -> "ImageLayer":
        """Another picture, with its title; crops were made for the one before and are undone."""
        if self.asset != old:
            return self
        screens = {name: e.model_copy(update={"crop": None}) for name, e in self.screens.items()}
        return self.model_copy(update={"asset": new, "name": title, "crop": None, "at": 0.0, "screens": screens})

    def depends_on(self) -> frozenset[str]:
        """Its picture may be missing; and it may move otherwise than the page."""
        moving = {"scroll": (), "fixed": ("scroll",), "slower": ("scroll", "less_motion")}[self.attachment]
        return frozenset(("missing", *moving))
