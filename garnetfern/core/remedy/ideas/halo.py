"""A soft shade close behind the words, the same for all of the area: it leaves most of the picture as it is."""

from collections.abc import Iterator

from ...document import Page
from ..distress import Distress
from ..draft import Draft, also, gone
from ..kinds.scrim import scrim
from ..remedy import percent
from ..search import APPROXIMATE, least
from ._behind import plated, unplated
from .shade import without_veils

ORDER = 7
TITLE = "A soft shade behind the words"
SOFT = (1.5, 0.6)
"""How far it fades, times the size of the letters: the first that suffices is taken. The softer it is, the more of it
falls on the words above."""
SPREAD, VISIBLE = 1.0, 0.75
"""How far it reaches beyond a block, times its softness: what is full, and what of the blur can be seen."""
SEEN = 1.0
"""What fades within less than that is seen as the edge of a plate."""


def _inside(distress: Distress, words: frozenset[str], soft: float) -> bool:
    """Whether it ends within the area on every screen: what lies around would be smeared."""
    for situation in distress.rest:
        record = distress.present.record(situation)
        area = record.area(distress.area.id)
        for block in record.blocks():
            if area is None or block.id not in words or not block.lines:
                continue
            shade = block.box.grown(soft * block.size * (SPREAD + VISIBLE))
            if shade.y < area.box.y or shade.bottom > area.box.bottom:
                return False
            # beyond the edges of the page nothing can be seen
            if max(0.0, shade.x) < area.box.x or min(record.width, shade.right) > area.box.right:
                return False
    return True


def found(distress: Distress) -> Iterator[Draft]:
    """The softest that serves all, at its least strength, behind the words of each band that falls short."""
    bare, veils = without_veils(distress, distress.start)
    words = unplated(distress, bare)
    if not words:
        return
    for soft in SOFT:
        if not _inside(distress, words, soft):
            continue

        def make(alpha: float, soft: float = soft) -> Page:
            return plated(bare, words, scrim(distress.tone, alpha, soft))

        alpha = least(distress.at(bare), make, step=1 / 255, spare=APPROXIMATE)
        if alpha is None:
            continue
        how = f"{soft:g} em soft, at {percent(round(alpha, 3))}"
        sentence = f"A shade in {distress.tone} close behind the words, {how}.{gone(veils)}{also(distress)}"
        rims = len(words) if soft < SEEN else 0
        yield Draft("halo", make(alpha), sentence, frozenset({"shade"}), distress.recoloured, rims)
        return
