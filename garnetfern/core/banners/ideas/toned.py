"""The whole picture in the hue of the palette under an even veil, and very large words."""

from collections.abc import Iterator

from ...colour.mix import from_lch, lch
from ...document import Backdrop, ColourLayer, Ids, Page
from ...remedy.remedy import percent
from ...remedy.search import least
from ..brief import Brief
from ..frame import picture_of
from ..palette import COLOURFUL
from ..sketch import LeftOut, Sketch
from ..words import Large, coloured, enlarged
from ._shaded import distress_of, high

ORDER = 6
TITLE = "In the palette's hue"
HEADING, TEXT, LEAST = Large(44, 7.6, 116), "clamp(24px, 2vw, 28px)", 24.0
HUE, VEIL = 0.45, 0.26
"""OKLCH lightness of the hue that is laid over, and of the veil."""
ALIKE = 30.0
"""Degrees between hues that are the same to the eye."""
GREY = 0.03
"""Chroma of a picture below which it has no hue that could be turned."""
SPARE = 1.02
STRONGEST = 0.7


def made(brief: Brief) -> Iterator[Sketch]:
    """In each accent's hue that is not the picture's own."""
    own = [lch(c) for c in brief.colours]
    chroma = max((c for _, c, _ in own), default=0.0)
    if chroma < GREY:
        raise LeftOut("The picture has hardly any colour whose hue could be turned.")
    picture_hue = max(own, key=lambda c: c[1])[2]
    for accent in brief.palette.accents:
        _, strength, hue = lch(accent)
        apart = abs((hue - picture_hue + 180) % 360 - 180)
        if apart >= ALIKE and strength >= COLOURFUL:
            yield _veiled(brief, from_lch(HUE, strength, hue), from_lch(VEIL, min(0.05, strength), hue))
    raise LeftOut("The palette's hue is the picture's own.")


def _veiled(brief: Brief, hue: str, veil: str) -> Sketch:
    ids = Ids(brief.whole)
    turned = ColourLayer(id=ids.free("hue"), name="Hue", colour=hue, blend="hue")
    name = ids.free("veil")
    content = brief.band.content.model_copy(update={"align": "start", "stand": "center"})
    plain = brief.band.model_copy(update={"content": content, "height": high(brief.band)})
    plain = enlarged(coloured(plain, brief.palette.paper, veil), brief.fonts, HEADING, TEXT, LEAST)

    def make(strength: float) -> Page:
        over = ColourLayer(id=name, name="Veil", colour=veil, opacity=round(strength, 4))
        layers = (picture_of(brief), turned, over)
        return brief.with_band(plain.model_copy(update={"backdrop": Backdrop(base=veil, layers=layers)}))

    found = least(distress_of(brief, make(0.0)).at(make(0.0)), make, spare=SPARE)
    if found is None or found > STRONGEST:
        raise LeftOut("It would take so strong a veil that little of the picture would be left.")
    return Sketch(
        make(found), f"The picture turned to the hue of {hue}, under {veil} at {percent(found)}; large words."
    )
