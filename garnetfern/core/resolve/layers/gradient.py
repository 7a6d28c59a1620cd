"""A gradient over the whole area."""

from ...document import GradientLayer
from ..gradient import resolve_gradient
from ..sheets import GradientSheet
from ._place import LayerPlace


def resolve(layer: GradientLayer, place: LayerPlace) -> GradientSheet:
    """One ramp over the area's box."""
    ramp = resolve_gradient(layer.gradient, place.box, place.viewport)
    return GradientSheet(layer.id, place.box, (ramp,), opacity=layer.opacity, blend=layer.blend)
