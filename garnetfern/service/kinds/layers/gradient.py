"""Gradients of the site's own, and those that ship."""

from collections.abc import Iterator

from ....core.css.declarations import gradient_value
from ....core.document import Gradient, GradientLayer, Site
from ....stock.gradients import GRADIENTS
from ._offer import Offer, Place

ORDER, NAME, TITLE = 2, "gradient", "A gradient"
SHAPES = {"linear": "straight", "radial": "round", "conic": "turning"}


def offers(site: Site, _: Place) -> Iterator[Offer]:
    """The site's own first."""
    found = [(saved.name, saved.gradient) for saved in site.gradients]
    found += [(words, Gradient.model_validate(plain)) for _, words, plain in GRADIENTS]
    for name, gradient in found:
        layer = {"kind": "gradient", "name": name, "gradient": gradient.model_dump(mode="json")}
        yield Offer(f"Gradient: {name}", f"background: {gradient_value(gradient)}", layer)


def aside(layer: GradientLayer) -> str:
    """Its shape."""
    return SHAPES[layer.gradient.shape]


def ink(layer: GradientLayer) -> str:
    """Its colours from left to right, once."""
    flat = {"shape": "linear", "angle": 90.0, "repeating": False}
    return gradient_value(layer.gradient.model_copy(update=flat))
