"""Sets that are too slow to be run whole each time: a part of each, another one every day, and all when asked for.

`GARNETFERN_ALL=1` runs the whole (`make fidelity` does); `GARNETFERN_DAY=2026-11-29` runs the part of that day again.
"""

import os
import random
from collections.abc import Sequence
from datetime import UTC, datetime
from typing import TypeVar

T = TypeVar("T")

# the workers of one run take over the day of the process that starts them, also across midnight
DAY = os.environ.setdefault("GARNETFERN_DAY", datetime.now(UTC).date().isoformat())


def sampled(cases: Sequence[T], count: int) -> list[T]:
    """So many of the cases, in their order; all of them where GARNETFERN_ALL is set."""
    if os.environ.get("GARNETFERN_ALL") or count >= len(cases):
        return list(cases)
    taken = random.Random(f"{DAY} {len(cases)}").sample(range(len(cases)), count)
    return [cases[n] for n in sorted(taken)]
