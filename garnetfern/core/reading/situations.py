"""The ways in which a visitor can meet a page: every screen, at rest, pointed at, its pictures missing."""

from collections.abc import Iterator
from dataclasses import dataclass

from ..document import ImageLayer, Page, Screen, Site
from ..resolve.lengths import Viewport
from ..resolve.records import AreaRecord, ImageSheet, Sheet


@dataclass(frozen=True)
class Situation:
    """One situation: a screen, whether the pictures are missing, whether it is pointed at. `name` is for people."""

    id: str
    name: str
    screen: str
    viewport: Viewport
    missing: bool = False
    pointed: bool = False

    @property
    def key(self) -> str:
        """Situations of one key are laid out and resolved alike."""
        return f"{self.screen}:over" if self.pointed else self.screen

    def sheets(self, area: AreaRecord) -> tuple[Sheet, ...]:
        """What of an area's backdrop is there in this situation."""
        if not self.missing:
            return area.sheets
        return tuple(s for s in area.sheets if not isinstance(s, ImageSheet))


def _has_picture(page: Page) -> bool:
    layers = (layer for area in page.areas() for layer in area.backdrop.layers)
    return any(
        isinstance(layer, ImageLayer) and (layer.visible or any(e.visible for e in layer.screens.values()))
        for layer in layers
    )


def _answers_the_pointer(page: Page) -> bool:
    return any(a.backdrop.over for a in page.areas()) or any(b.lettering.over for b in page.blocks())


def situations_of(screen: Screen, page: Page) -> Iterator[Situation]:
    """The situations of one screen."""
    viewport = Viewport(screen.width, screen.height)
    yield Situation(f"{screen.id}:rest", screen.name, screen.id, viewport)
    if _answers_the_pointer(page):
        yield Situation(f"{screen.id}:over", f"{screen.name}, pointer over", screen.id, viewport, pointed=True)
    if _has_picture(page):
        yield Situation(f"{screen.id}:missing", f"{screen.name}, picture missing", screen.id, viewport, True)


def situations(site: Site, page: Page) -> tuple[Situation, ...]:
    """All situations of a page, in the order of the site's screens."""
    return tuple(s for screen in site.screens for s in situations_of(screen, page))
