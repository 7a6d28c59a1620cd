"""Another part of the picture behind the words: the nearest other focal point that serves them."""

from collections.abc import Iterator
from itertools import product
from math import dist

from ...document import ImageLayer, Page
from ..plight import Plight
from ..remedy import Proposal, percent

ORDER = 11
TITLE = "Part of the picture"
GRID = (0.0, 0.2, 0.4, 0.5, 0.6, 0.8, 1.0)


def aimed(layer: ImageLayer, spot: tuple[float, float]) -> ImageLayer:
    """A picture with another focal point, on every screen."""
    own = {name: e.model_copy(update={"focal": None}) for name, e in layer.screens.items()}
    return layer.model_copy(update={"focal": spot, "screens": own})


def found(plight: Plight) -> Iterator[Proposal]:
    """Of each picture that fills its area by a focal point."""
    if plight.ground is None or not plight.may("picture"):
        return
    layers = (plight.start.area(plight.ground.id) or plight.ground).backdrop.layers
    for layer in plight.pictures:
        if not layer.visible or layer.size != "cover" or layer.position is not None:
            continue

        def make(focal: tuple[float, float], layer: ImageLayer = layer) -> Page:
            new = aimed(layer, focal)
            return plight.with_layers(plight.start, tuple(x.with_picture(new) for x in layers))

        def away(spot: tuple[float, float], layer: ImageLayer = layer) -> float:
            return dist(spot, layer.focal)

        for spot in sorted(product(GRID, GRID), key=away):
            page = make(spot)
            if plight.trial(page).suffices():
                where = f"{percent(spot[0])} across and {percent(spot[1])} down"
                yield Proposal("focal", page, f"The focal point of {layer.name} moves to {where}.{plight.note}")
                break
