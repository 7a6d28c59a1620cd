"""The least of a change that suffices, by narrowing down over every situation."""

import math
from collections.abc import Callable, Sequence

from ..document import Page
from ..reading import Situation
from .plight import Plight, Trial

FINE = 0.002
ROUNDED = 1.005
"""To spare everywhere: browsers round to whole levels layer by layer."""
APPROXIMATE = 1.025
"""To spare where browsers blur and blend by approximation: what they paint differs by so much at the most."""
Make = Callable[[float], Page]


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
    plight: Plight,
    make: Make,
    low: float = 0.0,
    high: float = 1.0,
    step: float = 0.001,
    among: Sequence[Situation] | None = None,
    spare: float = ROUNDED,
) -> float | None:
    """The least value from `low` to `high` at which the words can be read, to within 0.003 of the way; None where none
    suffices. What is given was tried in every situation, or in every one of `among`. Where the words fall short as
    things are, `spare` times what is required is asked for.
    """
    order = plight.order if among is None else among
    start = plight.trial(plight.start)
    needs = {s.id: 1.0 if start.meets(s) else spare for s in order}
    trials: dict[float, Trial] = {}

    def trial(value: float) -> Trial:
        if value not in trials:
            trials[value] = plight.trial(make(value))
        return trials[value]

    best = low
    for situation in order:

        def far(value: float, situation: Situation = situation) -> float:
            return min(21.0, trial(value).share(situation) / needs[situation.id])

        if far(best) >= 1:
            continue
        found = _somewhere(far, best, high)
        if found is None:
            return None
        best = narrowed(far, best, found, FINE * (high - low))
    for candidate in dict.fromkeys((min(high, rounded_up(best, step)), best, high)):
        if all(trial(candidate).meets(situation, needs[situation.id]) for situation in order):
            return candidate
    return None
