"""A shade along edges."""

from typing import Literal

from pydantic import Field, model_validator

from ..base import Colour, Fraction, Identifier
from ..length import SizeText, parse_length
from ._base import LayerBase, LayerException

Edge = Literal["top", "right", "bottom", "left"]


class EdgeLayer(LayerBase):
    """A shade along the chosen edges, `depth` deep; softness 0 is a stripe, 1 fades over its whole depth.

    `around` shades the corners as an oval instead (a vignette): what is `depth` of the way in from the corners or
    nearer to them.
    """

    kind: Literal["edge"] = "edge"
    edges: tuple[Edge, ...] = Field(("bottom",), min_length=1, max_length=4)
    around: bool = False
    depth: SizeText = "40%"
    softness: Fraction = 1.0
    colour: Colour = "#000000"
    screens: dict[Identifier, LayerException] = Field({}, max_length=12)

    @model_validator(mode="after")
    def _plain_when_around(self) -> "EdgeLayer":
        if self.around and parse_length(self.depth).least is not None:
            raise ValueError(f"An oval shade takes its depth as one length, like 40%. Received: {self.depth!r}.")
        if len(set(self.edges)) < len(self.edges):
            raise ValueError("Each edge is named once.")
        return self
