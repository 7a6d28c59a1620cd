"""Several pictures or gradients in turn."""

from collections.abc import Callable, Iterator
from contextlib import suppress
from typing import Annotated, Literal

from pydantic import Field, ValidationError, model_validator

from ..base import Identifier, Model
from ..gradient import Gradient
from ..screens import at_screen
from ..timing import Timing
from ._base import LayerBase, LayerException, Phase
from .gradient import GradientLayer
from .image import ImageLayer

Shown = Annotated[ImageLayer | GradientLayer, Field(discriminator="kind")]
MOST = 24
"""So many members a sequence has at the most."""
CHANGES = 6
"""So many changes a second can make three flashes, which are allowed (WCAG 2.2, 2.3.1)."""
NUMBERS = ("first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth", "ninth", "tenth")


def numbered(number: int) -> str:
    """The number of a member in words, counted from 0."""
    if number < len(NUMBERS):
        return NUMBERS[number]
    ending = {1: "st", 2: "nd", 3: "rd"}.get((number + 1) % 10, "th") if number >= 20 else "th"
    return f"{number + 1}{ending}"


class Member(Model):
    """A picture or a gradient of a sequence; `stay` is how long it is there alone, s (None: as long as the others)."""

    layer: Shown
    stay: float | None = Field(None, ge=0, le=600)

    @model_validator(mode="after")
    def _plain(self) -> "Member":
        layer = self.layer
        if layer.opacity != 1 or layer.blend != "normal" or not layer.visible:
            raise ValueError("A member of a sequence is as strong as the sequence and blends as it does.")
        if isinstance(layer, ImageLayer) and layer.attachment != "scroll":
            raise ValueError("The pictures of a sequence move with the page.")
        if any(e.visible is not None for e in getattr(layer, "screens", {}).values()):
            raise ValueError("A member of a sequence is there on every screen; leave it out, or hide the sequence.")
        return self


