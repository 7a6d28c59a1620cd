"""How much of a picture a change keeps."""

import numpy as np

from ..colour.notation import Rgba
from ..colour.spaces import Bytes, oklab

STRIDE = 3
"""Every third pixel each way is compared: the mean over an area moves by less than it is rounded to."""


def difference(one: Bytes, other: Bytes) -> float:
    """Mean OKLab distance of two pictures of the same shape."""
    small = (p[::STRIDE, ::STRIDE].astype(np.float32) for p in (one, other))
    gap = np.subtract(*map(oklab, small))
    return float(np.sqrt((gap * gap).sum(axis=-1)).mean())


def kept(before: Bytes, after: Bytes, fill: Rgba) -> float:
    """0..100: 100 minus the share of the way towards a plain fill that the change goes."""
    plain = np.broadcast_to(np.array(fill.rgb, dtype=np.uint8), before.shape)
    whole = difference(before, plain)
    return 100.0 if whole == 0 else max(0.0, 100 * (1 - difference(before, after) / whole))
