"""The picture in a column of its own, the words beside it on plain ground: nothing lies over the picture."""

from collections.abc import Iterator

from ...document import Padding
from ...document.model import Content
from ..brief import Brief
from ..frame import framed, phones, picture_column, picture_of, words_column
from ..palette import bearing
from ..sketch import Sketch
from ..words import coloured, for_a_column

ORDER = 0
TITLE = "Beside the picture"
WORDS, PICTURE = 5.0, 7.0
"""The shares of the two columns."""
ROOM, SHARE = 620.0, 0.33
"""The width that words have at the most, px, and as a share of the viewport."""
INNER = Padding(block="clamp(28px, 4vw, 64px)", inline="clamp(20px, 4vw, 72px)")


def _grounds(brief: Brief) -> Iterator[tuple[str, str]]:
    """Grounds, and letters on them."""
    palette = brief.palette
    yield palette.paper, palette.ink
    for accent in palette.accents:
        ground = bearing(accent, palette.paper, brief.least)
        if ground is not None:
            yield ground, palette.paper


def made(brief: Brief) -> Iterator[Sketch]:
    """On paper, the picture on the subject's side; then the other way round, then on grounds of the palette."""
    words = for_a_column(words_column(brief), brief.fonts, ROOM, SHARE, phones(brief)).model_copy(
        update={"share": WORDS, "padding": INNER}
    )
    picture = picture_column(brief, (picture_of(brief),)).model_copy(update={"share": PICTURE})
    content = Content(width="100%", align="start", level="center", gap="0px")
    for n, (ground, letters) in enumerate(_grounds(brief)):
        for first in (True, False) if n == 0 else (n % 2 == 0,):
            columns = (picture, words) if first else (words, picture)
            band = framed(brief, columns, Padding(block="0px", inline="0px"), content, ground, SHARE)
            side = "left" if first else "right"
            sentence = f"The picture at the {side}, nothing over it; the words beside it on {ground}."
            yield Sketch(brief.with_band(coloured(band, letters, ground)), sentence)