class SequenceLayer(LayerBase):
    """Pictures or gradients in turn: each stays, then changes into the next, and the last into the first.

    A `change` of no time is a cut. It begins with the first, or with `another` at each visit. Between two members
    the linear mix of both is there, premultiplied, so that nothing shows through that does not show through both.
    """

    kind: Literal["sequence"] = "sequence"
    members: tuple[Member, ...] = Field(min_length=1, max_length=MOST)
    stay: float = Field(6, ge=0, le=600, description="how long each member is there alone, s")
    change: float = Field(1.5, ge=0, le=60, description="how long a change takes, s; 0: a cut")
    begins: Literal["first", "another"] = "first"
    choosable: bool = Field(False, description="whether visitors can choose a member themselves")
    screens: dict[Identifier, LayerException] = Field({}, max_length=12)

    @model_validator(mode="after")
    def _does_not_flash(self) -> "SequenceLayer":
        stays = [self.stay if m.stay is None else m.stay for m in self.members]
        if sum(stays) + self.change <= 0:
            raise ValueError("A sequence whose members stay no time and change in none shows nothing.")
        if len(stays) > 1:
            around = (stays * (CHANGES + 1))[: len(stays) + CHANGES]
            least = min(sum(around[n : n + CHANGES]) for n in range(len(stays))) + (CHANGES - 1) * self.change
            if least < 1:
                raise ValueError(
                    f"More than {CHANGES} changes in a second can flash, which brings on seizures (WCAG 2.2, 2.3.1); "
                    "let the members stay longer."
                )
        return self

    @property
    def timing(self) -> Timing:
        """When which member is there."""
        return Timing(tuple(self.stay if m.stay is None else m.stay for m in self.members), self.change)

    def _layers(self) -> Iterator[ImageLayer | GradientLayer]:
        return (member.layer for member in self.members)

    def _with(self, change: Callable[[LayerBase], LayerBase]) -> "SequenceLayer":
        members = tuple(m.model_copy(update={"layer": change(m.layer)}) for m in self.members)
        same = all(new.layer is old.layer for new, old in zip(members, self.members, strict=True))
        return self if same else self.model_copy(update={"members": members})

    def pictures(self) -> tuple[ImageLayer, ...]:
        """Those of its members, in turn; they are seen where it is."""
        own = {"visible": self.visible}
        found = (picture for layer in self._layers() for picture in layer.pictures())
        return tuple(found if self.visible else (p.model_copy(update=own) for p in found))

    def first_pictures(self) -> tuple[ImageLayer, ...]:
        """The first member's, where it begins with that."""
        return self.members[0].layer.pictures() if self.begins == "first" and self.visible else ()

    def assets(self) -> tuple[str, ...]:
        """The ids of the pictures it shows."""
        return tuple(name for layer in self._layers() for name in layer.assets())

    def with_asset(self, old: str, new: str, title: str) -> "SequenceLayer":
        """Another picture in all members that show the old one."""
        return self._with(lambda layer: layer.with_asset(old, new, title))

    def with_picture(self, picture: ImageLayer) -> "SequenceLayer":
        """One of its pictures in another state."""
        return self._with(lambda layer: layer.with_picture(picture))

    def ids(self) -> tuple[str, ...]:
        """Its own and its members'."""
        return (self.id, *(layer.id for layer in self._layers()))

    def with_ids(self, free: Callable[[str], str]) -> "SequenceLayer":
        """Other ids for itself and its members."""
        return self._with(lambda layer: layer.with_ids(free)).model_copy(update={"id": free(self.id)})

    def gradients(self) -> tuple[Gradient, ...]:
        """Those of its members."""
        return tuple(g for layer in self._layers() for g in layer.gradients())

    def on_screen(self, screen: str) -> "SequenceLayer":
        """It, and every member, as they are on a screen."""
        return at_screen(self, screen)._with(lambda layer: layer.on_screen(screen))

    def period(self) -> float | None:
        """All stays and changes; one member alone does not move."""
        return self.timing.period if len(self.members) > 1 else None

    def phases(self) -> tuple[Phase, ...]:
        """Each member at rest, and after it the change into the next, where that takes time."""
        found = []
        for n, layer in enumerate(self._layers() if len(self.members) > 1 else ()):
            what = "picture" if layer.pictures() else "gradient"
            rest = self.timing.rest(n)
            found.append(Phase(f"{self.id}-{n + 1}", f"{numbered(n)} {what}", rest, rest))
            if self.change > 0:
                names = f"{numbered(n)} and the {numbered((n + 1) % len(self.members))}"
                start = self.timing.within(n, 0)
                found.append(Phase(f"{self.id}-{n + 1}-on", f"between the {names}", start, start + self.change))
        return tuple(found)

    def phase_of(self, part: str) -> float | None:
        """The middle of a member's stay."""
        return next((self.timing.rest(n) for n, layer in enumerate(self._layers()) if layer.id == part), None)

    def turns(self) -> tuple[LayerBase, ...]:
        """Its members."""
        return tuple(self._layers())

    def with_turns(self, more: tuple[LayerBase, ...]) -> "SequenceLayer":
        """More members, at the end."""
        members = [*self.model_dump()["members"], *({"layer": layer.model_dump()} for layer in more)]
        return SequenceLayer.model_validate({**self.model_dump(), "members": members})

    def shortened(self) -> tuple[tuple[str, LayerBase, float], ...]:
        """Every member without which the others can take turns as they do: they must not flash then."""
        found = []
        for n, member in enumerate(self.members if len(self.members) > 1 else ()):
            with suppress(ValidationError):
                members = [m.model_dump() for m in (*self.members[:n], *self.members[n + 1 :])]
                left = SequenceLayer.model_validate({**self.model_dump(), "members": members})
                share = 1 - 1 / len(self.members)
                found.append((f"{member.layer.name}, the {numbered(n)} of {self.name}", left, share))
        return tuple(found)

    def picks(self) -> tuple[tuple[str, str], ...]:
        """Its members, where that is wished."""
        there = self.choosable and self.visible and len(self.members) > 1
        return tuple((layer.id, layer.name) for layer in self._layers()) if there else ()

    def bare(self) -> "SequenceLayer":
        """In a picture's turn nothing is there."""
        nothing = Gradient.model_validate({"stops": [{"colour": "#00000000"}, {"colour": "#00000000"}]})

        def emptied(layer: LayerBase) -> LayerBase:
            gone = GradientLayer(id=layer.id, name=layer.name, gradient=nothing)
            return gone if layer.pictures() else layer

        return self._with(emptied)

    def stilled(self) -> "SequenceLayer":
        """The first member alone."""
        return self.model_copy(update={"members": self.members[:1], "begins": "first"})

    def depends_on(self) -> frozenset[str]:
        """Its time, and what its members depend on."""
        own = {"time", "phases", "less_motion"} if len(self.members) > 1 else set[str]()
        return frozenset(own.union(*(layer.depends_on() for layer in self._layers())))
