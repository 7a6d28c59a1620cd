"""One plate for all words of the area that fall short: one colour, one strength, the site's own corners and lines."""

from collections import Counter
from collections.abc import Iterator

from ...colour.notation import parse_colour
from ...document import Backdrop, Padding, Page, Plate, Site
from ..distress import Distress
from ..draft import Draft, also, gone
from ..remedy import percent
from ..search import APPROXIMATE, least
from ._behind import plated, unplated
from .shade import without_veils

ORDER = 6
TITLE = "One plate"
PLAIN = Plate(radius="4px", padding=Padding(block="10px", inline="14px"))
FAINT = 0.12
"""Plates weaker than this have no rims that are seen."""


def site_plate(site: Site) -> Plate:
    """A plate with the corners, lines and inner space that most plates of words on the site have."""
    plates = [b.plate for page in site.pages for b in page.blocks() if b.plate is not None]
    shapes = Counter((p.radius, p.line, p.padding) for p in plates if p.shadow is None)
    if not shapes:
        return PLAIN
    radius, line, padding = shapes.most_common(1)[0][0]
    return Plate(radius=radius, line=line, padding=padding)


def found(distress: Distress) -> Iterator[Draft]:
    """The least strength that serves all, behind the words of each band that falls short."""
    bare, veils = without_veils(distress, distress.start)
    words = unplated(distress, bare)
    if not words:
        return
    shape = site_plate(distress.site)

    def make(alpha: float) -> Page:
        colour = parse_colour(distress.tone).faded(alpha).hex
        return plated(bare, words, shape.model_copy(update={"backdrop": Backdrop(base=colour)}))

    alpha = least(distress.at(bare), make, step=1 / 255, spare=APPROXIMATE)
    if alpha is None:
        return
    sentence = (
        f"One plate in {distress.tone} at {percent(round(alpha, 3))} behind the words.{gone(veils)}{also(distress)}"
    )
    rims = len(words) if alpha > FAINT else 0
    yield Draft("plate", make(alpha), sentence, frozenset({"plate"}), distress.recoloured, rims)
