"""A veil."""

from dataclasses import replace
from typing import Any

from ...colour.notation import parse_colour
from ..sheets import ColourSheet
from ._place import LayerPlace


def resolve(layer: Any, place: LayerPlace) -> ColourSheet:
    """A colour over the left of the area's box."""
    box = replace(place.box, width=round(place.box.width * layer.share))
    return ColourSheet(layer.id, box, parse_colour(layer.colour), opacity=layer.opacity, blend=layer.blend)
