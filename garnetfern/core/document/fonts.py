"""The owner's own font files: the facts about them that were found when they came in."""

import re
from typing import Annotated, Literal

from pydantic import AfterValidator, Field, model_validator

from .base import Identifier, Line, Model, Name

Embedding = Literal["any", "edit", "view", "none"]
"""What the maker says of embedding (OpenType, OS/2, fsType): anything; documents that are edited; that are viewed and
printed; nothing without their leave."""

Category = Literal["sans-serif", "serif", "handwriting", "display"]
Tag = Annotated[str, Field(pattern=r"^[ !#-\[\]-~]{4}$")]
"""Four characters of ASCII that need no escaping in a string (OpenType, 4.1)."""


def _family(text: str) -> str:
    line = re.sub(r"\s+", " ", text).strip()
    if not line or re.search(r'["\\\\<>{};\x00-\x1f\x7f]', line):
        raise ValueError("The name of a font family is one line without quotes, brackets or backslashes.")
    return line


FamilyName = Annotated[str, Field(min_length=1, max_length=60), AfterValidator(_family)]


class Axis(Model):
    """An axis of a variable font (OpenType, `fvar`)."""

    tag: Tag
    name: Name
    least: float
    usual: float
    most: float

    @model_validator(mode="after")
    def _in_order(self) -> "Axis":
        if not self.least <= self.usual <= self.most:
            raise ValueError("An axis goes from its least over its usual to its greatest value.")
        return self


class Instance(Model):
    """A named place among the axes of a variable font: its weight, and what else is set."""

    name: Name
    weight: int = Field(ge=1, le=1000)
    axes: dict[Tag, float] = Field({}, max_length=32)


class FontFile(Model):
    """A font file of the owner's, kept as WOFF2 and found by the SHA-256 of that; `name` is what it was called.

    `least_weight` to `most_weight` is what it can be set to; a file that does not vary has one. `category` says what
    stands in for it while it has not come.
    """

    id: Identifier
    name: Name
    hash: str = Field(pattern=r"^[0-9a-f]{64}$")
    bytes: int = Field(ge=1)
    family: FamilyName
    category: Category = "sans-serif"
    italic: bool = False
    least_weight: int = Field(400, ge=1, le=1000)
    most_weight: int = Field(400, ge=1, le=1000)
    axes: tuple[Axis, ...] = Field((), max_length=64)
    instances: tuple[Instance, ...] = Field((), max_length=400)
    embedding: Embedding = "any"
    note: Line = Field("", max_length=600, description="what was found when it came in, for the owner")

    @model_validator(mode="after")
    def _in_order(self) -> "FontFile":
        if self.least_weight > self.most_weight:
            raise ValueError("The least weight is not above the greatest.")
        return self
