"""The words on a panel of a colour, laid into the picture beside its subject."""

from collections.abc import Iterator

from ...colour.mix import distance
from ...document import Backdrop, Padding
from ...document.model import Content
from ..brief import Brief
from ..frame import framed, moved_aside, phones, picture_column, words_column
from ..palette import bearing
from ..sketch import LeftOut, Sketch
from ..words import coloured, for_a_column

ORDER = 3
TITLE = "A panel in the picture"
WORDS, FREE = 4.4, 6.6
"""The shares of the panel and of what is left free of the picture."""
INNER = Padding(block="clamp(22px, 3vw, 48px)", inline="clamp(20px, 3vw, 48px)")
OUTER = Padding(block="clamp(20px, 4vw, 56px)", inline="clamp(16px, 4vw, 64px)")
ROOM, SHARE = 400.0, 0.29
"""The width that words have in it at the most, px, and as a share of the viewport."""
AWAY = 0.15
"""How far a panel's colour is from the picture's most common one, in OKLab."""
FREE_HIGH = "clamp(180px, 30vw, 420px)"


def _colours(brief: Brief) -> Iterator[tuple[str, str]]:
    """Grounds of the palette that are not the picture's own, the most colourful first, then paper; and letters."""
    palette = brief.palette
    common = brief.colours[:1]
    for accent in palette.accents:
        ground = bearing(accent, palette.paper, brief.least)
        if ground is not None and all(distance(ground, colour) >= AWAY for colour in common):
            yield ground, palette.paper
    if all(distance(palette.paper, colour) >= AWAY for colour in common):
        yield palette.paper, palette.ink


def made(brief: Brief) -> Iterator[Sketch]:
    """On the side where the subject is not."""
    left = brief.words_left
    words = for_a_column(words_column(brief), brief.fonts, ROOM, SHARE, phones(brief))
    free = picture_column(brief, (), FREE_HIGH).model_copy(update={"share": FREE, "name": "Free"})
    content = Content(width="1280px", align="start", level="center", gap="clamp(16px, 3vw, 48px)")
    for ground, letters in _colours(brief):
        own = Backdrop(base=ground)
        panel = words.model_copy(update={"share": WORDS, "padding": INNER, "backdrop": own})
        columns = (panel, free) if left else (free, panel)
        band = framed(brief, columns, OUTER, content, ground, SHARE)
        layer = moved_aside(brief, left)
        band = band.model_copy(update={"backdrop": Backdrop(base=ground, layers=(layer,))})
        side = "left" if left else "right"
        sentence = f"The words on a panel in {ground} at the {side}; the picture runs on around it."
        yield Sketch(brief.with_band(coloured(band, letters, ground)), sentence)
    raise LeftOut("No colour of the palette bears words and stands out from this picture.")
