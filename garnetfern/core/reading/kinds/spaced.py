"""Lines, letters and words set wider by the visitor (WCAG 2.2, 1.4.12)."""

from collections.abc import Iterator

from ...document import Page, Screen, Site
from ...resolve.lengths import Viewport
from ...resolve.moment import Moment
from ..situation import Situation

ORDER, AT_HAND, READ, LAYS = 20, False, False, True


def found(_: Site, page: Page, screen: Screen) -> Iterator[Situation]:
    """Where there are words."""
    if any(b.lettered for b in page.blocks()):
        moment = Moment(Viewport(screen.width, screen.height), spaced=True)
        name = f"{screen.name}, letters and lines set wider"
        yield Situation(f"{screen.id}:spaced", name, screen.id, moment, "spaced")
