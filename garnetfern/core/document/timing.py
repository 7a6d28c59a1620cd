"""The time of a layer with several members that follow one another: which of them are there at a moment, and how much.

Each member stays for a while, then changes into the next one over the same time for all; the last changes into the
first. In a change both are there, in shares whose sum is 1. A change that takes no time is a cut: at its moment the
later member is there.
"""

from bisect import bisect_right
from dataclasses import dataclass
from functools import cached_property
from itertools import accumulate

Shares = tuple[tuple[int, float], ...]
"""Members by their number, each with its share 0..1; one, or two of which the earlier stands first."""


@dataclass(frozen=True)
class Timing:
    """How long each member stays, and how long a change takes, s. There is at least one member."""

    stays: tuple[float, ...]
    change: float = 0.0

    def __post_init__(self) -> None:
        """Raises ValueError where there is no time in it."""
        if not self.stays or min(self.stays) < 0 or self.change < 0:
            raise ValueError(f"Stays and changes last no time or some; {self.stays} and {self.change} were given.")
        if self.period <= 0:
            raise ValueError("Members that stay no time and change in none have no period.")

    @cached_property
    def period(self) -> float:
        """After how long everything begins anew, s. One member alone changes into nothing."""
        return sum(self.stays) + (self.change * len(self.stays) if len(self.stays) > 1 else 0.0)

    @cached_property
    def starts(self) -> tuple[float, ...]:
        """When each member begins to stay, s from the beginning of a period."""
        return tuple(accumulate((stay + self.change for stay in self.stays[:-1]), initial=0.0))

    def at(self, time: float) -> Shares:
        """The members that are there at a time, s; times before 0 count as well."""
        if len(self.stays) == 1:
            return ((0, 1.0),)
        time %= self.period
        number = bisect_right(self.starts, time) - 1
        past = time - self.starts[number] - self.stays[number]
        if past < 0 or (past == 0 and self.change > 0):
            return ((number, 1.0),)
        following = (number + 1) % len(self.stays)
        if self.change == 0 or past >= self.change:
            return ((following, 1.0),)
        share = past / self.change
        return ((number, 1 - share), (following, share)) if share > 0 else ((number, 1.0),)

    def rest(self, number: int) -> float:
        """A time at which a member is there alone: the middle of its stay, s."""
        return self.starts[number] + self.stays[number] / 2

    def within(self, number: int, share: float) -> float:
        """The time in the change from a member to the next one at which the next has this share, s."""
        return self.starts[number] + self.stays[number] + share * self.change

    def points(self, number: int) -> tuple[tuple[float, float], ...]:
        """A member's share over a period, as places 0..1 of it with the share there; straight in between.

        For a cut there are two points at one place, the earlier of which holds up to it.
        """
        if len(self.stays) == 1:
            return ((0.0, 1.0), (1.0, 1.0))
        begin, end = self.starts[number], self.starts[number] + self.stays[number]
        wholes = [(begin, 1.0), (end, 1.0)]
        if number == 0:
            found = [*wholes, (end + self.change, 0.0), (self.period - self.change, 0.0), (self.period, 1.0)]
        else:
            last = end + self.change
            found = [(0.0, 0.0), (begin - self.change, 0.0), *wholes, (last, 0.0)]
            if last < self.period:
                found.append((self.period, 0.0))
        return tuple((min(1.0, time / self.period), share) for time, share in found)
