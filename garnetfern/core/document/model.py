"""The document: a site with pages, bands, columns, blocks, and the backdrops behind them."""

from collections.abc import Iterator
from typing import Annotated, Literal

from pydantic import Field, model_validator

from ..colour.contrast import Requirement
from .base import Colour, Fraction, Identifier, Model, Name, Wording
from .length import SizeText

Align = Literal["start", "center", "end"]


class Screen(Model):
    """A named viewport in CSS px, standing for the viewport widths `from` to `to`."""

    id: Identifier
    name: Name
    width: int = Field(ge=240, le=3840)
    height: int = Field(ge=240, le=3840)
    least: int = Field(ge=0, description="the narrowest viewport it stands for, CSS px")
    most: int = Field(le=10_000, description="the widest viewport it stands for, CSS px")

    @model_validator(mode="after")
    def _in_its_range(self) -> "Screen":
        if not self.least <= self.width <= self.most:
            raise ValueError(f"A screen's width lies in its range; {self.width} is not in {self.least} to {self.most}.")
        return self


class Asset(Model):
    """A picture of the site: the facts about its original bytes, found by their SHA-256."""

    id: Identifier
    name: Name
    hash: str = Field(pattern=r"^[0-9a-f]{64}$")
    type: Literal["jpeg", "png", "webp", "avif"]
    width: int = Field(ge=1, description="px, after the camera's rotation")
    height: int = Field(ge=1, description="px, after the camera's rotation")
    bytes: int = Field(ge=1)
    alpha: bool = False
    note: str = Field("", max_length=400, description="what was found when it came in, for the owner")


class _Layer(Model):
    id: Identifier
    name: Name
    visible: bool = True
    opacity: Fraction = 1.0


class ColourLayer(_Layer):
    """One colour over the whole area."""

    kind: Literal["colour"] = "colour"
    colour: Colour


class ImageLayer(_Layer):
    """A picture. `size` as background-size: cover, contain, or natural (auto). `focal` is the spot to keep in sight."""

    kind: Literal["image"] = "image"
    asset: Identifier
    size: Literal["cover", "contain", "natural"] = "cover"
    focal: tuple[Fraction, Fraction] = (0.5, 0.5)


Layer = Annotated[ColourLayer | ImageLayer, Field(discriminator="kind")]


class Backdrop(Model):
    """All that lies behind an area's words: a base colour and layers from bottom to top."""

    base: Colour | None = None
    layers: tuple[Layer, ...] = Field((), max_length=24)


class Lettering(Model):
    """How a block's words are set. `line` is the line height as a multiple of the size."""

    font: str = Field("Hanken Grotesk", max_length=60)
    weight: int = Field(400, ge=100, le=900)
    size: SizeText = "17px"
    line: float = Field(1.5, ge=0.6, le=4)
    colour: Colour = "#20302a"
    align: Align | None = Field(None, description="none: as its band")


class Block(Model):
    """A heading or a text. `level` is the heading's place in the outline; a text has none."""

    id: Identifier
    kind: Literal["heading", "text"]
    level: int | None = Field(None, ge=1, le=6)
    wording: Wording = ""
    lettering: Lettering = Lettering()
    width: SizeText | None = Field(None, description="its greatest width; none: the column's")

    @model_validator(mode="after")
    def _level_goes_with_heading(self) -> "Block":
        if (self.kind == "heading") != (self.level is not None):
            raise ValueError("A heading has a level from 1 to 6, and a text has none.")
        return self


class Column(Model):
    """Blocks one under the other. `share` is its part of the width among its neighbours."""

    id: Identifier
    share: float = Field(1, gt=0, le=12)
    gap: SizeText = "16px"
    blocks: tuple[Block, ...] = Field((), max_length=40)


class Height(Model):
    """A band's least height; its content and padding may make it higher."""

    min: SizeText = "0px"


class Padding(Model):
    """Inner space: `block` above and below, `inline` left and right. The backdrop shows in it."""

    block: SizeText = "48px"
    inline: SizeText = "6vw"


class Content(Model):
    """Where words stand: their greatest width, their alignment, and top, middle or foot of the band."""

    width: SizeText = "1120px"
    align: Align = "start"
    stand: Align = "start"
    gap: SizeText = Field("32px", description="between columns")


class Band(Model):
    """One horizontal strip of a page."""

    id: Identifier
    name: Name
    role: Literal["header", "banner", "band", "footer"] = "band"
    height: Height = Height()
    padding: Padding = Padding()
    content: Content = Content()
    backdrop: Backdrop = Backdrop()
    columns: tuple[Column, ...] = Field((), max_length=4)

    def blocks(self) -> Iterator[Block]:
        """Its blocks in reading order."""
        for column in self.columns:
            yield from column.blocks


class Page(Model):
    """A page: its own base colour, then bands from top to bottom."""

    id: Identifier
    slug: str = Field(pattern=r"^[a-z0-9][a-z0-9-]{0,60}$")
    title: Name
    backdrop: Backdrop = Backdrop(base="#ffffff")
    bands: tuple[Band, ...] = Field((), max_length=40)


class Site(Model):
    """A whole site, the root of the document."""

    format: Literal["garnetfern-site"] = "garnetfern-site"
    version: Literal[1] = 1
    name: Name
    language: str = Field("en", pattern=r"^[A-Za-z]{2,3}(-[A-Za-z0-9]{2,8})*$")
    requirement: Requirement = Requirement.AA
    palette: tuple[Colour, ...] = Field((), max_length=24)
    screens: tuple[Screen, ...] = Field(min_length=1, max_length=12)
    assets: tuple[Asset, ...] = Field((), max_length=2000)
    pages: tuple[Page, ...] = Field(min_length=1, max_length=200)

    def asset(self, asset_id: str) -> Asset:
        """The asset of this id; the document guarantees that every layer's is there."""
        return next(a for a in self.assets if a.id == asset_id)

    def page(self, page_id: str) -> Page | None:
        """The page of this id or slug, or None."""
        return next((p for p in self.pages if page_id in (p.id, p.slug)), None)
