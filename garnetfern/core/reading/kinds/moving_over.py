"""The pointer over an area while something in it moves by itself."""

from collections.abc import Iterator
from dataclasses import replace

from ...document import Page, Screen, Site
from ..situation import Situation
from . import members, over

ORDER, AT_HAND = 10, False


def found(site: Site, page: Page, screen: Screen) -> Iterator[Situation]:
    """Every phase at rest, where something answers to the pointer."""
    for pointed in over.found(site, page, screen):
        for there in members.found(site, page, screen):
            moment = replace(there.moment, pointed=pointed.moment.pointed)
            yield Situation(f"{there.id}:over", f"{there.name}, pointer over", screen.id, moment, "moving_over")
