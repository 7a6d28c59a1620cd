"""Members in turn: one of them, or two with their shares."""

from collections.abc import Callable
from typing import Any

from ...document import SequenceLayer
from ..sheets import MixedSheet, Sheet
from . import gradient, image
from ._place import LayerPlace

MEMBERS: dict[str, Callable[[Any, LayerPlace], Sheet]] = {"gradient": gradient.resolve, "image": image.resolve}


def resolve(layer: SequenceLayer, place: LayerPlace) -> MixedSheet:
    """Those that are there at the layer's own time."""
    found = []
    for number, share in layer.timing.at(place.time(layer.id)):
        member = layer.members[number].layer
        found.append((MEMBERS[member.kind](member, place), share))
    return MixedSheet(layer.id, place.box, tuple(found), opacity=layer.opacity, blend=layer.blend)
