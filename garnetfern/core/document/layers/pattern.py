"""A pattern of small figures."""

from typing import Literal

from pydantic import Field, field_validator

from ...art import TILES
from ..base import Colour, Identifier
from ._base import LayerBase, LayerException


class PatternLayer(LayerBase):
    """Figures from the library of tiles, again and again.

    `size` is the width of a tile in px, `spacing` what is added around its figure, in px. `turn` in degrees,
    clockwise. `swapped` colours the ground and leaves the figure out. `offset` moves it, px.
    """

    kind: Literal["pattern"] = "pattern"
    tile: Identifier
    colour: Colour = "#ffffff"
    size: int = Field(24, ge=4, le=400)
    spacing: int = Field(0, ge=0, le=400)
    turn: float = Field(0, ge=-360, le=360)
    flip: bool = False
    swapped: bool = False
    offset: tuple[float, float] = (0, 0)
    screens: dict[Identifier, LayerException] = Field({}, max_length=12)

    @field_validator("tile")
    @classmethod
    def _known(cls, tile: str) -> str:
        if tile not in TILES:
            raise ValueError(f"There is no tile {tile!r}; there are {', '.join(TILES)}.")
        return tile
