"""Rows and tables of whole levels, 0..255."""

import cv2
import numpy as np
from numpy.typing import ArrayLike

from ..colour.spaces import Bytes, Pixels

LEVELS = np.arange(256)


def row(rgb: ArrayLike, width: int) -> Bytes:
    """A row of one colour; rows are copied into a canvas far faster than single colours."""
    return np.tile(np.asarray(rgb, dtype=np.uint8), (width, 1))


def thrice(values: Pixels) -> Pixels:
    """Values for each of three colours. Whole arrays are many times faster than a short last axis."""
    if values.ndim != 2:
        return np.repeat(values[..., None], 3, axis=-1)
    return np.asarray(cv2.cvtColor(np.ascontiguousarray(values), cv2.COLOR_GRAY2BGR), dtype=np.float32)


def colours_of(pixels: Pixels) -> Pixels:
    """The colours of RGBA without their alpha, as an array of their own."""
    if pixels.ndim != 3:
        return pixels[..., :3]
    return np.asarray(cv2.cvtColor(np.ascontiguousarray(pixels), cv2.COLOR_BGRA2BGR), dtype=np.float32)
