"""How each kind of layer is said in CSS. A module here has the name of its kind, and two functions:

`declarations(layer, site)`, those of its own element, but for its opacity and how it blends, and
`backgrounds(layer, ruling)`, the backgrounds by which it is said in one rule, bottom first, its opacity included;
what cannot be said there it notes in `ruling.left_out`. Where a module has them, `moving(layer, timeline)` is its
movement, over its area's way across the screen or over time, or nothing; `plays(layer, emission)` whether what it
needs for that is there; and of a layer that is made of others,
`inner(layer, emission, tag)` is their elements, `parts(layer, site)` their declarations by id, and
`file_property(layer, picture)` the property that a picture of it is given by.
"""

import sys
from collections.abc import Iterable
from types import ModuleType

from ...document import LAYER_KINDS, ImageLayer, LayerBase, Site, ever_visible
from ...registry import parts
from ..declarations import Declarations, number
from ..pictures import Emission
from ._element import element
from ._ruling import Background, Ruling

EMITTERS: dict[str, ModuleType] = parts(sys.modules[__name__], LAYER_KINDS)
"""The module of every kind."""


def layer_elements(layers: Iterable[LayerBase], emission: Emission, tag: str = "div") -> str:
    """The elements of those that are to be seen on some screen. Among words `tag` is a span."""
    return "".join(element(x.id, tag, _inner(x, emission, tag)) for x in layers if ever_visible(x))


def _inner(layer: LayerBase, emission: Emission, tag: str) -> str:
    module = EMITTERS[layer.kind]
    return str(module.inner(layer, emission, tag)) if hasattr(module, "inner") else ""


def part_declarations(layer: LayerBase, site: Site) -> dict[str, Declarations]:
    """The declarations of what a layer is made of, by id; nothing of one that is made of itself."""
    module = EMITTERS[layer.kind]
    return dict(module.parts(layer, site)) if hasattr(module, "parts") else {}


def file_property(layer: LayerBase, picture: ImageLayer) -> str:
    """The property that says which file a picture of a layer shows."""
    module = EMITTERS[layer.kind]
    return str(module.file_property(layer, picture)) if hasattr(module, "file_property") else "background-image"


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


def plays(layer: LayerBase, emission: Emission) -> bool:
    """Whether a layer that would move by itself does, with the files that there are."""
    module = EMITTERS[layer.kind]
    return bool(module.plays(layer, emission)) if hasattr(module, "plays") else True


def layer_backgrounds(layer: LayerBase, ruling: Ruling) -> list[Background]:
    """A layer as backgrounds of one rule, bottom first, as it is where no screen says otherwise."""
    if getattr(layer, "screens", {}) and ever_visible(layer):
        ruling.cannot(layer, "what differs on single screens is left out; HTML + CSS says it.")
    found: list[Background] = EMITTERS[layer.kind].backgrounds(layer, ruling) if layer.visible else []
    return found


__all__ = [
    "EMITTERS",
    "Background",
    "Ruling",
    "file_property",
    "layer_backgrounds",
    "layer_declarations",
    "layer_elements",
    "moving_css",
    "part_declarations",
    "plays",
]
