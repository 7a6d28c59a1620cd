"""A colour over the whole area."""

from ...colour.notation import parse_colour
from ...document import ColourLayer
from ..sheets import ColourSheet
from ._place import LayerPlace


def resolve(layer: ColourLayer, place: LayerPlace) -> ColourSheet:
    """A colour over the area's box."""
    return ColourSheet(layer.id, place.box, parse_colour(layer.colour), opacity=layer.opacity, blend=layer.blend)
