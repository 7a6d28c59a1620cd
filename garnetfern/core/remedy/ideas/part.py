"""Another, calmer part of the picture behind the words."""

from collections.abc import Iterator
from itertools import product
from math import dist

from ...document import ImageLayer, Page
from ..distress import Distress
from ..draft import Draft, beginnings
from ..kinds.focal import GRID, aimed
from ..remedy import percent

ORDER = 4
TITLE = "A calmer part"


def _moved(distress: Distress, page: Page, layer: ImageLayer, spot: tuple[float, float]) -> Page:
    area = page.area(distress.area.id) or distress.area
    new = aimed(layer, spot)
    return distress.with_layers(page, (x.with_picture(new) for x in area.backdrop.layers))


def found(distress: Distress) -> Iterator[Draft]:
    """The nearest other focal point of a picture that fills the area, where all words can be read over it."""
    if not distress.may("picture"):
        return
    pictures = [p for layer in distress.area.backdrop.layers for p in layer.pictures()]
    for page, recoloured, note in beginnings(distress):
        for layer in pictures:
            if not layer.visible or layer.size != "cover" or layer.position is not None:
                continue
            for spot in sorted(product(GRID, GRID), key=lambda s: dist(s, layer.focal)):
                moved = _moved(distress, page, layer, spot)
                if distress.suffices(moved):
                    where = f"{percent(spot[0])} across and {percent(spot[1])} down"
                    sentence = f"The focal point of {layer.name} moves to {where}.{note}"
                    yield Draft("part", moved, sentence, recoloured=recoloured)
                    return
