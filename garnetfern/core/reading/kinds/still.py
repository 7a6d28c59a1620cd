"""A visitor who asks for less motion: slower pictures stand still in the middle of their way."""

from collections.abc import Iterator

from ...document import Page, Screen, Site
from ...resolve.lengths import Viewport
from ..situation import Situation
from .scroll import moving

ORDER = 5


def found(_: Site, page: Page, screen: Screen) -> Iterator[Situation]:
    """Where something would move slower."""
    if "slower" in moving(page):
        view = Viewport(screen.width, screen.height)
        yield Situation(f"{screen.id}:still", f"{screen.name}, less motion", screen.id, view, "still", still=True)
