"""More of a help that is there already, so much that it serves all words of the area."""

from collections.abc import Iterator

from ...document import LayerBase, Page
from ..distress import Distress
from ..draft import Draft, beginnings
from ..remedy import percent
from ..search import least

ORDER = 0
TITLE = "More of what is there"


def _stronger(distress: Distress, page: Page, layer: LayerBase, opacity: float) -> Page:
    area = page.area(distress.area.id) or distress.area
    new = layer.model_copy(update={"opacity": round(opacity, 4)})
    return distress.with_layers(page, (new if x.id == layer.id else x for x in area.backdrop.layers))


def found(distress: Distress) -> Iterator[Draft]:
    """Each layer of the area that is no picture and can be stronger, at the least strength."""
    if not distress.may("picture"):
        return
    for page, recoloured, note in beginnings(distress):
        done = False
        for layer in distress.area.backdrop.layers:
            if layer.assets() or not layer.visible or layer.opacity >= 1:
                continue

            def make(opacity: float, page: Page = page, layer: LayerBase = layer) -> Page:
                return _stronger(distress, page, layer, opacity)

            opacity = least(distress.at(page), make, layer.opacity)
            if opacity is not None:
                done = True
                sentence = f"{layer.name} goes from {percent(layer.opacity)} to {percent(opacity)}.{note}"
                yield Draft("deepen", make(opacity), sentence, recoloured=recoloured)
        if done:
            return
