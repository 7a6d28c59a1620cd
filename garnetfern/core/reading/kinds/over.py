"""The pointer over an area or a link, or the keyboard's focus in it: the same state."""

from collections.abc import Iterator

from ...document import Page, Screen, Site
from ...resolve.lengths import Viewport
from ..situation import Situation

ORDER = 1


def found(_: Site, page: Page, screen: Screen) -> Iterator[Situation]:
    """Where something answers to it."""
    if any(a.backdrop.over for a in page.areas()) or any(b.lettering.over for b in page.blocks()):
        view = Viewport(screen.width, screen.height)
        yield Situation(f"{screen.id}:over", f"{screen.name}, pointer over", screen.id, view, "over", pointed=1.0)
