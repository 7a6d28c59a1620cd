"""What the interface sends and gets about colours, schemes, blending and the library."""

from typing import Any

from pydantic import BaseModel, Field

from ..core.document import BlendMode, Gradient
from .models import Asked, ReadingView


class LibraryGradient(BaseModel):
    """A gradient of the library; `image` is a CSS image of it."""

    id: str
    name: str
    gradient: Gradient
    image: str


class LibraryFigure(BaseModel):
    """A tile or a silhouette of the library; `image` is a CSS image of it in black."""

    id: str
    name: str
    image: str


class BlendGroup(BaseModel):
    """Blend modes that do the same kind of thing."""

    does: str
    modes: list[BlendMode]


class KindOfLayer(BaseModel):
    """A kind of layer: what a layer of it is called, and the same as something that is laid in."""

    kind: str
    name: str
    title: str
    framed: bool = Field(description="whether it is a picture, of which each screen shows a part")


class KindOfBlockView(BaseModel):
    """A kind of block: what it is called, whether it is words that are to be read, whether it is or holds links
    whatever it says, and the fields that only some kinds have."""

    kind: str
    name: str
    lettered: bool
    linked: bool
    own: list[str]


class OfferView(BaseModel):
    """Something that can be laid in: how it looks (CSS declarations of a small box) and the layer, without an id."""

    name: str
    style: str
    layer: dict[str, Any]


class OffersView(KindOfLayer):
    """What there is of a kind on a page."""

    offers: list[OfferView]


class Library(BaseModel):
    """Everything that ships for layers; kinds in their order."""

    kinds: list[KindOfLayer]
    blocks: list[KindOfBlockView]
    gradients: list[LibraryGradient]
    tiles: list[LibraryFigure]
    silhouettes: list[LibraryFigure]
    blends: list[BlendGroup]


class BlendLook(BaseModel):
    """The picture of an area with a layer in one blend mode."""

    mode: BlendMode
    picture: str


class BlendLooks(BaseModel):
    """All of them; none where the layer is not to be seen."""

    looks: list[BlendLook]


class ColourView(BaseModel):
    """A colour in all its notations: HSL in degrees and %, OKLCH as 0..1, chroma, degrees."""

    hex: str
    hsl: tuple[float, float, float]
    oklch: tuple[float, float, float]
    alpha: float
    fitted: bool


class AskedSpot(Asked):
    """A spot of a screen's page, px."""

    screen: str
    x: float = Field(ge=0, le=20_000)
    y: float = Field(ge=0, le=200_000)


class SpotView(BaseModel):
    """The colour behind the words at a spot, and the layers it is made of, topmost first."""

    colour: str
    layers: list[str]


class SchemeCard(BaseModel):
    """A scheme with the site's palette in it."""

    id: str
    name: str
    palette: list[str]


class SituationView(BaseModel):
    """A situation, its kind, and the share of visits (0..1) that come on its screen."""

    id: str
    name: str
    kind: str
    screen: str
    scroll: float
    share: float
    trouble: bool


class WordsView(BaseModel):
    """A block of words, and whether it falls short anywhere."""

    id: str
    words: str
    trouble: bool


class LetteringNote(BaseModel):
    """A picture that bears lettering; `wanted`: what it says is still to be written down."""

    asset: str
    sentence: str
    wanted: bool


class SituationsView(BaseModel):
    """Words by situations; trouble stands first. `own`: the visits are the owner's, not the table that ships.

    `unsure` readings cannot be vouched for and count as neither.
    """

    blocks: list[WordsView]
    situations: list[SituationView]
    cells: list[ReadingView]
    sentence: str
    good: bool
    unsure: int
    notes: list[LetteringNote]
    own: bool


class WidthPoint(BaseModel):
    """The worst reading at a width."""

    width: int
    block: str
    ratio: float
    shown: str
    required: float
    meets: bool
    lines: int


class WidthChange(BaseModel):
    """A width at which a block begins to fall short, or can be read again."""

    width: int
    block: str
    short: bool
    sentence: str


class WidthRange(BaseModel):
    """The widths a screen stands for."""

    screen: str
    name: str
    least: int
    most: int


class WidthView(BaseModel):
    """The run over widths."""

    points: list[WidthPoint]
    changes: list[WidthChange]
    screens: list[WidthRange]
    sentence: str


class AskedScheme(BaseModel):
    """A scheme to be tried: a shipped one's id, a picture's id, or a colour; its hues turned, its chroma multiplied."""

    revision: int
    which: str = Field(max_length=60)
    turn: float = Field(0, ge=-360, le=360)
    strength: float = Field(1, ge=0, le=2.5)


class SchemeTried(SchemeCard):
    """A scheme as a patch on the document."""

    patch: list[dict[str, Any]]
