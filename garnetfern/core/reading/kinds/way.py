"""Fixed and slower-moving pictures over the whole way that a page can be scrolled: every block of words where it is
worst. A complete check reads this instead of single places."""

from collections.abc import Iterator

from ...document import Page, Screen, Site
from ...resolve.lengths import Viewport
from ...resolve.moment import Moment
from ..situation import Situation
from . import scroll

ORDER, AT_HAND = 12, False
INSTEAD_OF = "scroll"
"""The kind that is not read where this one is."""


def found(_: Site, page: Page, screen: Screen) -> Iterator[Situation]:
    """Where something moves."""
    if scroll.depending(page, "scroll"):
        view = Viewport(screen.width, screen.height)
        name = f"{screen.name}, wherever it is scrolled to"
        foot = Moment(view, scroll=1.0)
        yield Situation(f"{screen.id}:way", name, screen.id, Moment(view), "way", foot)
