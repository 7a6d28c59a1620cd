"""Something that can be laid in."""

from dataclasses import dataclass
from typing import Any

from ....core.document import Page
from ....core.document.model import Area


@dataclass(frozen=True)
class Offer:
    """What it is called, how it looks (CSS declarations of a small box), and the layer it becomes, without an id."""

    name: str
    style: str
    layer: dict[str, Any]


@dataclass(frozen=True)
class Place:
    """Where something is to be laid in: a page and, where one is chosen, an area of it."""

    page: Page
    area: Area | None = None

    @property
    def ground(self) -> str | None:
        """The colour that all of the area has as far as it is known without looking: its base, no picture on it."""
        backdrop = self.area.backdrop if self.area else None
        if backdrop is None or any(layer.assets() for layer in backdrop.layers):
            return None
        return backdrop.base
