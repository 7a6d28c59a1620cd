"""The header on a plain ground of its own, and a shade behind what is left: takes the join apart, and says so."""

from collections.abc import Iterator

from ...colour.contrast import is_light
from ...document import Join, with_backdrop
from ..distress import Distress
from ..draft import Draft
from . import shade

ORDER = 8
TITLE = "The header by itself"


def found(distress: Distress) -> Iterator[Draft]:
    """Where a header and what follows share a picture and the header's words fall short."""
    area = distress.area
    if not isinstance(area, Join):
        return
    header = next((b for b in distress.bands() if b.role == "header" and b.id == area.first), None)
    short = {case[0] for case in distress.short}
    if header is None or not any(block.id in short for block in header.blocks()):
        return
    words = distress.of_bands({header.id})
    light = is_light(distress.block(words[0]).lettering.colour)
    grounds = [c for c in distress.site.palette if len(c) == 7 and is_light(c) != light]
    for ground in (*grounds, distress.tone):
        page = with_backdrop(distress.page, header.id, header.backdrop.model_copy(update={"base": ground}))
        if all(distress.trial(page).share(case) >= 1 for case in distress.order if case[0] in words):
            break
    else:
        return
    said = f"{header.name} stands on {ground}; the picture begins beneath it."
    rest = Distress(distress.trial(page), area, distress.colours)
    if not rest.short:
        yield Draft("apart", page, said, frozenset({"plain"}))
        return
    for draft in shade.found(rest):
        sentence = f"{said} {draft.sentence}"
        yield Draft("apart", draft.page, sentence, draft.helps | {"plain"}, draft.recoloured)
