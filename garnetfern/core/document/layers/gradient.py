"""A gradient over the whole area."""

from typing import Literal

from pydantic import Field

from ..base import Identifier
from ..gradient import Gradient
from ._base import AS_OTHERS, LayerBase, LayerException


class GradientException(LayerException):
    """What of a gradient is otherwise on one screen; None: as everywhere."""

    gradient: Gradient | None = None


class GradientLayer(LayerBase):
    """A gradient over the whole area; on single screens it may be another one, or none."""

    kind: Literal["gradient"] = "gradient"
    gradient: Gradient
    screens: dict[Identifier, GradientException] = Field({}, max_length=12)

    def as_member(self, name: str) -> "GradientLayer":
        """As strong as those it takes turns with, and the same on every screen."""
        return self.model_copy(update={"id": name, "screens": {}, **AS_OTHERS})

    def gradients(self) -> tuple[Gradient, ...]:
        """Itself, and those of single screens."""
        return (self.gradient, *(own.gradient for own in self.screens.values() if own.gradient is not None))
