"""Another colour of the words: white, off-white, ink, or one of the site's palette; the nearest to the present one."""

from collections.abc import Iterator
from itertools import islice

from ...colour.mix import distance
from ...colour.notation import parse_colour
from ...document import Page
from ..base import mended_base, said
from ..fills import filled, plain
from ..plight import Plight
from ..remedy import Proposal

ORDER = 1
TITLE = "Colour of the words"
NAMES = {"#ffffff": "white", "#f6f3ea": "off-white", "#17211b": "ink", "#000000": "black"}
MOST = 2


def _page(plight: Plight, page: Page, colour: str) -> Page:
    changed = filled(plight.block, colour)
    return plight.with_block(page, lettering=changed.lettering, phrases=changed.phrases)


def _sufficing(plight: Plight, colour: str, what: str) -> Proposal | None:
    """The words in a colour, if that suffices, with another base where they could not be read without the picture."""
    page = _page(plight, plight.page, colour)
    trial = plight.trial(page)
    if not all(trial.meets(s) for s in plight.order if not s.moment.missing):
        return None
    alone = colour == plight.fill
    sentence = f"All words become as most are, {colour}." if alone else f"The words become {what}, {colour}."
    if trial.suffices():
        return Proposal("fill", page, sentence)
    based = mended_base(plight, page, colour) if plight.pictures else None
    return None if based is None else Proposal("fill", based[0], sentence + said(based[1]))


def found(plight: Plight) -> Iterator[Proposal]:
    """The nearest that suffice."""
    if not plight.may("colour"):
        return
    palette = [c for c in plight.site.palette if parse_colour(c).alpha >= 1]
    wanted = dict.fromkeys([*palette, *NAMES])
    near = sorted((c for c in wanted if c != plight.fill), key=lambda c: distance(c, plight.fill))
    if plain(plight.block) != plight.block:
        near = [plight.fill, *near]
    proposals = (_sufficing(plight, colour, NAMES.get(colour, "a colour of the site")) for colour in near)
    chosen = list(islice(filter(None, proposals), MOST))
    yield from chosen
    if not chosen:
        far = "#ffffff" if plight.light else "#000000"
        yield Proposal("fill", _page(plight, plight.start, far), f"The words become {far}.{plight.note}", sure=False)
