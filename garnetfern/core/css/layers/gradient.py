"""A gradient over the whole area."""

from ...document import GradientLayer, Site
from ..declarations import Declarations, gradient_value
from ._ruling import Background, Ruling


def declarations(layer: GradientLayer, _: Site) -> Declarations:
    """A background image."""
    return [("background-image", gradient_value(layer.gradient))]


def backgrounds(layer: GradientLayer, _: Ruling) -> list[Background]:
    """The gradient with its colours faded."""
    return [Background(gradient_value(layer.gradient, layer.opacity))]
