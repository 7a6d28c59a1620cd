"""The pictures are not there: while they load, and when they never come. Everything else is."""

from collections.abc import Iterator

from ...document import ImageLayer, Page, Screen, Site
from ...resolve.lengths import Viewport
from ..situation import Situation

ORDER = 3


def shows(layer: object) -> bool:
    """Whether a layer is a picture that is to be seen on some screen."""
    if not isinstance(layer, ImageLayer):
        return False
    return layer.visible or any(e.visible for e in layer.screens.values())


def found(_: Site, page: Page, screen: Screen) -> Iterator[Situation]:
    """Where there is a picture to be missed."""
    if any(shows(layer) for area in page.areas() for layer in area.backdrop.layers):
        view = Viewport(screen.width, screen.height)
        name = f"{screen.name}, picture missing"
        yield Situation(f"{screen.id}:missing", name, screen.id, view, "missing", missing=True)
