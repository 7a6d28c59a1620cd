"""A picture made darker (lighter for dark words), or flatter."""

from collections.abc import Iterator

from ...document import ImageLayer, Page
from ..plight import Plight
from ..remedy import Proposal, percent
from ..search import least

ORDER = 8
TITLE = "Brightness"
HELP = "filter"
DARKEST, LIGHTEST = 0.15, 2.5


def found(plight: Plight) -> Iterator[Proposal]:
    """The least change of brightness of each picture that can be filtered."""
    if plight.ground is None or not plight.may("picture"):
        return
    layers = (plight.start.area(plight.ground.id) or plight.ground).backdrop.layers
    for layer in plight.pictures:
        now = layer.filter.brightness
        end = DARKEST if plight.light else LIGHTEST
        if layer.attachment == "fixed" or not layer.visible or (now <= end if plight.light else now >= end):
            continue

        def make(share: float, layer: ImageLayer = layer, now: float = now, end: float = end) -> Page:
            changed = layer.filter.model_copy(update={"brightness": round(now + (end - now) * share, 3)})
            new = layer.model_copy(update={"filter": changed})
            return plight.with_layers(plight.start, tuple(x.with_picture(new) for x in layers))

        share = least(plight, make)
        shown = round(now + (end - now) * (1.0 if share is None else share), 3)
        said = "darker" if plight.light else "lighter"
        sentence = f"{layer.name} is made {said}: brightness {percent(shown)}.{plight.note}"
        yield Proposal("filters", make(1.0 if share is None else share), sentence, share is not None)
