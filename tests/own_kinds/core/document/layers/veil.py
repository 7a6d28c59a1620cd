"""A veil: a colour over the left part of an area."""

from typing import Literal

from ..base import Colour, Fraction
from ._base import LayerBase


class VeilLayer(LayerBase):
    """A colour over `share` of the area's width."""

    kind: Literal["veil"] = "veil"
    colour: Colour
    share: Fraction = 0.5
