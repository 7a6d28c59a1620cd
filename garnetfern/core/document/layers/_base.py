"""What every layer has, and the sixteen ways of blending."""

from collections.abc import Callable, Iterator, Mapping
from typing import TYPE_CHECKING, Any, ClassVar, Literal, NamedTuple, Self

from ..base import Fraction, Identifier, Model, Name
from ..screens import at_screen

if TYPE_CHECKING:
    from ..assets import Asset
    from ..gradient import Gradient
    from .image import ImageLayer
    from .video import VideoLayer

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


AS_OTHERS: dict[str, Any] = {"opacity": 1.0, "blend": "normal", "visible": True}
"""What those that take turns have in common."""


class Phase(NamedTuple):
    """A stretch of a moving layer's own time with a name for people: s from the beginning of its period.

    It looks alike all through where it begins and ends at one time; otherwise it changes on the way.
    """

    id: str
    name: str
    start: float
    end: float

    @property
    def middle(self) -> float:
        """The time half-way through, s."""
        return (self.start + self.end) / 2


class LayerException(Model):
    """What of a layer is otherwise on one screen; None: as everywhere."""

    visible: bool | None = None


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

    def films(self) -> "tuple[VideoLayer, ...]":
        """The films that it is made of."""
        return ()

    def assets(self) -> tuple[str, ...]:
        """The ids of the pictures it shows."""
        return ()

    def with_asset(self, old: str, new: str, title: str) -> "LayerBase":  # noqa: ARG002
        """The layer with one picture in another's place; itself where it does not show the old one."""
        return self

    def problems(self, assets: "Mapping[str, Asset]") -> Iterator[str]:  # noqa: ARG002
        """What is wrong with it beside the site's assets, by their ids; those that it names are there."""
        return iter(())

    def ids(self) -> tuple[str, ...]:
        """The ids of all that it is made of, its own first."""
        return (self.id,)

    def with_ids(self, free: Callable[[str], str]) -> Self:
        """The layer with other ids, each made of the one before."""
        return self.model_copy(update={"id": free(self.id)})

    def with_picture(self, picture: "ImageLayer") -> "LayerBase":
        """The layer with one of its pictures in another state, found by its id."""
        return picture if picture.id == self.id else self

    def first_pictures(self) -> tuple["ImageLayer", ...]:
        """Those of its pictures that are sure to be there when a page is shown."""
        return self.pictures()

    def gradients(self) -> tuple["Gradient", ...]:
        """The gradients that it is made of."""
        return ()

    def on_screen(self, screen: str) -> Self:
        """The layer as it is on a screen."""
        return at_screen(self, screen)

    def period(self) -> float | None:
        """After how long a layer that moves by itself begins anew, s; None: it does not move."""
        return None

    def phases(self) -> tuple[Phase, ...]:
        """What its movement goes through, in the order of time."""
        return ()

    def phase_of(self, part: str) -> float | None:  # noqa: ARG002
        """A time at which a part of it, by its id, is there alone, s; None where it is there always."""
        return None

    def turns(self) -> tuple["LayerBase", ...]:
        """The layers that take turns in it."""
        return ()

    def with_turns(self, more: "tuple[LayerBase, ...]") -> "LayerBase":
        """The layer with more that take turns in it. Raises ValueError where none can."""
        raise ValueError(f"{self.name} holds nothing that takes turns; {len(more)} cannot be added.")

    def as_member(self, name: str) -> "LayerBase | None":  # noqa: ARG002
        """The layer as one of several that take turns, with an id of its own; None where it cannot be one."""
        return None

    def shortened(self) -> tuple[tuple[str, "LayerBase", float], ...]:
        """What can be left out of it, by name, each with the layer that is left then, and the share of it that is."""
        return ()

    def picks(self) -> tuple[tuple[str, str], ...]:
        """What visitors may choose of it to be shown, by id and name; nothing where they cannot."""
        return ()

    def bare(self) -> "LayerBase":
        """The layer while none of its pictures has come."""
        return self

    def stilled(self) -> Self:
        """The layer as it is for visitors who ask that nothing move."""
        return self

    def depends_on(self) -> frozenset[str]:
        """The members of a moment that what it looks like depends on, beside the viewport."""
        return frozenset()
