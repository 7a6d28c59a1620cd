"""On paper (A4, with the space around that browsers leave), where browsers leave out what lies behind words."""

from collections.abc import Iterator

from ...document import Page, Screen, Site, screen_for
from ...resolve.lengths import Viewport
from ...resolve.moment import Moment
from ..situation import Situation

ORDER, AT_HAND, READ, LAYS = 21, False, False, True
SHEET = Viewport(718, 1047)
"""An A4 sheet without 1 cm on each side, CSS px."""


def found(site: Site, page: Page, screen: Screen) -> Iterator[Situation]:
    """Once for a page: a sheet is as wide as the screen that stands for its width."""
    if any(b.lettered for b in page.blocks()) and screen.id == screen_for(site.screens, SHEET.width).id:
        yield Situation(f"{screen.id}:printed", "Printed", screen.id, Moment(SHEET, printed=True), "printed")
