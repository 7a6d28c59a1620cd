"""A veil."""

from typing import Any

from ...colour.notation import parse_colour
from ...document import Site
from ..declarations import Declarations, flat, number
from ._ruling import Background, Ruling


def declarations(layer: Any, _: Site) -> Declarations:
    """A background of one colour, as wide as it is."""
    return [
        ("background-image", flat(parse_colour(layer.colour))),
        ("background-size", f"{number(layer.share * 100)}% 100%"),
        ("background-repeat", "no-repeat"),
    ]


def backgrounds(layer: Any, _: Ruling) -> list[Background]:
    """The same with its opacity."""
    image = flat(parse_colour(layer.colour).faded(layer.opacity))
    return [Background(image, size=f"{number(layer.share * 100)}% 100%", repeat="no-repeat")]
