"""What the interface sends and gets about pictures: the shelf, framing, tiles, slots, stock and weights."""

from typing import Literal

from pydantic import BaseModel, Field

from ..core.document import Crop
from ..service.edits import Edit
from .models import Asked, StepView


class AskedEdit(BaseModel):
    """An edit on the document of a revision."""

    revision: int
    edit: Edit


class EditedView(BaseModel):
    """Where the site stands after an edit, and what should be chosen then."""

    step: StepView
    chosen: str | None


class SeamView(BaseModel):
    """One pair of edges."""

    figure: float
    shows: bool


class SeamsView(BaseModel):
    """Both pairs."""

    across: SeamView
    down: SeamView


class ColourShare(BaseModel):
    """A main colour, its share and its plain name."""

    colour: str
    share: float
    name: str


class UseView(BaseModel):
    """A place that shows a picture."""

    page: str
    area: str
    item: str
    words: str


class PictureView(BaseModel):
    """A picture on the shelf."""

    asset: str
    name: str
    hash: str
    type: str
    width: int
    height: int
    bytes: int
    orientation: Literal["landscape", "portrait", "square"]
    colours: list[ColourShare]
    mood: Literal["calm", "mixed", "busy"]
    lightness: float
    seamless: bool
    seams: SeamsView | None
    uses: list[UseView]
    note: str
    credit: str
    intact: bool


class StockView(BaseModel):
    """A picture on offer at the stock stand-in."""

    id: str
    title: str
    width: int
    height: int
    orientation: Literal["landscape", "portrait", "square"]
    colours: list[str]
    colour_names: list[str]
    mood: str
    credit: str


class ScreenWindow(BaseModel):
    """What a screen shows of a picture: the window in fractions, loss and bareness 0..1, magnification at 1x and 2x.

    `tile` is the size it is drawn at, `offset` its place in its area, `area` the area's size, all in CSS px.
    """

    screen: str
    name: str
    window: tuple[float, float, float, float]
    lost: float
    bare: float
    once: float
    twice: float
    sharpness: tuple[str, str]
    lost_parts: list[str]
    tiles: tuple[float, float]
    noticeable: bool
    differs: bool
    tile: tuple[float, float]
    offset: tuple[float, float]
    area: tuple[float, float]


class FramingView(BaseModel):
    """The framing sheet of a layer. `reach` is the box of focal points that keep all marked parts everywhere."""

    layer: str
    asset: str
    screens: list[ScreenWindow]
    detail: list[list[float]]
    mood: str
    focal: tuple[float, float]
    others: dict[str, tuple[float, float]]
    never: dict[str, list[str]]
    reach: tuple[float, float, float, float] | None
    advice: str
    advised: bool
    seams: SeamsView | None


class CureView(BaseModel):
    """A height that would make an area visible."""

    area: str
    height: str


class AreaView(BaseModel):
    """An area on a screen. `visible` and `base` are shares 0..1; `box` is None where it is not to be seen."""

    area: str
    name: str
    box: tuple[float, float, float, float] | None
    visible: float
    base: float
    sentence: str
    cure: CureView | None
    outer: tuple[float, float, float, float] | None
    content: tuple[float, float, float, float] | None


class ScreenAreas(BaseModel):
    """All areas of a page on a screen."""

    screen: str
    name: str
    height: float
    areas: list[AreaView]


class AskedMend(BaseModel):
    """A mended copy of a tile."""

    asset: str
    way: Literal["cross-fade", "mirror"]


class MendView(BaseModel):
    """Seams before and after mending."""

    before: SeamsView
    after: SeamsView
    width: int
    height: int
    bytes: int


class SlotRow(BaseModel):
    """A picture in a slot, cut for it or as it would be."""

    asset: str
    cut: bool
    crop: Crop
    magnification: float
    lost: float
    sentence: str


class SlotView(BaseModel):
    """A slot with all pictures."""

    slot: str
    rows: list[SlotRow]


class AskedSlot(Asked):
    """A slot of the site."""

    page: str = "home"
    slot: str


class AskedCrop(AskedSlot):
    """A crop for a slot, not kept yet."""

    asset: str
    crop: Crop


class CropFacts(BaseModel):
    """The crop with the slot's proportion, and what it costs."""

    crop: Crop
    magnification: float
    lost: float
    sentence: str


class JobView(BaseModel):
    """Long work: how far it is."""

    id: int
    kind: str
    state: Literal["waiting", "running", "stopping", "stopped", "done", "failed"]
    done: int
    total: int
    message: str
    made: str


class AskedWork(BaseModel):
    """Work to be put on the list."""

    kind: Literal["fit"] = Field(description="fit: encode the site's pictures to its budget")


class FittedView(BaseModel):
    """A fitted file: its kind, quality, SSIM, weight, and whether it fits its budget."""

    kind: str
    quality: int
    ssim: float
    bytes: int
    fits: bool


class WeightRow(BaseModel):
    """A rendition visitors get, the budget it has, and its files as far as they were made."""

    asset: str
    name: str
    width: int
    height: int
    budget: int
    files: list[FittedView]


class WeightsView(BaseModel):
    """All renditions of the site, and how many files are still to be made."""

    rows: list[WeightRow]
    missing: int
