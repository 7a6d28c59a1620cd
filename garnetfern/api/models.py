"""What the interface gets where no view answers: where the site stands, and the lines of long answers."""

from typing import Any, Literal

from pydantic import BaseModel
from typing_extensions import TypedDict

from ..core.cache import Kept
from ..core.document import Asset, Axis, Instance, Site
from ..service.runtime.told import DoingLine
from ..service.views.banners import BannerLine, BannersEnd, WithoutLine
from ..service.views.every_situation import SituationsView, WidthView
from ..service.views.fit import FitView, FitWayLine
from ..service.views.mending import BegunLine, MendedLine
from ..service.views.overlay_everywhere import EverywhereView
from ..service.views.releases import LookView
from ..service.views.remedies import EndLine, PlightLine, RemedyLine


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


class BundleFile(BaseModel):
    """A file of the bundle and its weight."""

    name: str
    bytes: int


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


class LookLine(BaseModel):
    """What the next release would be."""

    kind: Literal["found"]
    found: LookView


class LookLines(BaseModel):
    """One of the lines about the next release."""

    line: DoingLine | LookLine | ProblemLine


class PublishedView(BaseModel):
    """The number of the release that was put live."""

    number: int


class PublishedLine(BaseModel):
    """The site is live."""

    kind: Literal["found"]
    found: PublishedView


class PublishLines(BaseModel):
    """One of the lines about putting live."""

    line: DoingLine | PublishedLine | ProblemLine


class CacheView(BaseModel):
    """What was computed and is kept: how many bytes, of how many at the most, and how each kind fares."""

    bytes: int
    most: int
    kinds: list[Kept]


class SiteName(BaseModel):
    """A site's id and what it is called."""

    site: str
    name: str


class SiteLine(TypedDict):
    """The site that should be looked at now."""

    kind: Literal["site"]
    site: str
    name: str


class SiteLines(BaseModel):
    """One of the lines about making the sites of the sample."""

    line: DoingLine | SiteLine | ProblemLine


class BeginLines(BaseModel):
    """One of the lines about putting a picture and words together."""

    line: DoingLine | BegunLine | ProblemLine


class HealthView(BaseModel):
    """Whether the application answers, which version it is, and how it fares."""

    version: str
    site: str
    revision: int
    cache: CacheView


class FontView(BaseModel):
    """A family that there is: its weights, each as least and most, and whether it has italics. Axes and named instances
    are those of the owner's `own`."""

    family: str
    character: str
    stack: str
    weights: list[tuple[int, int]]
    italic: bool
    own: bool
    axes: list[Axis]
    instances: list[Instance]


class ProblemView(BaseModel):
    """What was wrong with a request."""

    kind: str
    message: str
    path: str


class Picked(BaseModel):
    """The asset of a picture that was taken in; `healed`: its file was damaged on the disk and is whole again."""

    asset: Asset
    healed: bool = False


class EditedView(BaseModel):
    """Where the site stands after an edit, and what should be chosen then."""

    step: StepView
    chosen: str | None


class RemedyLines(BaseModel):
    """One of the lines about one block of words."""

    line: PlightLine | RemedyLine | EndLine | ProblemLine


class FitLine(BaseModel):
    """Whether the words of a page fit."""

    kind: Literal["found"]
    found: FitView


class FitLines(BaseModel):
    """One of the lines about whether words fit."""

    line: DoingLine | FitLine | ProblemLine


class FitWayLines(BaseModel):
    """One of the lines about ways out for words that do not fit."""

    line: FitWayLine | EndLine | ProblemLine


class SituationsLine(BaseModel):
    """Every situation of a page."""

    kind: Literal["found"]
    found: SituationsView


class SituationLines(BaseModel):
    """One of the lines about every situation."""

    line: DoingLine | SituationsLine | ProblemLine


class WidthsLine(BaseModel):
    """Every width of a page."""

    kind: Literal["found"]
    found: WidthView


class WidthLines(BaseModel):
    """One of the lines about every width."""

    line: DoingLine | WidthsLine | ProblemLine


class MendLines(BaseModel):
    """One of the lines about a page."""

    line: DoingLine | MendedLine | ProblemLine


class BannerLines(BaseModel):
    """One of the lines about whole banners."""

    line: BannerLine | WithoutLine | BannersEnd | ProblemLine


class EverywhereLine(BaseModel):
    """An overlay on all pages."""

    kind: Literal["found"]
    found: EverywhereView


class EverywhereLines(BaseModel):
    """One of the lines about an overlay on all pages."""

    line: DoingLine | EverywhereLine | ProblemLine
