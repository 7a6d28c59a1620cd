"""A blur of the picture, where it is its busyness that costs the words."""

from collections.abc import Iterator

from ...document import ImageLayer, Page
from ..plight import Plight
from ..remedy import Proposal
from ..search import APPROXIMATE, least

ORDER = 10
TITLE = "Blur"
HELP = "blur"
MOST = 40.0


def found(plight: Plight) -> Iterator[Proposal]:
    """Of each picture that moves with the page."""
    if plight.ground is None or not plight.may("picture"):
        return
    layers = (plight.start.area(plight.ground.id) or plight.ground).backdrop.layers
    for layer in plight.pictures:
        if layer.attachment != "scroll" or not layer.visible:
            continue

        def make(blur: float, layer: ImageLayer = layer) -> Page:
            softer = layer.filter.model_copy(update={"blur": round(blur, 1)})
            new = layer.model_copy(update={"filter": softer})
            return plight.with_layers(plight.start, tuple(x.with_picture(new) for x in layers))

        # blurred as far as it goes the ground is as light as the mean of the picture there: look at that first
        if not plight.trial(make(MOST)).meets(plight.order[0]):
            yield Proposal("blur", make(MOST), f"{layer.name} is blurred by {MOST:g} px.{plight.note}", sure=False)
            continue
        blur = least(plight, make, layer.filter.blur, MOST, step=0.5, spare=APPROXIMATE)
        shown = MOST if blur is None else blur
        yield Proposal("blur", make(shown), f"{layer.name} is blurred by {shown:g} px.{plight.note}", blur is not None)
