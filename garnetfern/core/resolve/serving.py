"""Ranges of viewport widths that are served the same rendition of a picture; they follow the site's screens."""

from collections.abc import Sequence
from dataclasses import dataclass

from ..document import Screen

HEADROOM = 1.25
"""A screen's range is split above this many times its own width, so that nobody gets far more than he can show."""
WIDEST = 2560


@dataclass(frozen=True)
class ServingRange:
    """Viewport widths from `least` to `most` (None: no end), CSS px; pictures fit at `fit` x `height`."""

    least: int
    most: int | None
    fit: int
    height: int


def serving_ranges(screens: Sequence[Screen]) -> tuple[ServingRange, ...]:
    """The ranges in rising order; together they hold every width."""
    ordered = sorted(screens, key=lambda s: s.width)
    found: list[ServingRange] = []
    least = 0
    for n, screen in enumerate(ordered):
        last = n == len(ordered) - 1
        most = WIDEST if last else max(screen.width, min(screen.most, ordered[n + 1].width - 1))
        split = round(screen.width * HEADROOM)
        if split < most:
            found.append(ServingRange(least, split, split, screen.height))
            least = split + 1
        found.append(ServingRange(least, None if last else most, most, screen.height))
        least = most + 1
    return tuple(found)


def serving_range(screens: Sequence[Screen], width: float) -> ServingRange:
    """The range that a viewport width falls into."""
    return next(r for r in serving_ranges(screens) if r.most is None or width < r.most + 1)
