"""The words at the foot of the picture, over a shade that rises behind them."""

from collections.abc import Iterator

from ...document import Align, Backdrop, Band, GradientLayer, Ids, Page
from ...remedy.ideas.shade import SPARE
from ...remedy.remedy import percent
from ...remedy.search import least
from ..brief import Brief
from ..frame import picture_of, words_column
from ..sketch import LeftOut, Sketch
from ..words import bounded
from ._shaded import distress_of, no_fog, on_picture, rising, tone_of

ORDER = 2
TITLE = "A shade at the foot"
WIDTH = 640
LARGEST = 84
"""Words at the foot are no larger than that, px."""
PLACES: tuple[tuple[Align, str], ...] = (("start", "at the left"), ("center", "in the middle"), ("end", "at the right"))


def made(brief: Brief) -> Iterator[Sketch]:
    """At the left, then in the middle and at the right."""
    tone = tone_of(brief)
    name = Ids(brief.whole).free("shade")
    column = words_column(brief)
    blocks = tuple(bounded(b, brief.fonts, WIDTH, top=LARGEST) if b.lettered else b for b in column.blocks)
    column = column.model_copy(update={"blocks": blocks})
    for align, said in PLACES:
        band = on_picture(brief, column, picture_of(brief), (align, "end"), f"{WIDTH}px")

        def make(strength: float, band: Band = band) -> Page:
            shade = GradientLayer(id=name, name="Shade", opacity=round(strength, 4), gradient=rising(tone))
            own = band.columns[0].model_copy(update={"backdrop": Backdrop(layers=(shade,))})
            return brief.with_band(band.model_copy(update={"columns": (own,)}))

        start = make(0.0)
        distress = distress_of(brief, start)
        strength = least(distress.at(start), make, spare=SPARE)
        if strength is None:
            raise LeftOut("No shade at its foot suffices.")
        no_fog(distress, make(strength), strength)
        shade = f"over a shade in {tone} at {percent(strength)}" if strength else "with nothing behind them"
        yield Sketch(make(strength), f"The words stand at the foot {said}, {shade}.")
