"""A shade along edges."""

from ...document import EdgeLayer
from ..edge import edge_gradients
from ..gradient import resolve_gradient
from ..sheets import GradientSheet
from ._place import LayerPlace


def resolve(layer: EdgeLayer, place: LayerPlace) -> GradientSheet:
    """A ramp for each edge."""
    ramps = tuple(resolve_gradient(g, place.box, place.viewport) for g in edge_gradients(layer))
    return GradientSheet(layer.id, place.box, ramps, opacity=layer.opacity, blend=layer.blend)
