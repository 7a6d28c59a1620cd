"""A gradient over the whole area."""

from typing import Literal

from ..gradient import Gradient
from ._base import AS_OTHERS, LayerBase


class GradientLayer(LayerBase):
    """A gradient over the whole area."""

    kind: Literal["gradient"] = "gradient"
    gradient: Gradient

    def as_member(self, name: str) -> "GradientLayer":
        """As strong as those it takes turns with."""
        return self.model_copy(update={"id": name, **AS_OTHERS})

    def gradients(self) -> tuple[Gradient, ...]:
        """Itself."""
        return (self.gradient,)
