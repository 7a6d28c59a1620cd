"""A colour over the whole area."""

from ...colour.notation import parse_colour
from ...document import ColourLayer, Site
from ..declarations import Declarations, flat
from ._ruling import Background, Ruling


def declarations(layer: ColourLayer, _: Site) -> Declarations:
    """A background colour."""
    return [("background-color", parse_colour(layer.colour).css())]


def backgrounds(layer: ColourLayer, _: Ruling) -> list[Background]:
    """A gradient from the colour to itself."""
    return [Background(flat(parse_colour(layer.colour).faded(layer.opacity)))]
