"""The colours of a gradient (CSS Images 4, section 3.4): premultiplied interpolation in sRGB or OKLab."""

import numpy as np
from numpy.typing import NDArray

from ..colour.spaces import Pixels, from_oklab, oklab
from ..resolve.sheets import Ramp
from .sample import Keep, Region, anew

STEPS = 16384
"""Entries of a table of colours: a hard edge is off by a thousandth of a px in each hundred at the most."""
FLAT = 1e-7
Floats = NDArray[np.float64]


def colours_at(ramp: Ramp, places: Floats) -> Pixels:
    """Premultiplied RGBA 0..1 at places along a gradient; last axis of four."""
    at = np.array([place for place, _ in ramp.stops])
    if ramp.repeating:
        period = at[-1] - at[0]
        places = np.full_like(places, at[-1]) if period < FLAT else at[0] + np.mod(places - at[0], period)
    alpha = np.array([c.alpha for _, c in ramp.stops])
    colours = np.array([c.rgb for _, c in ramp.stops], dtype=np.float32)
    mixed = oklab(colours) if ramp.space == "oklab" else colours / np.float32(255)
    parts = np.concatenate([mixed * alpha[:, None], alpha[:, None]], axis=1)
    # with two stops at one place the later one holds from there on
    upper = np.clip(np.searchsorted(at, places, side="right"), 1, len(at) - 1)
    lower = upper - 1
    width = at[upper] - at[lower]
    share = np.clip((places - at[lower]) / np.where(width > 0, width, 1), 0, 1)
    share = np.where(width > 0, share, (places >= at[upper]).astype(np.float64))[..., None]
    found = (parts[lower] * (1 - share) + parts[upper] * share).astype(np.float32)
    if ramp.space == "oklab":
        cover = found[..., 3:]
        back = from_oklab(found[..., :3] / np.where(cover > 0, cover, 1)) / np.float32(255)
        found = np.concatenate([back * cover, cover], axis=-1)
    return np.asarray(found, dtype=np.float32)


def _table(ramp: Ramp) -> Pixels:
    """The colours from the first stop to the last in equal steps, and once more beyond each."""
    first, width = ramp.stops[0][0], _width(ramp)
    places = first + (np.arange(-1, STEPS + 1) + 0.5) / STEPS * width
    table = colours_at(Ramp(ramp.shape, (0, 0), (0, 0), ramp.stops, False, ramp.space), places)
    if ramp.repeating:
        table[0], table[-1] = table[-2], table[1]
    return table


def _width(ramp: Ramp) -> float:
    return max(ramp.stops[-1][0] - ramp.stops[0][0], FLAT)


def places_of(ramp: Ramp, part: Region) -> Floats:
    """Where each pixel's middle lies along a gradient. Height x width; along one axis only where that is enough."""
    left, top, width, height = part
    x = np.arange(left, left + width)[None, :] + 0.5 - ramp.origin[0]
    y = np.arange(top, top + height)[:, None] + 0.5 - ramp.origin[1]
    if ramp.shape == "radial":
        return np.asarray(np.hypot(x / ramp.axis[0], y / ramp.axis[1]))
    if ramp.shape == "conic":
        turn = np.degrees(np.arctan2(x, -y)) - ramp.axis[0]
        return np.asarray(np.mod(turn, 360) / 360)
    square = ramp.axis[0] ** 2 + ramp.axis[1] ** 2
    if square == 0:
        return np.zeros((1, 1))
    across, down = ramp.axis[0] / square, ramp.axis[1] / square
    if abs(across) * width < FLAT:
        return np.asarray(y * down)
    return np.asarray(x * across if abs(down) * height < FLAT else x * across + y * down)


def ramp_pixels(ramp: Ramp, part: Region, kept: Keep = anew) -> Pixels:
    """Premultiplied RGBA of a gradient in a part of the page. Height x width x 4."""
    places = places_of(ramp, part)
    shape = (part[3], part[2], 4)
    if 1 in places.shape:
        return np.broadcast_to(colours_at(ramp, places), shape)
    table = kept("ramp", (ramp.stops, ramp.repeating, ramp.space), lambda: _table(ramp))
    first, scale = ramp.stops[0][0], STEPS / _width(ramp)
    if ramp.repeating and ramp.stops[-1][0] - first >= FLAT:
        index = np.floor(np.mod((places - first) * scale, STEPS)).astype(np.intp) + 1
    else:
        index = np.clip(np.floor((places - first) * scale) + 1, 0, STEPS + 1).astype(np.intp)
    return table[index]
