"""How each kind of layer is resolved. A module here has the name of its kind and a function `resolve`."""

import sys
from collections.abc import Callable

from ...document import LAYER_KINDS, LayerBase
from ...registry import parts
from ..sheets import Sheet
from ._place import LayerPlace

Resolve = Callable[[LayerBase, LayerPlace], Sheet]
RESOLVERS: dict[str, Resolve] = {
    name: module.resolve for name, module in parts(sys.modules[__name__], LAYER_KINDS).items()
}
"""The resolver of every kind."""


def resolve_layer(layer: LayerBase, place: LayerPlace) -> Sheet:
    """The sheet of a visible layer."""
    return RESOLVERS[layer.kind](layer, place)


__all__ = ["RESOLVERS", "LayerPlace", "resolve_layer"]
