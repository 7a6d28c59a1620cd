"""Another place for the words in their band: the nearest of the nine where the ground serves them."""

from collections.abc import Iterator
from itertools import product

from ...document import Align, Band, Page
from ..plight import Plight
from ..remedy import Proposal

ORDER = 7
TITLE = "Place of the words"
ALONG: dict[Align, float] = {"start": 0.0, "center": 0.5, "end": 1.0}
ACROSS = {"start": "left", "center": "middle", "end": "right"}
DOWN = {"start": "top", "center": "middle", "end": "foot"}


def _page(plight: Plight, page: Page, band: Band, align: Align, stand: Align) -> Page:
    content = band.content.model_copy(update={"align": align, "stand": stand})
    new = band.model_copy(update={"content": content})
    page = page.model_copy(update={"bands": tuple(new if b.id == band.id else b for b in page.bands)})
    if plight.block.lettering.align is None:
        return page
    return plight.with_block(page, lettering=plight.block.lettering.model_copy(update={"align": align}))


def found(plight: Plight) -> Iterator[Proposal]:
    """All words of the band go together."""
    band = next((b for b in plight.start.bands if plight.block.id in {x.id for x in b.blocks()}), None)
    if band is None or not plight.may("place") or not plight.pictures:
        return
    now = (plight.block.lettering.align or band.content.align, band.content.stand)

    def away(place: tuple[Align, Align]) -> float:
        return abs(ALONG[place[0]] - ALONG[now[0]]) + abs(ALONG[place[1]] - ALONG[now[1]])

    for align, stand in sorted(product(ALONG, ALONG), key=away):
        if (align, stand) == now:
            continue
        page = _page(plight, plight.start, band, align, stand)
        if plight.trial(page).suffices():
            where = f"{DOWN[stand]} {ACROSS[align]}".replace("middle middle", "middle")
            yield Proposal("place", page, f"The words of {band.name} stand at the {where}.{plight.note}")
            return
