"""Silhouettes along an edge."""

from collections.abc import Iterator

from ...core.art import SILHOUETTES
from ...core.css.declarations import data_url
from ...core.document import Page, ShapeLayer, Site
from ...core.resolve.silhouette import silhouette_svg
from ._offer import Offer

ORDER, NAME, TITLE = 4, "silhouette", "A silhouette"
DEPTH = "22%"


def offers(_: Site, page: Page) -> Iterator[Offer]:
    """One for each, in the page's own colour, so that the area seems to end in it."""
    colour = page.backdrop.base or "#ffffff"
    for figure in SILHOUETTES.values():
        image = data_url(silhouette_svg(ShapeLayer(id="x", name="x", silhouette=figure.id), "#000"))
        style = f"background: currentColor; mask: {image} bottom / 100% 70% no-repeat"
        layer = {"kind": "shape", "name": figure.name, "silhouette": figure.id, "colour": colour, "depth": DEPTH}
        yield Offer(f"Silhouette: {figure.name}", style, layer)
