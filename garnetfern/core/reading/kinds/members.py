"""What moves by itself, at rest in each of its phases: the second picture of a sequence, the third."""

from collections.abc import Iterator

from ...document import Page, Screen, Site
from ...resolve.lengths import Viewport
from ...resolve.moment import Moment
from ..situation import Situation
from ._moving import moving, said

ORDER, AT_HAND = 7, True


def found(_: Site, page: Page, screen: Screen) -> Iterator[Situation]:
    """All but the first, which is there when the page is shown."""
    view = Viewport(screen.width, screen.height)
    for layer in moving(page):
        for phase in layer.phases()[1:]:
            if phase.start == phase.end:
                there = Moment(view, phases=((layer.id, phase.start),))
                name = f"{screen.name}, {said(page, layer, phase)}"
                yield Situation(f"{screen.id}:{phase.id}", name, screen.id, there, "members")
