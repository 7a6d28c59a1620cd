"""A screen at rest: nothing is pointed at, everything is there."""

from collections.abc import Iterator

from ...document import Page, Screen, Site
from ...resolve.lengths import Viewport
from ...resolve.moment import Moment
from ..situation import Situation

ORDER, AT_HAND, LAYS = 0, True, True


def found(_: Site, __: Page, screen: Screen) -> Iterator[Situation]:
    """One for every screen."""
    yield Situation(f"{screen.id}:rest", screen.name, screen.id, Moment(Viewport(screen.width, screen.height)), "rest")
