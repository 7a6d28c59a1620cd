"""Fixed and slower-moving pictures, over the whole way that a page can be scrolled."""

from collections.abc import Iterator

from ...document import ImageLayer, Page, Screen, Site
from ...resolve.lengths import Viewport
from ..situation import Situation
from .missing import shows

ORDER = 4
STEPS = 12
"""The way is looked at in so many steps; at its beginning the page is at rest. On a page longer than so many screens
letters can pass between two of them."""


def moving(page: Page) -> set[str]:
    """How the pictures of a page move otherwise than the page."""
    layers = (layer for area in page.areas() for layer in area.backdrop.layers if shows(layer))
    return {str(layer.attachment) for layer in layers if isinstance(layer, ImageLayer)} - {"scroll"}


def found(_: Site, page: Page, screen: Screen) -> Iterator[Situation]:
    """Where something moves."""
    view = Viewport(screen.width, screen.height)
    for n in range(1, STEPS + 1) if moving(page) else ():
        share = n / STEPS
        name = f"{screen.name}, scrolled by {round(share * 100)} %"
        yield Situation(f"{screen.id}:scroll-{n}", name, screen.id, view, "scroll", scroll=share)
