"""Contrast ratio (WCAG 2.2, definition of "contrast ratio") and what is required (1.4.3, 1.4.6, 1.4.11)."""

from enum import StrEnum

import numpy as np

from .notation import parse_colour
from .spaces import Pixels, luminance

LARGE_PX = 24.0
LARGE_BOLD_PX = 56 / 3  # 14 pt
BOLD = 700
FLARE = np.float32(0.05)
"""The light that a screen reflects, added to both luminances."""
EVEN = 0.05 * 21**0.5 - 0.05
"""The luminance that stands as far from black as from white: about 0.18."""


class Requirement(StrEnum):
    """The level a site has to meet."""

    AA = "AA"
    AAA = "AAA"


def contrast(one: Pixels, other: Pixels) -> Pixels:
    """Ratio 1..21 of two relative luminances; symmetric, broadcasts."""
    lighter, darker = np.maximum(one, other), np.minimum(one, other)
    return np.asarray((lighter + FLARE) / (darker + FLARE), dtype=np.float32)


def ratio(one: str, other: str) -> float:
    """The contrast ratio of two colours, their alpha left out."""
    lighter, darker = sorted((luminance_of(one), luminance_of(other)), reverse=True)
    return (lighter + float(FLARE)) / (darker + float(FLARE))


def luminance_of(colour: str) -> float:
    """Relative luminance 0..1 of a colour, its alpha left out."""
    return float(luminance(np.array(parse_colour(colour).rgb, dtype=np.float32)))


def is_light(colour: str) -> bool:
    """Whether a colour is nearer to white than to black by contrast, so that words in it want a dark ground."""
    return luminance_of(colour) > EVEN


def is_large(size: float, weight: int) -> bool:
    """Whether text of this size in CSS px and weight is large-scale text (18 pt, or 14 pt and bold)."""
    return size >= LARGE_PX or (size >= LARGE_BOLD_PX - 0.005 and weight >= BOLD)


def required_ratio(size: float, weight: int, requirement: Requirement) -> float:
    """The ratio that text of this size in CSS px and weight must reach."""
    if requirement is Requirement.AAA:
        return 4.5 if is_large(size, weight) else 7.0
    return 3.0 if is_large(size, weight) else 4.5
