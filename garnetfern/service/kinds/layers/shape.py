"""Silhouettes along an edge."""

from collections.abc import Iterator

from ....core.document import ShapeLayer, Site
from ..figures import SILHOUETTES, silhouette_image
from ._offer import Offer, Place

ORDER, NAME, TITLE = 4, "silhouette", "A silhouette"
DEPTH = "22%"


def offers(_: Site, place: Place) -> Iterator[Offer]:
    """One for each, in the page's own colour, so that the area seems to end in it."""
    colour = place.page.backdrop.base or "#ffffff"
    for figure in SILHOUETTES.values():
        style = f"background: currentColor; mask: {silhouette_image(figure.id)} bottom / 100% 70% no-repeat"
        layer = {"kind": "shape", "name": figure.name, "silhouette": figure.id, "colour": colour, "depth": DEPTH}
        yield Offer(f"Silhouette: {figure.name}", style, layer)


def aside(layer: ShapeLayer) -> str:
    """Along which side it lies."""
    return layer.side


def ink(layer: ShapeLayer) -> str:
    """Its colour."""
    return layer.colour
