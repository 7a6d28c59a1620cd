"""Menus that are folded, opened: what stands below them is further down then."""

from collections.abc import Iterator

from ...document import Page, Screen, Site, page_on
from ...resolve.lengths import Viewport
from ...resolve.moment import Moment
from ..situation import Situation

ORDER, AT_HAND, LAYS = 13, False, True


def found(_: Site, page: Page, screen: Screen) -> Iterator[Situation]:
    """Where one is folded at first."""
    if any(block.fold == "closed" and not block.heard for block in page_on(page, screen.id).blocks()):
        moment = Moment(Viewport(screen.width, screen.height), opened=True)
        yield Situation(f"{screen.id}:opened", f"{screen.name}, menu open", screen.id, moment, "opened")
