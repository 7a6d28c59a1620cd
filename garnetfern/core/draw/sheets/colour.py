"""A colour over a box."""

import cv2
import numpy as np

from ...colour.spaces import Bytes, Pixels
from ...resolve.sheets import ColourSheet
from ..levels import LEVELS, row
from ..sample import Region, Sampler

SHEET = ColourSheet


def source(sheet: ColourSheet, part: Region, _: Sampler) -> Pixels:
    """One colour everywhere."""
    colour = sheet.colour
    pixel = np.array([*(v / 255 * colour.alpha for v in colour.rgb), colour.alpha], dtype=np.float32)
    return np.broadcast_to(pixel, (part[3], part[2], 4))


def _over_colour(below: Bytes, rgb: tuple[int, int, int], alpha: float) -> Bytes:
    """A colour over pixels in eight bits, rounded at each step as the browser's raster rounds."""
    cover = int(alpha * 255 + 0.5)
    rest = 256 - cover
    above = np.floor(np.array(rgb) * (cover / 255) + 0.5).astype(np.int64)
    table = (above[None, :] + (LEVELS[:, None] * rest >> 8)).astype(np.uint8)
    return np.asarray(cv2.LUT(np.ascontiguousarray(below), table[None]), dtype=np.uint8)


def over(below: Bytes, sheet: ColourSheet, part: Region, _: Sampler) -> Bytes:
    """The colour over whole levels."""
    alpha = sheet.colour.alpha * sheet.opacity
    if alpha >= 1:
        return np.broadcast_to(row(sheet.colour.rgb, part[2]), below.shape)
    return _over_colour(below, sheet.colour.rgb, alpha)


def opaque(sheet: ColourSheet, _: object) -> bool:
    """Whether it hides what lies below."""
    return sheet.colour.alpha * sheet.opacity >= 0.999
