"""A new overlay over the picture: one of the picture's own darks (lights for dark words), or black (white)."""

from collections.abc import Iterator

from ...colour.mix import lightness_of, towards
from ...document import ColourLayer, Ids, Page
from ..plight import Plight
from ..remedy import Proposal, percent
from ..search import least

ORDER = 3
TITLE = "A new overlay"
HELP = "veil"
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


def laid_over(plight: Plight, page: Page, colour: str, opacity: float) -> Page:
    """A page with a new overlay on top of the pictured area's layers."""
    area = page.area(plight.ground.id) if plight.ground else None
    new = ColourLayer(id=Ids(page).free("overlay"), name="Overlay", colour=colour, opacity=round(opacity, 4))
    return plight.with_layers(page, (*(area.backdrop.layers if area else ()), new))


def found(plight: Plight) -> Iterator[Proposal]:
    """The least opacity of the first colour that suffices, on top of the area's layers."""
    if plight.ground is None or not plight.may("picture") or not plight.pictures:
        return
    for colour, said in tones(plight).items():

        def make(opacity: float, colour: str = colour) -> Page:
            return laid_over(plight, plight.start, colour, opacity)

        opacity = least(plight, make)
        shown = 1.0 if opacity is None else opacity
        sentence = f"A new overlay in {said}, {colour}, at {percent(shown)}.{plight.note}"
        yield Proposal("overlay", make(shown), sentence, opacity is not None)
        if opacity is not None:
            return
