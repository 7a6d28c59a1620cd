"""The least of a change that suffices, by narrowing down over every situation."""

import math
from collections.abc import Callable, Sequence
from typing import Protocol, TypeVar

from ..document import Page

FINE = 0.002
ROUNDED = 1.0125
"""To spare everywhere: browsers round to whole levels layer by layer, and letters are a little other at their rims."""
APPROXIMATE = 1.025
"""To spare where browsers blur and blend by approximation: what they paint differs by so much at the most."""
Make = Callable[[float], Page]
Case = TypeVar("Case")
Asked = TypeVar("Asked", contravariant=True)


class Shares(Protocol[Asked]):
    """A change that is tried: how far each case is from what is required then."""

    def share(self, case: Asked, /) -> float:
        """1 where it is just met."""


class Searched(Protocol[Case]):
    """What a change is sought for: its cases, the worst first, and the page that is changed."""

    @property
    def order(self) -> Sequence[Case]:
        """All cases."""

    @property
    def start(self) -> Page:
        """The page that is changed."""

    def trial(self, page: Page, /) -> Shares[Case]:
        """A change to be tried."""


def narrowed(far: Callable[[float], float], low: float, high: float, fine: float = FINE) -> float:
    """The least value that meets between `low`, which does not, and `high`, which does, to within `fine`.

    `far` tells how far a value is from meeting: at 1 and above it does. Halved, and guessed between the ends where that
    is nearer: `far` is mostly smooth, so that a few looks suffice.
    """
    below, above = math.log(max(1e-6, far(low))), math.log(far(high))
    halve = False
    while high - low > fine:
        share = below / (below - above) if below < 0 < above else 0.5
        guess = low + (high - low) * share
        # a little beyond the guess on the side that is further off, so that the end there closes in on it
        guess += fine / 3 if high - guess > guess - low else -fine / 3
        if halve or not low + fine / 3 < guess < high - fine / 3:
            guess = (low + high) / 2
        width = high - low
        there = math.log(max(1e-6, far(guess)))
        if there >= 0:
            high, above = guess, there
        else:
            low, below = guess, there
        halve = high - low > width / 2
    return high


def _somewhere(far: Callable[[float], float], low: float, high: float) -> float | None:
    """A value above `low` that meets: `high` as a rule, since most changes help the more the stronger they are. Where
    it goes too far, the quarters of the way, and what lies round the best of all."""
    seen: dict[float, float] = {}

    def first(shares: Sequence[float]) -> float | None:
        for share in shares:
            seen[share] = far(low + (high - low) * share)
            if seen[share] >= 1:
                return low + (high - low) * share
        return None

    found = first((1.0, 0.25, 0.5, 0.75))
    if found is not None:
        return found
    best = max(seen, key=lambda share: seen[share])
    return first([share for share in (best - 0.125, best + 0.125) if share < 1])


def rounded_up(value: float, step: float) -> float:
    """The next multiple of a step that is not below a value."""
    return round(math.ceil(value / step - 1e-6) * step, 6)


def least(
    plight: Searched[Case],
    make: Make,
    low: float = 0.0,
    high: float = 1.0,
    step: float = 0.001,
    among: Sequence[Case] | None = None,
    spare: float = ROUNDED,
) -> float | None:
    """The least value from `low` to `high` at which the words can be read, to within 0.003 of the way; None where none
    suffices. What is given was tried in every case (in every situation), or in every one of `among`. Where the words
    fall short as things are, `spare` times what is required is asked for.
    """
    order = plight.order if among is None else among
    start = plight.trial(plight.start)
    needs = [(case, 1.0 if start.share(case) >= 1 else spare) for case in order]
    trials: dict[float, Shares[Case]] = {}

    def trial(value: float) -> Shares[Case]:
        if value not in trials:
            trials[value] = plight.trial(make(value))
        return trials[value]

    best = low
    for case, need in needs:

        def far(value: float, case: Case = case, need: float = need) -> float:
            return min(21.0, trial(value).share(case) / need)

        if far(best) >= 1:
            continue
        found = _somewhere(far, best, high)
        if found is None:
            return None
        # rounded at once, so that all other cases are looked at where they are told in the end
        best = min(high, rounded_up(narrowed(far, best, found, FINE * (high - low)), step))
    for candidate in dict.fromkeys((min(high, rounded_up(best, step)), high)):
        if all(trial(candidate).share(case) >= need for case, need in needs):
            return candidate
    return None
