"""A silhouette that covers part of an area."""

from ...colour.notation import parse_colour
from ...document import ShapeLayer
from ..gradient import resolve_gradient
from ..sheets import ShapeSheet
from ..silhouette import silhouette_place, silhouette_svg
from ._place import LayerPlace


def resolve(layer: ShapeLayer, place: LayerPlace) -> ShapeSheet:
    """Its place, and its fill; a gradient runs over the whole area."""
    where = silhouette_place(layer, place.box, place.viewport)
    fill = parse_colour(layer.colour)
    ramp = resolve_gradient(layer.gradient, place.box, place.viewport) if layer.gradient else None
    svg = silhouette_svg(layer, "#fff", (int(where.width), int(where.height)))
    return ShapeSheet(
        layer.id, place.box, ramp or fill, svg, where, layer.outside, opacity=layer.opacity, blend=layer.blend
    )
