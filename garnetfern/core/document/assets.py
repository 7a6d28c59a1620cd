"""Pictures of a site, the parts of them to keep in sight, and the exact slots they are cut for."""

from typing import Literal

from pydantic import Field, model_validator

from ..limits import FILM_RATE, FILM_SECONDS
from .base import Fraction, Identifier, Line, Model, Name, Wording


class Crop(Model):
    """The part of a picture that is used, in fractions of its width and height."""

    x: Fraction = 0.0
    y: Fraction = 0.0
    width: float = Field(1.0, gt=0, le=1)
    height: float = Field(1.0, gt=0, le=1)

    @model_validator(mode="after")
    def _inside(self) -> "Crop":
        if self.x + self.width > 1 + 1e-6 or self.y + self.height > 1 + 1e-6:
            raise ValueError("A crop lies inside its picture: x + width and y + height are at most 1.")
        return self

    def px(self, width: int, height: int) -> tuple[int, int, int, int] | None:
        """Left, top, width and height in picture px, or None where it is the whole picture."""
        left, top = round(self.x * width), round(self.y * height)
        right = min(width, max(left + 1, round((self.x + self.width) * width)))
        foot = min(height, max(top + 1, round((self.y + self.height) * height)))
        found = (min(left, width - 1), min(top, height - 1), right - min(left, width - 1), foot - min(top, height - 1))
        return None if found == (0, 0, width, height) else found


def crop_of(part: tuple[int, int, int, int], width: int, height: int) -> Crop | None:
    """The crop whose part in px this is (see `Crop.px`), or None where it does not lie inside the picture."""
    x, y, w, h = part
    if x < 0 or y < 0 or w < 1 or h < 1 or x + w > width or y + h > height:
        return None
    return Crop(x=x / width, y=y / height, width=w / width, height=h / height)


class Part(Model):
    """A part of a picture that should be kept in sight."""

    id: Identifier
    name: Name
    box: Crop


class Asset(Model):
    """A picture of the site: the facts about its original bytes, found by their SHA-256.

    `lettering` is what words in the picture itself say; empty where it bears some that nobody has written down yet,
    None where it bears none. They are not measured; they are kept for those who cannot see them (WCAG 2.2, 1.1.1).
    """

    id: Identifier
    name: Name
    hash: str = Field(pattern=r"^[0-9a-f]{64}$")
    type: Literal["jpeg", "png", "webp", "avif", "gif", "svg", "mp4", "mov", "webm"]
    width: int = Field(ge=1, description="px, after the camera's rotation")
    height: int = Field(ge=1, description="px, after the camera's rotation")
    bytes: int = Field(ge=1)
    alpha: bool = False
    duration: float = Field(0, ge=0, le=FILM_SECONDS, description="of a film, s; 0: it does not move")
    rate: float = Field(0, ge=0, le=FILM_RATE, description="of a film: pictures in a second, on the mean")
    note: Line = Field("", max_length=400, description="what was found when it came in, for the owner")
    credit: Line = Field("", max_length=300, description="whom to name for it, kept with the picture")
    parts: tuple[Part, ...] = Field((), max_length=12)
    lettering: Wording | None = None

    @property
    def moves(self) -> bool:
        """Whether it is a film, or a picture that moves."""
        return self.duration > 0

    @property
    def title(self) -> str:
        """Its name without the ending."""
        stem, dot, _ = self.name.rpartition(".")
        return stem if dot and stem else self.name


class Slot(Model):
    """A place that takes pictures of one exact size, in picture px."""

    id: Identifier
    name: Name
    width: int = Field(ge=8, le=6000)
    height: int = Field(ge=8, le=6000)


class Budget(Model):
    """How much a fitted picture, and a film, may weigh, in kB of 1000 bytes: on viewports narrower than 600 px, and on
    others."""

    phone: int = Field(180, ge=5, le=20_000)
    desktop: int = Field(350, ge=5, le=20_000)
    film_phone: int = Field(1500, ge=50, le=100_000)
    film_desktop: int = Field(4000, ge=50, le=100_000)


class Fit(Model):
    """A picture put through a slot: the part of it that is used, whose proportion is the slot's."""

    slot: Identifier
    asset: Identifier
    crop: Crop = Crop()
