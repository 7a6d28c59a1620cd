"""What the interface sends and gets. The TypeScript types are generated from these."""

from typing import Any, Literal

from pydantic import BaseModel, Field

from ..core.document import Asset, Site


class Change(BaseModel):
    """A JSON Patch (RFC 6902) on the document of a revision."""

    revision: int
    patch: list[dict[str, Any]] = Field(default_factory=list, max_length=200)


class KeptChange(Change):
    """A change that becomes one step of the history."""

    label: str = Field(min_length=1, max_length=200)


class Asked(Change):
    """Something to be computed on the document with a patch applied."""

    page: str


class AskedLive(Asked):
    """A page to be shown; `pointed`: as it is while the pointer is over everything that answers to it."""

    pointed: bool = False
    situation: str | None = Field(None, max_length=80, description="the situation to show it in; none: at rest")


class AskedArea(Asked):
    """The same for one area of the page."""

    area: str


class AskedBuildUp(AskedArea):
    """The build-up of an area; `block`: whose readings the line follows, by default the one that fares worst."""

    block: str | None = None


class AskedLayer(AskedArea):
    """The same for one layer of an area."""

    layer: str


class Live(BaseModel):
    """A page as the screens show it."""

    fonts: list[str]
    css: list[str]
    body: list[str]


class StateView(BaseModel):
    """Where the site stands."""

    revision: int
    document: Site
    undo: str | None
    redo: str | None
    kept: str


class StepView(BaseModel):
    """Where the site stands, and what leads there from `since`: a JSON Patch, or the whole document."""

    revision: int
    since: int
    patch: list[dict[str, Any]] | None
    document: Site | None
    undo: str | None
    redo: str | None
    kept: str


class LetterView(BaseModel):
    """A judged letter; `box` is left, top, width, height in px of the page."""

    index: int
    character: str
    line: int
    word: str
    box: tuple[float, float, float, float]
    ratio: float
    ground: str


class ReadingView(BaseModel):
    """The reading of a block in a situation."""

    block: str
    situation: str
    name: str
    screen: str
    missing: bool
    kind: str
    pointed: bool
    ratio: float | None
    shown: str | None
    required: float
    meets: bool
    vouched: bool
    share: float
    busyness: float
    worst: LetterView | None
    short: list[LetterView]
    sentence: str


class ReadingsView(BaseModel):
    """The readings of a page, and what they come to; `good`: every word that was measured can be read."""

    readings: list[ReadingView]
    sentence: str
    good: bool


class CardView(BaseModel):
    """A card of the build-up: the picture as far as a layer, and the worst reading there."""

    id: str
    below: str | None = Field(description="the area below whose sheet this is; none for the area's own")
    name: str | None
    aside: str = Field(description="what is said beside its name")
    ink: str = Field(description="a CSS background that stands for the layer at full strength")
    picture: str
    ratio: float | None
    shown: str | None
    meets: bool | None
    situation: str | None


class BuildUpView(BaseModel):
    """The cards of an area, and the block and requirement of the contrast line."""

    cards: list[CardView]
    block: str | None
    blocks: list[str]
    required: float | None
    sentence: str


class OverlayView(BaseModel):
    """The least opacity of an overlay; `opacity` is null where none suffices on the screens.

    `beyond` says what still falls short in other situations at that opacity.
    """

    layer: str
    opacity: float | None
    nearest: float
    kept: float
    sentence: str
    beyond: str
    worst: float | None
    required: float | None
    situation: str


class RuleView(BaseModel):
    """One CSS rule, and what it cannot say."""

    css: str
    left_out: list[str]


class BundleFile(BaseModel):
    """A file of the bundle and its weight."""

    name: str
    bytes: int


class DoingLine(BaseModel):
    """What is being done, and which share of the whole is done, 0..1."""

    kind: Literal["doing"]
    words: str
    share: float


class ProblemLine(BaseModel):
    """The last line where something went wrong."""

    kind: Literal["problem"]
    status: int
    message: str


class PackedView(BaseModel):
    """A packed bundle: the number it is fetched by, its weight as a zip, and its files."""

    number: int
    bytes: int
    files: list[BundleFile]


class PackedLine(BaseModel):
    """The bundle, packed."""

    kind: Literal["found"]
    found: PackedView


class PackingLines(BaseModel):
    """One of the lines about packing."""

    line: DoingLine | PackedLine | ProblemLine


class KeptView(BaseModel):
    """How often a kind of value was at hand, and how often it was not."""

    kind: str
    hits: int
    misses: int


class CacheView(BaseModel):
    """What was computed and is kept: how many bytes, of how many at the most, and how each kind fares."""

    bytes: int
    most: int
    kinds: list[KeptView]


class HealthView(BaseModel):
    """Whether the application answers, which version it is, and how it fares."""

    version: str
    revision: int
    cache: CacheView


class FontView(BaseModel):
    """A shipped family."""

    family: str
    character: str
    stack: str
    least_weight: int
    most_weight: int
    variable: bool
    italic: bool


class ProblemView(BaseModel):
    """What was wrong with a request."""

    kind: str
    message: str
    path: str


class Picked(BaseModel):
    """The asset of a picture that was taken in; `healed`: its file was damaged on the disk and is whole again."""

    asset: Asset
    healed: bool = False


class CopyView(BaseModel):
    """A daily copy: its day, the revision and the number of steps in it, the last of them and when it was made."""

    day: str
    revision: int
    steps: int
    label: str
    made: str


class AskedCopy(BaseModel):
    """A daily copy to be brought back."""

    revision: int
    day: str = Field(pattern=r"^\d{4}-\d{2}-\d{2}$")
