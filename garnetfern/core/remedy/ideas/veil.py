"""One colour over the whole picture, or over all pictures of the area."""

from collections.abc import Iterator

from ...document import ColourLayer, Ids, Page
from ..distress import Distress
from ..draft import Draft, also
from ..remedy import percent
from ..search import least
from .shade import without_veils

ORDER = 3
TITLE = "A colour over it"


def found(distress: Distress) -> Iterator[Draft]:
    """The least strength of the shade's tone, instead of what lay over it before."""
    pictured = any(layer.assets() for layer in distress.area.backdrop.layers)
    if not pictured or not distress.may("picture"):
        return
    bare, veils = without_veils(distress, distress.start)

    def make(opacity: float) -> Page:
        area = bare.area(distress.area.id) or distress.area
        layer = ColourLayer(id=Ids(bare).free("veil"), name="Veil", colour=distress.tone, opacity=round(opacity, 4))
        return distress.with_layers(bare, (*area.backdrop.layers, layer))

    opacity = least(distress.at(bare), make)
    if opacity is None:
        return
    instead = f" instead of {' and '.join(veils)}" if veils else ""
    sentence = f"{distress.tone} over the whole picture at {percent(opacity)}{instead}.{also(distress)}"
    yield Draft("veil", make(opacity), sentence, frozenset() if veils else frozenset({"veil"}), distress.recoloured)
