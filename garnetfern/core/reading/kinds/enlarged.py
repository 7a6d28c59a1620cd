"""Letters enlarged to 200 % (WCAG 2.2, 1.4.4), as browsers do that enlarge text alone."""

from collections.abc import Iterator

from ...document import Page, Screen, Site
from ...resolve.lengths import Viewport
from ...resolve.moment import Moment
from ..situation import Situation

ORDER, AT_HAND, LAYS = 6, False, True
FACTOR = 2.0


def found(_: Site, page: Page, screen: Screen) -> Iterator[Situation]:
    """Where there are words."""
    if any(b.lettered for b in page.blocks()):
        view = Viewport(screen.width, screen.height)
        name = f"{screen.name}, letters at 200 %"
        yield Situation(f"{screen.id}:enlarged", name, screen.id, Moment(view, enlarged=FACTOR), "enlarged")
