"""How the kinds of layer are shown to people. A module here has the name of its kind:

ORDER, its place among the kinds; NAME, what a layer of it is called; TITLE, the same as something that is laid in;
`offers(site, place)`, what there is of it; `aside(layer)`, what its card says beside its name; and `ink(layer)`, a CSS
background that stands for it at full strength. Of those that show something of the shelf, `takes(asset)`, whether it
is laid as one of them at first, and `laid(asset, name)`, the layer.
"""

import sys
from types import ModuleType
from typing import Annotated

from pydantic import Field
from typing_extensions import TypedDict

from ....core.document import LAYER_KINDS, Asset, LayerBase, Site
from ....core.registry import parts
from ._offer import Offer, Place


class KindOfLayer(TypedDict):
    """A kind of layer: what a layer of it is called, and the same as something that is laid in."""

    kind: str
    name: str
    title: str
    framed: Annotated[bool, Field(description="whether it is a picture, of which each screen shows a part")]


class OffersView(KindOfLayer):
    """What there is of a kind on a page."""

    offers: list[Offer]


KINDS: dict[str, ModuleType] = dict(
    sorted(parts(sys.modules[__name__], LAYER_KINDS).items(), key=lambda pair: int(pair[1].ORDER))
)
"""Every kind by its name, in order."""


def kinds() -> list[KindOfLayer]:
    """What kinds of layer there are, what they are called, and whether each screen shows a part of them."""
    return [_said(kind, module) for kind, module in KINDS.items()]


def _said(kind: str, module: ModuleType) -> KindOfLayer:
    return {"kind": kind, "name": module.NAME, "title": module.TITLE, "framed": LAYER_KINDS[kind].framed}


def offered(site: Site, place: Place) -> list[OffersView]:
    """What there is of every kind for a place."""
    return [{**_said(kind, module), "offers": list(module.offers(site, place))} for kind, module in KINDS.items()]


def laid(asset: Asset, name: str) -> LayerBase:
    """The layer that shows something of the shelf, under an id: of the last kind that takes it."""
    takers = [module for module in KINDS.values() if hasattr(module, "takes") and module.takes(asset)]
    found: LayerBase = takers[-1].laid(asset, name)
    return found


def aside(layer: LayerBase) -> str:
    """What a layer's card says beside its name."""
    return str(KINDS[layer.kind].aside(layer)) if layer.visible else "off"


def ink(layer: LayerBase) -> str:
    """A CSS background that stands for a layer at full strength."""
    return str(KINDS[layer.kind].ink(layer))


__all__ = ["KINDS", "Offer", "Place", "aside", "ink", "kinds", "laid", "offered"]
