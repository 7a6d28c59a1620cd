"""A film: a part of it, over and over, without its sound."""

from collections.abc import Iterator, Mapping
from itertools import pairwise
from math import ceil
from typing import ClassVar, Literal, get_args

from pydantic import Field, model_validator

from ...limits import FILM_PART, FILM_SECONDS
from ..assets import Asset
from ..base import Fraction, Identifier, Model
from ..footage import FASTEST, Footage, footage_of
from ._base import LayerBase, Phase
from .image import ImageException, ImageLayer

FilmSize = Literal["cover", "contain", "stretch"]
STRETCH = 2.0
MOST_STRETCHES = 6
"""A film is looked at in stretches of about so many s, so many at the most."""


class VideoException(Model):
    """What of a film is otherwise on one screen; None: as everywhere."""

    size: FilmSize | None = None
    focal: tuple[Fraction, Fraction] | None = None
    visible: bool | None = None


def _said(time: float) -> str:
    return f"{time:.1f}".removesuffix(".0")


class VideoLayer(LayerBase):
    """A film, silent and over and over: the part from `start` up to `end`, s of it, `rate` pictures in a second.

    `still` is the moment that stands for it before it plays, where it cannot, and under less motion. `size` as
    object-fit (CSS Images 3, section 5.5; stretch is fill) and background-size; `focal` is the spot to keep in sight.
    """

    framed: ClassVar[bool] = True

    kind: Literal["video"] = "video"
    asset: Identifier
    start: float = Field(0, ge=0, le=FILM_SECONDS)
    end: float = Field(gt=0, le=FILM_SECONDS)
    rate: float = Field(25, ge=1, le=FASTEST)
    still: float = Field(0, ge=0, le=FILM_SECONDS)
    phones: Literal["film", "still"] = "film"
    size: FilmSize = "cover"
    focal: tuple[Fraction, Fraction] = (0.5, 0.5)
    screens: dict[Identifier, VideoException] = Field({}, max_length=12)

    @model_validator(mode="after")
    def _part(self) -> "VideoLayer":
        if self.end - self.start < 0.2:
            raise ValueError("The part of a film that is shown lasts 0.2 s at least: let it end later than it begins.")
        if self.end - self.start > FILM_PART:
            raise ValueError(f"The part of a film that is shown lasts {FILM_PART} s at the most.")
        return self

    @property
    def footage(self) -> Footage:
        """The frames that are shown."""
        return footage_of(self.start, self.end, self.rate)

    def problems(self, assets: Mapping[str, Asset]) -> Iterator[str]:
        """Its asset is a film, and its part lies in that."""
        asset = assets.get(self.asset)
        if asset is None:
            return
        if not asset.moves:
            yield f"{asset.name} is a picture and does not move; lay it as a picture."
        elif max(self.end, self.still) > asset.duration + 0.01:
            yield f"{asset.name} is {_said(asset.duration)} s long; the part that is shown, and the still, lie in that."

    def pictures(self) -> tuple[ImageLayer, ...]:
        """Its still: a picture that lies as the film does."""
        own = self.model_dump(include={"id", "name", "visible", "opacity", "blend", "asset", "size", "focal"})
        screens = {name: ImageException(**e.model_dump()) for name, e in self.screens.items()}
        return (ImageLayer(**own, at=self.still, screens=screens),)

    def films(self) -> tuple["VideoLayer", ...]:
        """Itself."""
        return (self,)

    def assets(self) -> tuple[str, ...]:
        """The id of its film."""
        return (self.asset,)

    def with_picture(self, picture: ImageLayer) -> "VideoLayer":
        """Placed as its still is."""
        if picture.id != self.id:
            return self
        same = ("name", "visible", "opacity", "blend", "size", "focal")
        screens = {n: e.model_dump(include=set(VideoException.model_fields)) for n, e in picture.screens.items()}
        screens = {n: e for n, e in screens.items() if any(v is not None for v in e.values())}
        changed = {name: getattr(picture, name) for name in same}
        if picture.size not in get_args(FilmSize):
            changed["size"] = self.size
        return VideoLayer.model_validate({**self.model_dump(), **changed, "still": picture.at, "screens": screens})

    def with_asset(self, old: str, new: str, title: str) -> "VideoLayer":
        """Another film; its part is kept where it lies in that (`problems` says so where not)."""
        return self if self.asset != old else self.model_copy(update={"asset": new, "name": title})

    def period(self) -> float | None:
        """How long its part lasts."""
        return self.footage.period

    def phases(self) -> tuple[Phase, ...]:
        """Its part in even stretches."""
        period = self.footage.period
        count = max(1, min(MOST_STRETCHES, ceil(period / STRETCH)))
        steps = [period * n / count for n in range(count + 1)]
        return tuple(
            Phase(f"{self.id}-{n + 1}", f"film, {_said(start)} to {_said(end)} s", start, end)
            for n, (start, end) in enumerate(pairwise(steps))
        )

    def shortened(self) -> tuple[tuple[str, LayerBase, float], ...]:
        """A stretch at the beginning or the end of its part, or several, up to half of it."""
        steps = [phase.start for phase in self.phases()]
        found: list[tuple[str, LayerBase, float]] = []
        period = self.footage.period
        for n, step in enumerate(steps):
            if 0 < n <= len(steps) / 2:
                share = 1 - step / period
                first, last = round(self.start + step, 3), round(self.end - step, 3)
                early = {"start": first, "still": max(self.still, first)}
                late = {"end": last, "still": min(self.still, last)}
                names = (f"the first {_said(step)} s of {self.name}", f"the last {_said(step)} s of {self.name}")
                found += [
                    (name, self.model_copy(update=own), share) for name, own in zip(names, (early, late), strict=True)
                ]
        return tuple(found)

    def bare(self) -> "VideoLayer":
        """Nothing is to be seen of it."""
        return self.model_copy(update={"visible": False, "screens": {}})

    def as_picture(self) -> ImageLayer:
        """Its still alone."""
        return self.pictures()[0]

    def depends_on(self) -> frozenset[str]:
        """Its time; and its file may be missing."""
        return frozenset(("missing", "time", "phases", "less_motion"))
