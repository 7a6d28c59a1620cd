"""Something that can be laid in."""

from dataclasses import dataclass
from typing import Any


@dataclass(frozen=True)
class Offer:
    """What it is called, how it looks (CSS declarations of a small box), and the layer it becomes, without an id."""

    name: str
    style: str
    layer: dict[str, Any]
