"""Screens: the named viewports of a site, and settings that differ on one of them."""

from collections.abc import Iterator, Mapping, Sequence
from typing import Any, TypeVar

from pydantic import Field, model_validator

from ..errors import Problem
from .base import Identifier, Model, Name

WIDEST_VIEWPORT = 10_000


class Screen(Model):
    """A named viewport in CSS px, standing for the viewport widths `least` to `most`."""

    id: Identifier
    name: Name
    width: int = Field(ge=240, le=3840)
    height: int = Field(ge=240, le=3840)
    least: int = Field(ge=0, description="the narrowest viewport it stands for, CSS px")
    most: int = Field(le=WIDEST_VIEWPORT, description="the widest viewport it stands for, CSS px")

    @model_validator(mode="after")
    def _in_its_range(self) -> "Screen":
        if not self.least <= self.width <= self.most:
            raise ValueError(f"A screen's width lies in its range; {self.width} is not in {self.least} to {self.most}.")
        return self


Varying = TypeVar("Varying", bound=Model)
Except = TypeVar("Except", bound=Model)


def ever_visible(item: Any) -> bool:
    """Whether a layer, band or block is to be seen on any screen."""
    exceptions = getattr(item, "screens", {}).values()
    return bool(item.visible or any(e.visible for e in exceptions))


def at_screen(item: Varying, screen: str | None) -> Varying:
    """A part of the document as it is on a screen: its exceptions for that screen laid over its settings."""
    exceptions: dict[str, Model] = getattr(item, "screens", {})
    other = exceptions.get(screen) if screen else None
    if other is None:
        return item
    changed: dict[str, Any] = {name: value for name, value in other if value is not None}
    if "focal" in changed and "position" not in changed:
        changed["position"] = None
    return item.model_copy(update=changed)


def without(screens: Mapping[str, Except], *fields: str) -> dict[str, Except]:
    """Exceptions by screen without some of their fields; those that say nothing any more are gone."""
    freed = {name: own.model_copy(update=dict.fromkeys(fields)) for name, own in screens.items()}
    return {name: own for name, own in freed.items() if any(value is not None for _, value in own)}


def screen_for(screens: Sequence[Screen], width: float) -> Screen:
    """The screen that stands for a viewport of this width: the last one whose range begins at or below it."""
    ordered = sorted(screens, key=lambda s: s.least)
    return next((s for s in reversed(ordered) if s.least <= width), ordered[0])


def range_problems(screens: Sequence[Screen]) -> Iterator[Problem]:
    """The ranges of the screens must hold every width once."""
    ordered = sorted(enumerate(screens), key=lambda pair: pair[1].least)
    wanted = 0
    for n, screen in ordered:
        if screen.least != wanted:
            message = (
                f"The range of {screen.name} begins at {screen.least} px, but the one below it ends at {wanted - 1}."
            )
            yield Problem("screens", message, f"$.screens[{n}].least")
        wanted = screen.most + 1
    if ordered and ordered[-1][1].most != WIDEST_VIEWPORT:
        n, screen = ordered[-1]
        message = f"The widest screen's range ends at {WIDEST_VIEWPORT}; {screen.name} ends at {screen.most}."
        yield Problem("screens", message, f"$.screens[{n}].most")
