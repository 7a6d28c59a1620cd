"""Fixed and slower-moving pictures, over the whole way that a page can be scrolled."""

from collections.abc import Iterator

from ...document import Page, Screen, Site, ever_visible
from ...resolve.lengths import Viewport
from ...resolve.moment import Moment
from ..situation import Situation

ORDER, AT_HAND = 4, True
STEPS = 12
"""The way is looked at in so many steps; at its beginning the page is at rest. On a page longer than so many screens
letters can pass between two of them."""


def depending(page: Page, member: str) -> bool:
    """Whether a layer that is to be seen depends on a member of the moment."""
    layers = (layer for area in page.areas() for layer in area.backdrop.layers)
    return any(member in layer.depends_on() and ever_visible(layer) for layer in layers)


def found(_: Site, page: Page, screen: Screen) -> Iterator[Situation]:
    """Where something moves."""
    view = Viewport(screen.width, screen.height)
    for n in range(1, STEPS + 1) if depending(page, "scroll") else ():
        share = n / STEPS
        name = f"{screen.name}, scrolled by {round(share * 100)} %"
        yield Situation(f"{screen.id}:scroll-{n}", name, screen.id, Moment(view, scroll=share), "scroll")
