"""Gradients (CSS Images 4, section 3)."""

from typing import Literal

from pydantic import Field, model_validator

from .base import Colour, Model
from .length import LengthText, parse_length

Extent = Literal["closest-side", "closest-corner", "farthest-side", "farthest-corner"]
Place = tuple[LengthText, LengthText]


class Stop(Model):
    """A colour and where it stands; without a place it stands evenly between its neighbours."""

    colour: Colour
    at: LengthText | None = None


class Gradient(Model):
    """A gradient. Two stops at one place make a hard edge.

    `angle` in degrees, clockwise: where a linear one runs to (0 is upwards, 90 to the right), where a conic one begins.
    `centre` is of radial and conic ones; `round` makes a radial one a circle, `extent` says how far it reaches.
    """

    shape: Literal["linear", "radial", "conic"] = "linear"
    angle: float = Field(180, ge=-3600, le=3600)
    centre: Place = ("50%", "50%")
    round: bool = False
    extent: Extent = "farthest-corner"
    repeating: bool = False
    space: Literal["srgb", "oklab"] = "srgb"
    stops: tuple[Stop, ...] = Field(min_length=2, max_length=32)

    @model_validator(mode="after")
    def _conic_in_percent(self) -> "Gradient":
        for stop in self.stops if self.shape == "conic" else ():
            length = parse_length(stop.at) if stop.at is not None else None
            terms = length.wanted if length else ()
            if length and (length.least or length.most or any(t.unit != "%" and t.value for t in terms)):
                raise ValueError(f"The stops of a conic gradient stand in % of the turn. Received: {stop.at!r}.")
        return self
