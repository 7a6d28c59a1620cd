"""What every layer has, and the sixteen ways of blending."""

from typing import TYPE_CHECKING, ClassVar, Literal

from ..base import Fraction, Identifier, Model, Name

if TYPE_CHECKING:
    from .image import ImageLayer

BlendMode = Literal[
    "normal",
    "multiply",
    "screen",
    "overlay",
    "darken",
    "lighten",
    "color-dodge",
    "color-burn",
    "hard-light",
    "soft-light",
    "difference",
    "exclusion",
    "hue",
    "saturation",
    "color",
    "luminosity",
]


class LayerBase(Model):
    """One sheet of a backdrop. `blend` is how it mixes with what lies below it in its own area."""

    framed: ClassVar[bool] = False
    """Whether it is a picture, of which each screen shows a part."""

    id: Identifier
    name: Name
    visible: bool = True
    opacity: Fraction = 1.0
    blend: BlendMode = "normal"

    if TYPE_CHECKING:

        @property
        def kind(self) -> str:
            """The name of its kind, a field of each model of its own."""

    def pictures(self) -> tuple["ImageLayer", ...]:
        """The pictures that it is made of, lowest first, each placed by itself."""
        return ()

    def assets(self) -> tuple[str, ...]:
        """The ids of the pictures it shows."""
        return ()

    def with_asset(self, old: str, new: str, title: str) -> "LayerBase":  # noqa: ARG002
        """The layer with one picture in another's place; itself where it does not show the old one."""
        return self

    def depends_on(self) -> frozenset[str]:
        """The members of a moment that what it looks like depends on, beside the viewport."""
        return frozenset()
