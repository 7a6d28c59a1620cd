"""A colour over the whole area."""

from typing import Literal

from pydantic import Field

from ..base import Colour, Identifier
from ._base import LayerBase, LayerException


class ColourLayer(LayerBase):
    """One colour over the whole area."""

    kind: Literal["colour"] = "colour"
    colour: Colour
    screens: dict[Identifier, LayerException] = Field({}, max_length=12)
