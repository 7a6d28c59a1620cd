"""A visitor who asks for less motion: slower pictures stand in the middle of their way, of turns the first is there."""

from collections.abc import Iterator

from ...document import Page, Screen, Site
from ...resolve.lengths import Viewport
from ...resolve.moment import Moment
from ..situation import Situation
from .scroll import depending

ORDER, AT_HAND = 5, False


def found(_: Site, page: Page, screen: Screen) -> Iterator[Situation]:
    """Where something would move."""
    if depending(page, "less_motion"):
        still = Moment(Viewport(screen.width, screen.height), less_motion=True)
        yield Situation(f"{screen.id}:still", f"{screen.name}, less motion", screen.id, still, "still")
