"""How much of a picture a change keeps."""

import numpy as np

from ..colour.notation import Rgba
from ..colour.spaces import Pixels, oklab

STRIDE = 3
"""Every third pixel each way is compared: the mean over an area moves by less than it is rounded to."""


def difference(one: Pixels, other: Pixels) -> float:
    """Mean OKLab distance of two pictures of the same shape."""
    gap = oklab(one[::STRIDE, ::STRIDE]) - oklab(other[::STRIDE, ::STRIDE])
    return float(np.sqrt((gap * gap).sum(axis=-1)).mean())


def kept(before: Pixels, after: Pixels, fill: Rgba) -> float:
    """0..100: 100 minus the share of the way towards a plain fill that the change goes."""
    plain = np.broadcast_to(np.array(fill.rgb, dtype=np.float32), before.shape)
    whole = difference(before, plain)
    return 100.0 if whole == 0 else max(0.0, 100 * (1 - difference(before, after) / whole))
