"""Something of what moves is left out: one of several that take turns, or a stretch of a film, over which the words
cannot be read."""

from collections.abc import Iterator

from ...document import LayerBase, Page, with_backdrop
from ..plight import Plight
from ..remedy import Proposal
from ..search import least
from ..trial import quotient
from .overlay import laid_over, tones

ORDER = 12
TITLE = "Without a part of what moves"


def _first(name: str) -> str:
    """A name at the beginning of a sentence."""
    return name[:1].upper() + name[1:]


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
            pages = [(name, _page(plight, area.id, layer, left), share) for name, left, share in parts]
            # what is left has other times: it is read by its own situations
            fresh = [(name, page, plight.anew(page), share) for name, page, share in pages]
            enough = [(name, page, share) for name, page, other, share in fresh if not other.short]
            for name, page, share in enough:
                yield Proposal(
                    "leave_out", page, f"{name[:1].upper()}{name[1:]}, is left out.{plight.note}", True, share
                )
            if not enough and fresh and area is plight.ground:
                yield from _with_less_overlay(plight, fresh)


def _with_less_overlay(plight: Plight, fresh: list[tuple[str, Page, Plight, float]]) -> Iterator[Proposal]:
    """The hardest is left out, and an overlay does the rest."""
    name, page, other, share = max(fresh, key=lambda f: quotient(f[2].worst[0]) if f[2].worst else 0.0)
    colour, said = next(iter(tones(other).items()))
    less = least(other, lambda opacity: laid_over(other, page, colour, opacity))
    more = least(plight, lambda opacity: laid_over(plight, plight.start, colour, opacity))
    if less is None or (more is not None and more - less < 0.02):
        return
    than = "" if more is None else f" instead of {round(more * 100)} %"
    overlay = f"an overlay in {said} at {round(less * 100, 1):g} %{than} suffices"
    sentence = f"{_first(name)}, is left out, and {overlay}.{plight.note}"
    yield Proposal("leave_out", laid_over(other, page, colour, less), sentence, True, share)
