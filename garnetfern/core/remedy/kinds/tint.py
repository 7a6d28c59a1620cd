"""The nearest other colour of an overlay, at the strength it has."""

from collections.abc import Iterator

from ...colour.mix import towards
from ...document import ColourLayer, Page
from ..plight import Plight
from ..remedy import Proposal
from ..search import least

ORDER = 6
TITLE = "Colour of an overlay"
FAINT = 0.05
"""The colour of an overlay weaker than this changes nothing."""


def found(plight: Plight) -> Iterator[Proposal]:
    """Each colour of the pictured area, darker or lighter."""
    if plight.ground is None or not plight.may("picture"):
        return
    layers = (plight.start.area(plight.ground.id) or plight.ground).backdrop.layers
    end = "#000000" if plight.light else "#ffffff"
    for layer in layers:
        if not isinstance(layer, ColourLayer) or not layer.visible or layer.opacity < FAINT:
            continue

        def make(share: float, layer: ColourLayer = layer) -> Page:
            new = layer.model_copy(update={"colour": towards(layer.colour, end, share)})
            return plight.with_layers(plight.start, tuple(new if x.id == layer.id else x for x in layers))

        share = least(plight, make)
        colour = towards(layer.colour, end, 1.0 if share is None else share)
        sentence = f"{layer.name} becomes {colour}, at the strength it has.{plight.note}"
        yield Proposal("tint", make(1.0 if share is None else share), sentence, share is not None)
