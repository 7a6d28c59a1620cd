"""A new overlay over the picture: one of the picture's own darks (lights for dark words), or black (white)."""

from collections.abc import Iterator

from ...colour.mix import lightness_of, towards
from ...document import ColourLayer, Ids, Page
from ..plight import Plight
from ..remedy import Proposal, percent
from ..search import least

ORDER = 3
TITLE = "A new overlay"
DARK, LIGHT = 0.2, 0.95
"""OKLab lightness that the picture's own colours are brought to."""


def tones(plight: Plight) -> dict[str, str]:
    """Colours to lay over, by what they are: the picture's own, brought to where it serves the words, and the plain."""
    end = "#000000" if plight.light else "#ffffff"
    wanted = DARK if plight.light else LIGHT
    found = {}
    for colour in plight.own_colours[:1]:
        light = lightness_of(colour)
        reach = abs(lightness_of(end) - light)
        share = max(0.0, (light - wanted) / reach if plight.light else (wanted - light) / reach) if reach else 0.0
        found[towards(colour, end, min(1.0, share))] = "the picture's own " + ("dark" if plight.light else "light")
    found.setdefault(end, "black" if plight.light else "white")
    return found


def found(plight: Plight) -> Iterator[Proposal]:
    """The least opacity of the first colour that suffices, on top of the area's layers."""
    if plight.ground is None or not plight.may("picture") or not plight.pictures:
        return
    name = Ids(plight.start).free("overlay")
    layers = (plight.start.area(plight.ground.id) or plight.ground).backdrop.layers
    for colour, said in tones(plight).items():

        def make(opacity: float, colour: str = colour) -> Page:
            new = ColourLayer(id=name, name="Overlay", colour=colour, opacity=round(opacity, 4))
            return plight.with_layers(plight.start, (*layers, new))

        opacity = least(plight, make)
        shown = 1.0 if opacity is None else opacity
        sentence = f"A new overlay in {said}, {colour}, at {percent(shown)}.{plight.note}"
        yield Proposal("overlay", make(shown), sentence, opacity is not None)
        if opacity is not None:
            return
