"""The pictures are not there: while they load, and when they never come. Everything else is."""

from collections.abc import Iterator

from ...document import LayerBase, Page, Screen, Site, ever_visible
from ...resolve.lengths import Viewport
from ...resolve.moment import Moment
from ..situation import Situation

ORDER, AT_HAND = 3, True


def shows(layer: LayerBase) -> bool:
    """Whether a layer is a picture that is to be seen on some screen."""
    return bool(layer.assets()) and ever_visible(layer)


def found(_: Site, page: Page, screen: Screen) -> Iterator[Situation]:
    """Where there is a picture to be missed."""
    if any(shows(layer) for area in page.areas() for layer in area.backdrop.layers):
        view = Viewport(screen.width, screen.height)
        name = f"{screen.name}, picture missing"
        yield Situation(f"{screen.id}:missing", name, screen.id, Moment(view, missing=True), "missing")
