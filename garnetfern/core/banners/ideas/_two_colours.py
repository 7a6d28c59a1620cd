"""A picture in the shades of one colour: grey, then multiplied or screened, so that no place of it is lighter or darker
than the colour, whatever the picture shows."""

from typing import Literal

from ...document import Align, Backdrop, ColourLayer, Filter, Ids, Page
from ..brief import Brief
from ..frame import picture_of
from ..words import coloured
from ._shaded import high

CONTRAST = 1.15
LIGHT_END = 235.0
"""The level that the lightest twentieth of the picture is brought to."""
MOST_BRIGHTER = 2.6
"""A picture that would have to be made brighter than that is too dark for it."""


def lightest(brief: Brief) -> float:
    """The level, 0..255, that a twentieth of the picture's cells lie above."""
    cells = sorted(value for row in brief.look.light for value in row)
    return cells[min(len(cells) - 1, int(len(cells) * 0.95))] * 2.55 if cells else 128.0


def two_coloured(brief: Brief, colour: str, letters: str, blend: Literal["multiply", "screen"]) -> Page:
    """The page whose picture is grey, levelled, and mixed with a colour; the words where they stood."""
    brighter = 1.0
    if blend == "multiply":
        brighter = min(MOST_BRIGHTER, max(1.0, LIGHT_END / max(1.0, lightest(brief))))
    grey = Filter(grayscale=1.0, contrast=CONTRAST, brightness=round(brighter, 2))
    layer = picture_of(brief, filter=grey)
    name = Ids(brief.whole).free("two-colours")
    over = ColourLayer(id=name, name="Colour", colour=colour, blend=blend)
    align: Align = "start"
    content = brief.band.content.model_copy(update={"align": align, "stand": "center"})
    band = brief.band.model_copy(
        update={
            "backdrop": Backdrop(base=colour, layers=(layer, over)),
            "content": content,
            "height": high(brief.band),
        }
    )
    return brief.with_band(coloured(band, letters, colour))
