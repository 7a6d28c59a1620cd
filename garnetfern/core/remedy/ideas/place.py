"""Another place for the words in their band, all of them together."""

from collections.abc import Iterator
from itertools import product

from ...document import Band, Page
from ..distress import Distress
from ..draft import Draft, beginnings
from ..kinds.place import ACROSS, ALONG, DOWN

ORDER = 5
TITLE = "Another place"


def _stood(page: Page, band: Band, place: tuple[str, str]) -> Page:
    """A page whose band has its words elsewhere, on every screen."""
    align, stand = place
    content = band.content.model_copy(update={"align": align, "stand": stand})
    own = {name: e.model_copy(update={"content": None}) for name, e in band.screens.items()}
    columns = tuple(
        column.model_copy(
            update={
                "blocks": tuple(
                    b.model_copy(update={"lettering": b.lettering.model_copy(update={"align": None})})
                    for b in column.blocks
                )
            }
        )
        for column in band.columns
    )
    new = band.model_copy(update={"content": content, "screens": own, "columns": columns})
    return page.model_copy(update={"bands": tuple(new if b.id == band.id else b for b in page.bands)})


def found(distress: Distress) -> Iterator[Draft]:
    """The nearest of the nine places at which all can be read, where one band falls short."""
    short = {case[0] for case in distress.short}
    bands = [b for b in distress.bands() if any(block.id in short for block in b.blocks())]
    if len(bands) != 1 or not distress.may("place"):
        return
    for page, recoloured, note in beginnings(distress):
        band = next(b for b in page.bands if b.id == bands[0].id)
        now = (band.content.align, band.content.stand)

        def away(place: tuple[str, str], now: tuple[str, str] = now) -> float:
            along = {str(name): share for name, share in ALONG.items()}
            return abs(along[place[0]] - along[now[0]]) + abs(along[place[1]] - along[now[1]])

        places = ((str(a), str(s)) for a, s in product(ALONG, ALONG))
        for place in sorted(places, key=away):
            if place == now:
                continue
            moved = _stood(page, band, place)
            if distress.suffices(moved):
                where = f"{DOWN[place[1]]} {ACROSS[place[0]]}".replace("middle middle", "middle")
                yield Draft(
                    "place", moved, f"The words of {band.name} stand at the {where}.{note}", recoloured=recoloured
                )
                return
