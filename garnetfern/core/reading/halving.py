"""Where a reading is worst on the way of a change."""

import math
from collections.abc import Callable

FIRST = 8
"""A change is looked at in so many even parts first."""
STEADY = 0.01
"""Between two looks a reading moves by no more than this share, near where it is worst."""
FINEST = 1 / 512


def least_at(value: Callable[[float], float]) -> float:
    """The share of the way, 0..1, at which a value is least."""
    return lowest(value, 1)[0]


def lowest(value: Callable[[float], float], count: int) -> list[float]:
    """So many shares of the way, 0..1, at which a value is lowest, the least first: it is looked at in even parts, then
    halved round the least until its neighbours are within STEADY of it."""
    step = 1 / FIRST
    known = {n * step: value(n * step) for n in range(FIRST + 1)}
    best = min(known, key=lambda share: known[share])
    steady = 0
    while step > FINEST and steady < 2:
        step /= 2
        near = [share for share in (best - step, best + step) if 0 <= share <= 1]
        before = known[best]
        known.update({share: value(share) for share in near})
        best = min((best, *near), key=lambda share: known[share])
        calm = all(math.isinf(known[share]) or known[share] <= known[best] * (1 + STEADY) for share in near)
        # twice in turn: two looks can lie alike on both sides of the least
        steady = steady + 1 if calm and before <= known[best] * (1 + STEADY) else 0
    return sorted(known, key=lambda share: known[share])[:count]
