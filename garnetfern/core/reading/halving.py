"""Where a reading is worst on the way of a change."""

import math
from collections.abc import Callable

FIRST = 8
"""A change is looked at in so many even parts first."""
STEADY = 0.01
"""Between two looks a reading moves by no more than this share, near where it is worst."""
FINEST = 1 / 512


def least_at(value: Callable[[float], float]) -> float:
    """The share of the way, 0..1, at which a value is least: looked at in even parts, then halved round the least until
    its neighbours are within STEADY of it."""
    step = 1 / FIRST
    known = {n * step: value(n * step) for n in range(FIRST + 1)}
    best = min(known, key=lambda share: known[share])
    while step > FINEST:
        near = [share for share in (best - step, best + step) if 0 <= share <= 1]
        if all(math.isinf(known[share]) or known[share] <= known[best] * (1 + STEADY) for share in near):
            break
        step /= 2
        for share in (best - step, best + step):
            if 0 <= share <= 1:
                known[share] = value(share)
        best = min((best, *(s for s in (best - step, best + step) if 0 <= s <= 1)), key=lambda share: known[share])
    return best
