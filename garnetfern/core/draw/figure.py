"""Coverage of SVG figures."""

import cv2
import numpy as np
import resvg_py

from ..colour.spaces import Pixels
from .sample import Keep, anew

FINE = 8
"""Small figures are drawn this many times as large and averaged: the browser counts the covered part exactly."""
SMALL = 200_000


def _drawn(svg: str, width: int, height: int) -> Pixels:
    png = resvg_py.svg_to_bytes(svg_string=svg, width=width, height=height, skip_system_fonts=True)
    pixels = cv2.imdecode(np.frombuffer(bytes(png), dtype=np.uint8), cv2.IMREAD_UNCHANGED)
    if pixels is None:
        raise RuntimeError("a figure could not be drawn")
    return np.asarray(pixels[:, :, 3], dtype=np.float32) / np.float32(255)


def coverage(svg: str, width: int, height: int, kept: Keep = anew) -> Pixels:
    """How much of each pixel a figure covers, 0..1. `svg` is `width` x `height` px. Height x width."""
    return kept("figure", (svg, width, height), lambda: _coverage(svg, width, height))


def _coverage(svg: str, width: int, height: int) -> Pixels:
    if width * height > SMALL:
        return _drawn(svg, width, height)
    large = _drawn(svg, width * FINE, height * FINE)
    return np.asarray(large.reshape(height, FINE, width, FINE).mean(axis=(1, 3)), dtype=np.float32)


def inked(cover: Pixels, fill: Pixels) -> Pixels:
    """A fill (premultiplied RGBA, height x width x 4 or one pixel) through a coverage."""
    if fill.ndim == 1:
        return np.asarray(cv2.merge([cover * part for part in fill.astype(np.float32)]), dtype=np.float32)
    return np.asarray(cover[..., None] * fill, dtype=np.float32)
