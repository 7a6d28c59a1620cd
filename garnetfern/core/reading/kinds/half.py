"""Half-way between rest and the pointer over an area, where the change takes time."""

from collections.abc import Iterator

from ...document import Page, Screen, Site
from ...resolve.lengths import Viewport
from ...resolve.moment import Moment
from ..situation import Situation

ORDER, AT_HAND = 2, False


def found(_: Site, page: Page, screen: Screen) -> Iterator[Situation]:
    """Where a change is to be seen on its way."""
    if any(a.backdrop.over is not None and a.backdrop.over.fade > 0 for a in page.areas()):
        view = Viewport(screen.width, screen.height)
        name = f"{screen.name}, half-way to pointer over"
        yield Situation(f"{screen.id}:half", name, screen.id, Moment(view, pointed=0.5), "half")
