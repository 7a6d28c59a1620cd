"""The pointer over an area or a link, or the keyboard's focus in it: the same state."""

from collections.abc import Iterator

from ...document import Page, Screen, Site
from ...resolve.lengths import Viewport
from ...resolve.moment import Moment
from ..situation import Situation

ORDER, AT_HAND = 1, True


def found(_: Site, page: Page, screen: Screen) -> Iterator[Situation]:
    """Where something answers to it."""
    if any(a.backdrop.over for a in page.areas()) or any(b.lettering.over for b in page.blocks()):
        pointed = Moment(Viewport(screen.width, screen.height), pointed=1.0)
        yield Situation(f"{screen.id}:over", f"{screen.name}, pointer over", screen.id, pointed, "over")
