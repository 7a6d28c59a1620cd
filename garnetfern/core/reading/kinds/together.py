"""Layers that move behind the same words, in every combination of their phases: nothing ties one to the other."""

from collections.abc import Iterator

from ...document import Page, Screen, Site
from ...resolve.lengths import Viewport
from ...resolve.moment import Moment
from ..situation import Situation
from ._moving import combinations, said, together

ORDER, AT_HAND = 9, False


def found(_: Site, page: Page, screen: Screen) -> Iterator[Situation]:
    """Where two and more do; changes half-way through."""
    view = Viewport(screen.width, screen.height)
    for group in together(page):
        for pairs in combinations(group):
            there = Moment(view, phases=tuple((layer.id, phase.middle) for layer, phase in pairs))
            name = f"{screen.name}, {'; '.join(said(page, *pair) for pair in pairs)}"
            names = "+".join(phase.id for _, phase in pairs)
            yield Situation(f"{screen.id}:{names}", name, screen.id, there, "together")
