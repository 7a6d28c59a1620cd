"""Blurs as the browser approximates them: three box means in a row. Shadows are blurred by the discrete Gaussian (T.
Lindeberg, Scale-space for discrete signals) where they are small, and those of rectangles by a formula."""

import math
from functools import lru_cache

import cv2
import numpy as np

from ..colour.spaces import Pixels

BOXES_FROM = 2.0
"""The standard deviation from which on a shadow is blurred by three boxes, px."""
FORMULA_BELOW = 10.0
"""Below this one a rectangle's shadow comes from a formula, px."""
GOOD_ENOUGH = 0.01
TERMS = 24


def _bessel(order: int, x: float) -> float:
    """The modified Bessel function of the first kind, by its series; `x` is below four here."""
    return sum((x / 2) ** (2 * k + order) / (math.factorial(k) * math.factorial(k + order)) for k in range(TERMS))


@lru_cache(maxsize=256)
def small_kernel(sigma: float) -> tuple[float, ...]:
    """The discrete Gaussian for a deviation below BOXES_FROM; sums to one."""
    variance = sigma * sigma
    half = [_bessel(0, variance) / math.exp(variance)]
    while True:
        further = _bessel(len(half), variance) / math.exp(variance)
        half.append(further)
        if further <= GOOD_ENOUGH:
            break
    half = half[:-1] if len(half) > 2 else half
    total = half[0] + 2 * sum(half[1:])
    return tuple(v / total for v in (*half[:0:-1], *half))


def box_width(sigma: float) -> int:
    """How wide each of the three boxes is, px."""
    return math.floor(sigma * 3 * math.sqrt(2 * math.pi) / 4 + 0.5)


def reach_of(sigma: float) -> int:
    """How far a shadow's blur spreads, px."""
    if sigma <= 0:
        return 0
    if sigma < BOXES_FROM:
        return len(small_kernel(sigma)) // 2
    return 3 * (box_width(sigma) // 2) + 1


def _boxes(sigma: float) -> tuple[tuple[int, int], ...]:
    """The three boxes' widths and anchors, px; none where they would change nothing."""
    width = box_width(sigma)
    if width <= 1:
        return ()
    # an even box lies half a px aside: once to each side, and the third is odd
    return (width, width // 2), (width, (width - 1) // 2), (width + 1 - width % 2, width // 2)


def boxed(values: Pixels, sigma: float) -> Pixels:
    """Values blurred by three boxes; beyond their border there is nothing. What a blur spreads must have room inside of
    them."""
    for side, anchor in _boxes(sigma):
        blurred = cv2.blur(values, (side, side), anchor=(anchor, anchor), borderType=cv2.BORDER_CONSTANT)
        values = np.asarray(blurred, dtype=np.float32)
    return values


def softened(cover: Pixels, sigma: float) -> Pixels:
    """A shadow's coverage, 0..1, blurred; in whole levels after each direction, as the browser keeps it."""
    if sigma <= 0:
        return cover
    levels = np.asarray(cover * np.float32(255), dtype=np.float32)
    if sigma < BOXES_FROM:
        kernel = np.array(small_kernel(sigma), dtype=np.float32)
        levels = np.rint(cv2.sepFilter2D(levels, -1, kernel, kernel, borderType=cv2.BORDER_CONSTANT))
        return np.asarray(levels / np.float32(255), dtype=np.float32)
    for axis in (0, 1):
        for side, anchor in _boxes(sigma):
            size, at = ((side, 1), (anchor, 0)) if axis == 0 else ((1, side), (0, anchor))
            levels = np.asarray(cv2.blur(levels, size, anchor=at, borderType=cv2.BORDER_CONSTANT))
        levels = np.rint(levels)
    return np.asarray(levels / np.float32(255), dtype=np.float32)


def _beyond(x: Pixels) -> Pixels:
    """The share of three boxes in a row, each two deviations wide, that lies beyond `x` times their width."""
    bulk = 0.5 - (0.75 * x - x**3 / 3)
    flank = 0.5625 - (np.abs(x) ** 3 / 6 - 0.75 * x**2 + 1.125 * np.abs(x))
    found = np.where(np.abs(x) <= 0.5, bulk, np.where(x > 0, flank, 1 - flank))
    return np.asarray(np.where(x > 1.5, 0, np.where(x < -1.5, 1, found)), dtype=np.float32)


def soft_side(first: float, last: float, start: int, count: int, sigma: float) -> Pixels:
    """How much of each of `count` px from `start` on the blurred stretch from `first` to `last` covers."""
    inside = np.arange(start, start + count, dtype=np.float32) + np.float32(0.5 - first)
    return _beyond(-inside / np.float32(2 * sigma)) - _beyond(
        np.float32(last - first) / (2 * sigma) - inside / np.float32(2 * sigma)
    )
