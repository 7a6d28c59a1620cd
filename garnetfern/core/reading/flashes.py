"""Whether something flashes more than three times in a second (WCAG 2.2, 2.3.1; general and red flash thresholds).

A flash is a pair of opposing changes: of relative luminance by 0.1 or more, the darker below 0.8; or of red, where one
of the two is a saturated red (red is 80 % or more of all light) and red above green and blue changes by more than 1/16.
It counts where it fills a quarter or more of some field of 341 x 256 px, which stands for ten degrees of what is seen.
"""

from collections.abc import Iterable
from dataclasses import dataclass
from typing import Literal

import cv2
import numpy as np
from numpy.typing import NDArray

Light = NDArray[np.float32]
"""Linear RGB 0..1, height x width x 3."""
Values = NDArray[np.float32]
"""Height x width."""

MOST = 3
"""Flashes in a second that are allowed."""
CHANGES = 2 * MOST + 1
"""Opposing changes in a second that are more than that."""
LUMINANCE, DARK = 0.1, 0.8
RED, SATURATED = 20 / 320, 0.8
FIELD = (341, 256)
ROUNDING = 1e-6
"""Three flashes that fill a second to its end are no more than three."""
SHARE = 0.25


@dataclass(frozen=True)
class Flash:
    """More than three flashes in the second before `time`; `share` of the field that they fill most of, 0..1."""

    kind: Literal["general", "red"]
    time: float
    share: float


class _Changes:
    """Opposing changes of a value at every place: counted from the last turning point, as small ones do not turn it."""

    def __init__(self, least: float) -> None:
        self._least = least
        self._low: Values | None = None
        self._high = self._way = np.zeros(0, dtype=np.float32)
        self._times = np.zeros(0)

    def many(self, time: float, value: Values, held: NDArray[np.bool_], below: float = np.inf) -> NDArray[np.bool_]:
        """Where more changes than are allowed have come in the second up to now.

        `held`: where the value may be the upper one of a change. The lower one lies below `below`.
        """
        if self._low is None:
            self._low, self._high = value.copy(), np.where(held, value, -1)
            self._way = np.zeros(value.shape, dtype=np.float32)
            self._times = np.full((CHANGES, *value.shape), -np.inf)
            return np.zeros(value.shape, dtype=bool)
        self._low = np.minimum(self._low, value)
        self._high = np.maximum(self._high, np.where(held, value, -1))
        up = (self._way <= 0) & held & (value - self._low >= self._least) & (self._low < below)
        down = (self._way >= 0) & (self._high - value >= self._least) & (value < below)
        turned = up | down
        self._way = np.where(up, 1, np.where(down, -1, self._way)).astype(np.float32)
        self._low = np.where(turned, value, self._low)
        self._high = np.where(turned, np.where(held, value, -1), self._high)
        moved = np.concatenate([self._times[1:], np.full((1, *value.shape), time)])
        self._times = np.where(turned, moved, self._times)
        return np.asarray(self._times[0] > time - 1 + ROUNDING)


def _filled(many: NDArray[np.bool_], cell: float) -> float:
    """The largest share of any field that is filled. `cell`: px of the page that a value stands for, each way."""
    if not many.any():
        return 0.0
    height, width = many.shape
    side = [max(1, round(s / cell)) for s in FIELD]
    area = cv2.boxFilter(
        many.astype(np.float32), -1, (min(side[0], width), min(side[1], height)), normalize=False,
        borderType=cv2.BORDER_CONSTANT,
    )  # fmt: skip
    return float(area.max()) / (side[0] * side[1])


def flash_of(frames: Iterable[tuple[float, Light]], cell: float = 1.0) -> Flash | None:
    """The first flash too many of what is shown at increasing times (s), or none."""
    general, red = _Changes(LUMINANCE), _Changes(RED)
    for time, light in frames:
        luminance = light @ np.array([0.2126, 0.7152, 0.0722], dtype=np.float32)
        where = general.many(time, luminance, np.ones(luminance.shape, dtype=bool), DARK)
        share = _filled(where, cell)
        if share >= SHARE:
            return Flash("general", time, share)
        whole = light.sum(axis=2)
        saturated = light[..., 0] >= SATURATED * np.maximum(whole, 1e-6)
        over = np.maximum(0, light[..., 0] - light[..., 1] - light[..., 2])
        share = _filled(red.many(time, over, saturated & (over > 0)), cell)
        if share >= SHARE:
            return Flash("red", time, share)
    return None
