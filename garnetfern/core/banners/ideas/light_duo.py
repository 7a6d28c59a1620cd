"""The picture in the shades of one light colour, dark words on it."""

from collections.abc import Iterator

from ...colour.mix import from_lch, lch
from ...picture.look import BUSY
from ..brief import Brief
from ..palette import bearing
from ..sketch import LeftOut, Sketch
from ._two_colours import two_coloured

ORDER = 5
TITLE = "In one light colour"
CHROMA = 0.09
"""The most chroma of a light ground."""
LIGHTNESS = 0.72
MOST_BUSY = 3.0
"""How many times as busy as a busy picture one may be."""


def made(brief: Brief) -> Iterator[Sketch]:
    """In the accent's hue, as dark as it bears the words; then in other hues."""
    if brief.look.busyness > BUSY * MOST_BUSY:
        raise LeftOut("The picture is so busy that nothing of it could be made out in one light colour.")
    for accent in brief.palette.from_accent(1):
        _, chroma, hue = lch(accent)
        colour = bearing(from_lch(LIGHTNESS, min(CHROMA, chroma), hue), brief.palette.ink, brief.least)
        if colour is not None:
            page = two_coloured(brief, colour, brief.palette.ink, "screen")
            yield Sketch(page, f"The picture in grey, screened with {colour}; dark words wherever they stand.")
    raise LeftOut("No further colour of the palette bears dark words.")
