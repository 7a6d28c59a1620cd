"""The files of fonts have not come: other letters stand in for them, about as wide. Everything else is there."""

from collections.abc import Iterator

from ...document import Page, Screen, Site
from ...resolve.lengths import Viewport
from ...resolve.moment import Moment
from ..situation import Situation

ORDER, AT_HAND, LAYS = 11, False, True


def found(_: Site, page: Page, screen: Screen) -> Iterator[Situation]:
    """Where there are words to be set."""
    if any(block.lettered and not block.heard for block in page.blocks()):
        view = Viewport(screen.width, screen.height)
        name = f"{screen.name}, fonts not there yet"
        yield Situation(f"{screen.id}:plain", name, screen.id, Moment(view, plain=True), "plain")
