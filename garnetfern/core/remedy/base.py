"""The base colour that words can be read on while the picture is missing; where there is no picture, at all times."""

from ..colour.contrast import is_light
from ..colour.mix import towards
from ..document import Page, with_backdrop
from .plight import Plight
from .search import least


def with_base(plight: Plight, page: Page, colour: str) -> Page:
    """A page whose pictured area has another base."""
    if plight.ground is None:
        return page
    area = page.area(plight.ground.id) or plight.ground
    return with_backdrop(page, area.id, area.backdrop.model_copy(update={"base": colour}))


def mended_base(plight: Plight, page: Page, fill: str) -> tuple[Page, str] | None:
    """A page whose words have the colour `fill`, with a base that suffices, and that colour: the picture's main colour
    (or the present base), as much darker or lighter as it must be. None where nothing needs it, or no base helps.
    """
    pictured = bool(plight.pictures)
    among = [s for s in plight.order if s.moment.missing] if pictured else list(plight.order)
    present = plight.trial(page)
    if plight.ground is None or all(present.meets(s) for s in among):
        return None
    now = plight.ground.backdrop.base or "#ffffff"
    first = plight.own_colours[0] if plight.own_colours else now[:7]
    end = "#000000" if is_light(fill) else "#ffffff"

    def make(share: float) -> Page:
        return with_base(plight, page, towards(first, end, share))

    share = least(plight, make, among=among)
    if share is None:
        return None
    return make(share), towards(first, end, share)


def said(colour: str) -> str:
    """What becomes of the base, as a sentence that follows another."""
    return f" The base, seen while the picture is missing, becomes {colour}."


def begin(plight: Plight) -> None:
    """Let remedies begin with a base on which the words can be read, where the present one fails them and other words
    do not need it."""
    found = mended_base(plight, plight.page, plight.fill) if plight.pictures else None
    if found is not None and plight.spares(plight.trial(found[0])):
        plight.start, plight.note = found[0], said(found[1])
