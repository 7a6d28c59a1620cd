"""Filters of pictures (Filter Effects 1): blur, brightness, contrast, saturate, grayscale, in this order."""

import math

import numpy as np

from ..colour.spaces import Pixels
from ..document import Filter
from .soften import boxed

REACH = 3
"""Beyond this many standard deviations a blur gathers nothing that could be seen."""


def reach(wanted: Filter) -> int:
    """How far around a pixel a filter looks, px."""
    return math.ceil(REACH * wanted.blur)


def _matrix(amount: float) -> Pixels:
    """The matrix of saturate() (section 13.1.1); grayscale() is the same with what is left of the colour."""
    r, g, b = 0.213, 0.715, 0.072
    rows = [
        [r + (1 - r) * amount, g - g * amount, b - b * amount],
        [r - r * amount, g + (1 - g) * amount, b - b * amount],
        [r - r * amount, g - g * amount, b + (1 - b) * amount],
    ]
    return np.array(rows, dtype=np.float32)


def filtered(pixels: Pixels, wanted: Filter) -> Pixels:
    """Premultiplied RGBA 0..1 through a filter. Each step is clamped, as the standard's shorthands are."""
    if wanted.blur > 0:
        pixels = boxed(pixels, wanted.blur)
    alpha = pixels[..., 3:]
    colour = pixels[..., :3] / np.where(alpha > 0, alpha, 1)
    if wanted.brightness != 1:
        colour = np.clip(colour * np.float32(wanted.brightness), 0, 1)
    if wanted.contrast != 1:
        colour = np.clip((colour - np.float32(0.5)) * np.float32(wanted.contrast) + np.float32(0.5), 0, 1)
    for amount in (wanted.saturate, 1 - wanted.grayscale):
        if amount != 1:
            colour = np.clip(colour @ _matrix(amount).T, 0, 1)
    return np.concatenate([colour * alpha, alpha], axis=-1).astype(np.float32)
