"""Backdrops: all that lies behind an area's words."""

from typing import Any

from pydantic import Field

from ..colour.notation import mixed, parse_colour
from .base import Colour, Fraction, Identifier, Model
from .layers import Layer


class OverChange(Model):
    """What of a layer is otherwise while the pointer is over its area; None: as at rest."""

    opacity: Fraction | None = None
    colour: Colour | None = None


class Over(Model):
    """The state of a backdrop while the pointer is over its area, or the keyboard's focus in it.

    `fade` is the time the change takes, ms. `layers` by id.
    """

    fade: int = Field(240, ge=0, le=5000)
    base: Colour | None = None
    layers: dict[Identifier, OverChange] = Field({}, max_length=24)


NOTHING = "#00000000"


def _between(start: Any, end: Any, share: float) -> Any:
    """An opacity or a colour on the way from one to another."""
    if share >= 1:
        return end
    if isinstance(end, str):
        return mixed(parse_colour(start), parse_colour(end), share).hex
    return start + (end - start) * share


class Backdrop(Model):
    """All that lies behind an area's words: a base colour and layers from bottom to top."""

    base: Colour | None = None
    layers: tuple[Layer, ...] = Field((), max_length=24)
    over: Over | None = None

    def blends(self) -> bool:
        """Whether a layer mixes in another way than by lying over."""
        return any(layer.blend != "normal" for layer in self.layers)

    def pointed_at(self, share: float = 1.0) -> "Backdrop":
        """The backdrop while the pointer is over it; with a `share` below 1, so far on the way to it.

        Colours and opacities change as CSS transitions do, which mix premultiplied sRGB.
        """
        if self.over is None:
            return self
        changed: list[Layer] = []
        for layer in self.layers:
            change = self.over.layers.get(layer.id)
            fields = type(layer).model_fields
            given = {n: v for n, v in change or () if v is not None and n in fields}
            values: dict[str, Any] = {n: _between(getattr(layer, n), v, share) for n, v in given.items()}
            changed.append(layer.model_copy(update=values) if values else layer)
        base = self.base if self.over.base is None else _between(self.base or NOTHING, self.over.base, share)
        return self.model_copy(update={"base": base, "layers": tuple(changed)})
