"""More of an overlay that is there already."""

from collections.abc import Iterator

from ...document import Area, LayerBase, Page, with_backdrop
from ..plight import Plight
from ..remedy import Proposal, percent
from ..search import least

ORDER = 2
TITLE = "More of an overlay"


def _page(page: Page, area: Area, layer: LayerBase, opacity: float) -> Page:
    here = page.area(area.id) or area
    changed = {"opacity": round(opacity, 4), "visible": True}
    layers = tuple(x.model_copy(update=changed) if x.id == layer.id else x for x in here.backdrop.layers)
    return with_backdrop(page, area.id, here.backdrop.model_copy(update={"layers": layers}))


def found(plight: Plight) -> Iterator[Proposal]:
    """The least opacity of each layer that is no picture."""
    for area in plight.areas:
        own = area.id == plight.block.id
        if not own and not plight.may("picture"):
            continue
        for layer in area.backdrop.layers:
            low = layer.opacity if layer.visible else 0.0
            if layer.assets() or low >= 1:
                continue

            def make(opacity: float, area: Area = area, layer: LayerBase = layer) -> Page:
                return _page(plight.start, area, layer, opacity)

            opacity = least(plight, make, low)
            shown = 1.0 if opacity is None else opacity
            verb = "goes" if layer.visible else "is switched on and goes"
            sentence = f"{layer.name} {verb} from {percent(low)} to {percent(shown)}.{plight.note}"
            yield Proposal("strength", make(shown), sentence, opacity is not None)
