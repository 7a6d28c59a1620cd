"""A pattern of small figures."""

from ...colour.notation import parse_colour
from ...document import PatternLayer
from ..pattern import tile_size, tile_svg
from ..sheets import PatternSheet
from ._place import LayerPlace


def resolve(layer: PatternLayer, place: LayerPlace) -> PatternSheet:
    """Its tile, where the first one lies, and its turn."""
    return PatternSheet(
        layer.id,
        place.box,
        parse_colour(layer.colour),
        tile_svg(layer),
        tile_size(layer),
        layer.offset,
        layer.turn,
        opacity=layer.opacity,
        blend=layer.blend,
    )
