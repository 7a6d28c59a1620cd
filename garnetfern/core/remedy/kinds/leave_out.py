"""One of several pictures or gradients that take turns is left out: the one on which the words cannot be read."""

from collections.abc import Iterator

from ...document import LayerBase, Page, with_backdrop
from ..plight import Plight, quotient
from ..remedy import Proposal
from ..search import least
from .overlay import laid_over, tones

ORDER = 12
TITLE = "Without one that takes turns"


def _page(plight: Plight, area_id: str, old: LayerBase, new: LayerBase) -> Page:
    area = plight.start.area(area_id)
    if area is None:
        return plight.start
    layers = tuple(new if x.id == old.id else x for x in area.backdrop.layers)
    return with_backdrop(plight.start, area_id, area.backdrop.model_copy(update={"layers": layers}))


def found(plight: Plight) -> Iterator[Proposal]:
    """Each that suffices by being left out; where none does, the one without which the least overlay suffices."""
    if not plight.may("picture"):
        return
    for area in plight.areas:
        for layer in area.backdrop.layers:
            parts = layer.shortened()
            pages = [(name, _page(plight, area.id, layer, left)) for name, left in parts]
            # what is left has other times: it is read by its own situations
            fresh = [(name, page, plight.anew(page)) for name, page in pages]
            enough = [(name, page) for name, page, other in fresh if not other.short]
            share = 1 - 1 / len(parts) if parts else 1.0
            for name, page in enough:
                yield Proposal("leave_out", page, f"{name}, is left out.{plight.note}", True, share)
            if not enough and fresh and area is plight.ground:
                yield from _with_less_overlay(plight, fresh, share)


def _with_less_overlay(plight: Plight, fresh: list[tuple[str, Page, Plight]], share: float) -> Iterator[Proposal]:
    """The hardest is left out, and an overlay does the rest."""
    name, page, other = max(fresh, key=lambda f: quotient(f[2].worst[0]) if f[2].worst else 0.0)
    colour, said = next(iter(tones(other).items()))
    less = least(other, lambda opacity: laid_over(other, page, colour, opacity))
    more = least(plight, lambda opacity: laid_over(plight, plight.start, colour, opacity))
    if less is None or (more is not None and more - less < 0.02):
        return
    than = "" if more is None else f" instead of {round(more * 100)} %"
    overlay = f"an overlay in {said} at {round(less * 100, 1):g} %{than} suffices"
    sentence = f"{name}, is left out, and {overlay}.{plight.note}"
    yield Proposal("leave_out", laid_over(other, page, colour, less), sentence, True, share)
