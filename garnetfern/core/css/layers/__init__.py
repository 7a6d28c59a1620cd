"""How each kind of layer is said in CSS. A module here has the name of its kind, and two functions:

`declarations(layer, site)`, those of its own element, but for its opacity and how it blends, and
`backgrounds(layer, ruling)`, the backgrounds by which it is said in one rule, bottom first, its opacity included;
what cannot be said there it notes in `ruling.left_out`. A kind that can move otherwise than the page has a third,
`moving(layer, timeline)`: its movement over its area's way across the screen, or nothing.
"""

import sys
from collections.abc import Iterable
from types import ModuleType

from ...document import LAYER_KINDS, LayerBase, Site, ever_visible
from ...registry import parts
from ..declarations import Declarations, number
from ._ruling import Background, Ruling

EMITTERS: dict[str, ModuleType] = parts(sys.modules[__name__], LAYER_KINDS)
"""The module of every kind."""


def layer_elements(layers: Iterable[LayerBase], tag: str = "div") -> str:
    """The elements of those that are to be seen on some screen. Among words `tag` is a span."""
    return "".join(f'<{tag} class="gf-layer gf-{x.id}"></{tag}>' for x in layers if ever_visible(x))


def layer_declarations(layer: LayerBase, site: Site) -> Declarations:
    """All of a layer but its picture files."""
    found: Declarations = EMITTERS[layer.kind].declarations(layer, site)
    if layer.opacity < 1:
        found = [*found, ("opacity", number(layer.opacity))]
    if layer.blend != "normal":
        found = [*found, ("mix-blend-mode", layer.blend)]
    return found


def moving_css(layer: LayerBase, timeline: str) -> str:
    """The movement of a layer over a timeline, as CSS; nothing of one that moves with the page."""
    module = EMITTERS[layer.kind]
    return str(module.moving(layer, timeline)) if hasattr(module, "moving") else ""


def layer_backgrounds(layer: LayerBase, ruling: Ruling) -> list[Background]:
    """A layer as backgrounds of one rule, bottom first."""
    found: list[Background] = EMITTERS[layer.kind].backgrounds(layer, ruling)
    return found


__all__ = [
    "EMITTERS",
    "Background",
    "Ruling",
    "layer_backgrounds",
    "layer_declarations",
    "layer_elements",
    "moving_css",
]
