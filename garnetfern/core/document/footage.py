"""The part of a film that is shown, as an even row of frames that begins anew after the last."""

from dataclasses import dataclass
from fractions import Fraction
from math import floor

FASTEST = 30.0
"""More pictures in a second are not shown."""


@dataclass(frozen=True)
class Footage:
    """From a moment of the film on, s, so many frames, so many in a second."""

    start: float
    count: int
    rate: Fraction

    @property
    def period(self) -> float:
        """How long all of it lasts, s."""
        return float(self.count / self.rate)

    def frame(self, time: float) -> int:
        """The number of the frame that is there at a time, s from the beginning; it goes on after the end."""
        return floor(time * self.rate + 1e-6) % self.count

    def moment(self, frame: int) -> float:
        """When in the film the middle of a frame's time lies, s: at its beginning it might be the one before."""
        return round(self.start + float((frame + Fraction(1, 2)) / self.rate), 4)

    def moments(self) -> tuple[float, ...]:
        """All of them, s of the film."""
        return tuple(self.moment(n) for n in range(self.count))


def footage_of(start: float, end: float, rate: float) -> Footage:
    """The frames of a part of a film, from `start` up to `end`, s."""
    exact = Fraction(rate).limit_denominator(1001)
    return Footage(start, max(1, round((Fraction(end) - Fraction(start)) * exact)), exact)
