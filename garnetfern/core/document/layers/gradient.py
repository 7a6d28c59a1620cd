"""A gradient over the whole area."""

from typing import Literal

from ..gradient import Gradient
from ._base import LayerBase


class GradientLayer(LayerBase):
    """A gradient over the whole area."""

    kind: Literal["gradient"] = "gradient"
    gradient: Gradient

    def gradients(self) -> tuple[Gradient, ...]:
        """Itself."""
        return (self.gradient,)
