"""A colour over the whole area."""

from typing import Literal

from ..base import Colour
from ._base import LayerBase


class ColourLayer(LayerBase):
    """One colour over the whole area."""

    kind: Literal["colour"] = "colour"
    colour: Colour
