"""A silhouette that covers part of an area."""

from typing import Literal

from pydantic import Field, field_validator

from ...art import SILHOUETTES
from ..base import Colour, Identifier
from ..gradient import Gradient
from ..length import SizeText
from ._base import LayerBase, LayerException


class ShapeLayer(LayerBase):
    """A silhouette from the library, stretched along an edge of its area and `depth` deep.

    `flip` mirrors it along that edge; `outside` covers what the silhouette leaves free. `gradient`, where given,
    stands instead of the colour.
    """

    kind: Literal["shape"] = "shape"
    silhouette: Identifier
    side: Literal["top", "right", "bottom", "left", "whole"] = "bottom"
    depth: SizeText = "30%"
    flip: bool = False
    outside: bool = False
    colour: Colour = "#ffffff"
    gradient: Gradient | None = None
    screens: dict[Identifier, LayerException] = Field({}, max_length=12)

    def gradients(self) -> tuple[Gradient, ...]:
        """Its fill, where that is one."""
        return () if self.gradient is None else (self.gradient,)

    @field_validator("silhouette")
    @classmethod
    def _known(cls, silhouette: str) -> str:
        if silhouette not in SILHOUETTES:
            raise ValueError(f"There is no silhouette {silhouette!r}; there are {', '.join(SILHOUETTES)}.")
        return silhouette
