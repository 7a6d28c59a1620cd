"""How the kinds of layer are shown to people. A module here has the name of its kind:

ORDER, its place among the kinds; NAME, what a layer of it is called; TITLE, the same as something that is laid in;
`offers(site, page)`, what there is of it; `aside(layer)`, what its card says beside its name; and `ink(layer)`, a CSS
background that stands for it at full strength.
"""

import sys
from types import ModuleType
from typing import Any

from ....core.document import LAYER_KINDS, LayerBase, Page, Site
from ....core.registry import parts
from ._offer import Offer

KINDS: dict[str, ModuleType] = dict(
    sorted(parts(sys.modules[__name__], LAYER_KINDS).items(), key=lambda pair: int(pair[1].ORDER))
)
"""Every kind by its name, in order."""


def kinds() -> list[dict[str, Any]]:
    """What kinds of layer there are, what they are called, and whether each screen shows a part of them."""
    said = {kind: {"name": module.NAME, "title": module.TITLE} for kind, module in KINDS.items()}
    return [{"kind": kind, **words, "framed": LAYER_KINDS[kind].framed} for kind, words in said.items()]


def offered(site: Site, page: Page) -> dict[str, list[Offer]]:
    """What there is of every kind on a page, by kind."""
    return {kind: list(module.offers(site, page)) for kind, module in KINDS.items()}


def aside(layer: LayerBase) -> str:
    """What a layer's card says beside its name."""
    return str(KINDS[layer.kind].aside(layer)) if layer.visible else "off"


def ink(layer: LayerBase) -> str:
    """A CSS background that stands for a layer at full strength."""
    return str(KINDS[layer.kind].ink(layer))


__all__ = ["KINDS", "Offer", "aside", "ink", "kinds", "offered"]
