"""What a layer has to know of where it lies."""

from collections.abc import Callable
from dataclasses import dataclass

from ...document import Asset, ImageLayer
from ..box import Box
from ..image import Room
from ..lengths import Viewport
from ..sheets import Rendition


@dataclass(frozen=True)
class LayerPlace:
    """The box of a layer's area, snapped to whole px, the viewport, of a picture its asset, room and rendition, and of
    a layer that moves by itself its own time, s by its id, and whether it has not begun to."""

    box: Box
    viewport: Viewport
    picture: Callable[[ImageLayer], tuple[Asset, Room, Rendition]]
    time: Callable[[str], float]
    stands: Callable[[str], bool]
