"""Veils."""

from collections.abc import Iterator
from typing import Any

from ....core.document import Site
from ._offer import Offer, Place

ORDER, NAME, TITLE = 20, "veil", "A veil"


def offers(_: Site, __: Place) -> Iterator[Offer]:
    """A dark one."""
    yield Offer("Veil", "background: #0b1a14", {"kind": "veil", "name": "Veil", "colour": "#0b1a14", "share": 0.6})


def aside(layer: Any) -> str:
    """How much it covers."""
    return f"{round(layer.share * 100)} % wide"


def ink(layer: Any) -> str:
    """Its colour."""
    return str(layer.colour)
