"""A shadow of the letters, round them on all sides."""

from collections.abc import Iterator

from ...colour.notation import parse_colour
from ...document import Page, TextShadow
from ..plight import Plight
from ..remedy import Proposal, percent
from ..search import APPROXIMATE, least

ORDER = 9
TITLE = "Shadow of the letters"
HELP = "shadow"
BLURS = ("0.3em", "0.16em", "0.08em")
"""The widest that suffices is taken: it looks softest. Not every ground can be mended by a shadow at all."""


def found(plight: Plight) -> Iterator[Proposal]:
    """The least strength, with the softest edge."""
    tone = parse_colour("#000000" if plight.light else "#ffffff")
    said = "dark" if plight.light else "light"

    def page(blur: str, alpha: float) -> Page:
        shadow = TextShadow(across="0px", down="0px", blur=blur, colour=tone.faded(alpha).hex)
        return plight.with_block(plight.start, lettering=plight.block.lettering.model_copy(update={"shadow": shadow}))

    for blur in BLURS:

        def make(alpha: float, blur: str = blur) -> Page:
            return page(blur, alpha)

        alpha = least(plight, make, step=1 / 255, spare=APPROXIMATE)
        if alpha is not None:
            sentence = f"A {said} shadow round the letters, {blur} soft, at {percent(alpha)}.{plight.note}"
            yield Proposal("shadow", make(alpha), sentence)
            return
    sentence = f"A {said} shadow round the letters, {BLURS[-1]} soft.{plight.note}"
    yield Proposal("shadow", page(BLURS[-1], 1.0), sentence, sure=False)
