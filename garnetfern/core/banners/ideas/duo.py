"""The picture in the shades of one dark colour, light words on it."""

from collections.abc import Iterator

from ..brief import Brief
from ..palette import bearing
from ..sketch import LeftOut, Sketch
from ._two_colours import LIGHT_END, MOST_BRIGHTER, lightest, two_coloured

ORDER = 4
TITLE = "In one dark colour"


def made(brief: Brief) -> Iterator[Sketch]:
    """In the accent's hue, as light as it bears the words; then in other hues."""
    if lightest(brief) * MOST_BRIGHTER < LIGHT_END * 0.7:
        raise LeftOut("The picture is so dark that little of it would be left in one dark colour.")
    for accent in brief.palette.from_accent(1):
        colour = bearing(accent, brief.palette.paper, brief.least)
        if colour is not None:
            page = two_coloured(brief, colour, brief.palette.paper, "multiply")
            yield Sketch(page, f"The picture in grey, multiplied by {colour}; light words wherever they stand.")
    raise LeftOut("No further colour of the palette bears light words.")
