"""Rows and tables of whole levels, 0..255."""

import numpy as np
from numpy.typing import ArrayLike

from ..colour.spaces import Bytes

LEVELS = np.arange(256)


def row(rgb: ArrayLike, width: int) -> Bytes:
    """A row of one colour; rows are copied into a canvas far faster than single colours."""
    return np.tile(np.asarray(rgb, dtype=np.uint8), (width, 1))
