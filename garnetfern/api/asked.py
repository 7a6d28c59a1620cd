"""What the interface asks. The TypeScript types are generated from these, and from the answers of the views."""

from datetime import date
from typing import Any, Literal

from pydantic import BaseModel, Field

from ..core.document import Asset, Crop
from ..service.edits import Edit


class Change(BaseModel):
    """A JSON Patch (RFC 6902) on the document of a revision."""

    revision: int
    patch: list[dict[str, Any]] = Field(default_factory=list, max_length=200)


class KeptChange(Change):
    """A change that becomes one step of the history."""

    label: str = Field(min_length=1, max_length=200)


class Asked(Change):
    """Something to be computed on the document with a patch applied; `day`: on the page as rules show it then."""

    page: str
    day: date | None = None


class AskedLive(Asked):
    """A page to be shown; `pointed`: as it is while the pointer is over everything that answers to it; `still`: as
    visitors meet it who ask that nothing move."""

    pointed: bool = False
    still: bool = False
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


class AskedCopy(BaseModel):
    """A daily copy to be brought back."""

    revision: int
    day: str = Field(pattern=r"^\d{4}-\d{2}-\d{2}$")


class AskedSpot(Asked):
    """A spot of a screen's page, px."""

    screen: str
    x: float = Field(ge=0, le=20_000)
    y: float = Field(ge=0, le=200_000)


class AskedScheme(BaseModel):
    """A scheme to be tried: a shipped one's id, a picture's id, or a colour; its hues turned, its chroma multiplied."""

    revision: int
    which: str = Field(max_length=60)
    turn: float = Field(0, ge=-360, le=360)
    strength: float = Field(1, ge=0, le=2.5)


class AskedWords(Asked):
    """Something about one block of words."""

    block: str


class AskedMending(Asked):
    """A page to be mended; `least`: every block by itself, so that the pictures change least."""

    least: bool = False


class AskedBanners(Asked):
    """Whole banners of one band; `like`: more by one idea, beside the one of this number."""

    band: str
    like: str | None = Field(None, max_length=40)
    number: int = Field(0, ge=0, le=1000)


class AskedEyes(Asked):
    """A page through other eyes; `dials`: as they are set, where not as usual."""

    eye: str = Field(max_length=40)
    dials: dict[str, float] = Field(default_factory=dict, max_length=8)


class AskedMisfit(AskedWords):
    """Ways out for one kind of trouble with the fit of one block of words."""

    misfit: str = Field(max_length=40)


class AskedBeginning(BaseModel):
    """A picture that was handed in, and what the banner shall say; one of the two may be missing."""

    revision: int
    page: str
    asset: Asset | None = None
    words: str = Field("", max_length=400)


class AskedEdit(BaseModel):
    """An edit on the document of a revision."""

    revision: int
    edit: Edit


class AskedMend(BaseModel):
    """A mended copy of a tile."""

    asset: str
    way: Literal["cross-fade", "mirror"]


class AskedSlot(Asked):
    """A slot of the site."""

    page: str = "home"
    slot: str


class AskedCrop(AskedSlot):
    """A crop for a slot, not kept yet."""

    asset: str
    crop: Crop


class AskedWork(BaseModel):
    """Work to be put on the list."""

    kind: Literal["fit", "film"] = Field(
        description="fit: encode the site's pictures to its budget; film: its films, as soon as they are laid"
    )
