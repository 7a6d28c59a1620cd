"""Sets that are too slow to be run whole each time: a part of each, another one for each state of the code, all on ask.

The same code always runs the same part, wherever and whenever it is run, so that a run that passed passes again.
`GARNETFERN_ALL=1` runs the whole (`make fidelity` does); `GARNETFERN_PART=name` draws the part of that name.
"""

import hashlib
import os
import random
from collections.abc import Sequence
from pathlib import Path
from typing import TypeVar

T = TypeVar("T")

ROOT = Path(__file__).parents[1]
SOURCES = ("garnetfern/**/*.py", "tests/**/*.py", "web/src/**/*")


def _of_the_code() -> str:
    """A name for the present state of the code: the digest of all its sources, by their paths."""
    digest = hashlib.sha256()
    for path in sorted(path for kind in SOURCES for path in ROOT.glob(kind) if path.is_file()):
        digest.update(path.relative_to(ROOT).as_posix().encode() + b"\0" + path.read_bytes())
    return digest.hexdigest()[:12]


# the workers of one run take over the part of the process that starts them
PART = os.environ.get("GARNETFERN_PART") or os.environ.setdefault("GARNETFERN_PART", _of_the_code())


def sampled(cases: Sequence[T], count: int) -> list[T]:
    """So many of the cases, in their order; all of them where GARNETFERN_ALL is set."""
    if os.environ.get("GARNETFERN_ALL") or count >= len(cases):
        return list(cases)
    taken = random.Random(f"{PART} {len(cases)}").sample(range(len(cases)), count)
    return [cases[n] for n in sorted(taken)]
