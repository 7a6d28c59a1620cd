"""What moves by itself, on the way from one phase into the next: at its worst."""

from collections.abc import Iterator

from ...document import Page, Screen, Site
from ...resolve.lengths import Viewport
from ...resolve.moment import Moment
from ..situation import Situation
from ._moving import moving, said

ORDER, AT_HAND = 8, False


def found(_: Site, page: Page, screen: Screen) -> Iterator[Situation]:
    """Every change that takes time."""
    view = Viewport(screen.width, screen.height)
    for layer in moving(page):
        for phase in layer.phases():
            if phase.start < phase.end:
                first, last = (Moment(view, phases=((layer.id, time),)) for time in (phase.start, phase.end))
                name = f"{screen.name}, {said(page, layer, phase)}"
                yield Situation(f"{screen.id}:{phase.id}", name, screen.id, first, "changing", last)
