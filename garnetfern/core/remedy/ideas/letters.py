"""Letters that stand out by themselves: all words of the area in one other colour, or with one shadow."""

from collections.abc import Iterator

from ...colour.contrast import is_light
from ...colour.mix import distance as apart
from ...colour.notation import parse_colour
from ...document import Page, TextShadow, each_block
from ..distress import PAPER, Distress
from ..draft import Draft, also
from ..fills import fill_of, filled
from ..remedy import percent
from ..search import APPROXIMATE, least
from .shade import without_veils

ORDER = 1
TITLE = "Stronger letters"
BLURS = ("0.3em", "0.16em")


def _other(distress: Distress) -> Iterator[tuple[str, Page]]:
    """All words in one colour of the palette, or in paper or ink: the nearest to what most of them have first."""
    palette = [c for c in distress.site.palette if parse_colour(c).alpha >= 1]
    for colour in sorted(dict.fromkeys([*palette, *PAPER.values()]), key=lambda c: apart(c, distress.colour)):

        def change(page: Page, colour: str = colour) -> Page:
            return each_block(page, lambda b: filled(b, colour) if b.id in distress.words else b)

        if is_light(colour) == distress.light:
            yield colour, distress.borne(change(distress.page))
        else:
            # veils that served the other tone are in the way of this one
            yield colour, change(distress.page)
            yield colour, change(without_veils(distress, distress.page)[0])


def found(distress: Distress) -> Iterator[Draft]:
    """The nearest colour that suffices, and a shadow, where that does."""
    if distress.may("colour"):
        for colour, page in _other(distress):
            if distress.suffices(page):
                changed = sum(fill_of(distress.block(name)) != colour for name in distress.words)
                yield Draft("letters", page, f"All words here become {colour}.", recoloured=changed)
                break
    tone = parse_colour("#000000" if distress.light else "#ffffff")
    for blur in BLURS:

        def make(alpha: float, blur: str = blur) -> Page:
            shadow = TextShadow(across="0px", down="0px", blur=blur, colour=tone.faded(alpha).hex)
            return each_block(
                distress.start,
                lambda b: (
                    b.model_copy(update={"lettering": b.lettering.model_copy(update={"shadow": shadow})})
                    if b.id in distress.words
                    else b
                ),
            )

        alpha = least(distress.at(distress.start), make, step=1 / 255, spare=APPROXIMATE)
        if alpha is not None:
            said = "dark" if distress.light else "light"
            sentence = (
                f"All words here have a {said} shadow, {blur} soft, at {percent(round(alpha, 3))}.{also(distress)}"
            )
            yield Draft("letters", make(alpha), sentence, frozenset({"shadow"}), distress.recoloured)
            return
