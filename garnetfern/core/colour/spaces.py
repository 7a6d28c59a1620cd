"""Colour spaces as arrays: gamma-encoded sRGB, linear light, OKLab and CIE lightness.

All functions take and give arrays whose last axis holds the three components; sRGB is 0..255 as float,
linear light 0..1. Formulas: CSS Color 4, section 18 (sample code) and WCAG 2.2 (relative luminance).
"""

import cv2
import numpy as np
from numpy.typing import NDArray

Pixels = NDArray[np.float32]
Bytes = NDArray[np.uint8]
"""Height x width x 3, sRGB in whole levels, as a screen shows it."""

_PER_LEVEL = 32
_ENCODED = np.arange(255 * _PER_LEVEL + 1, dtype=np.float64) / (255 * _PER_LEVEL)
_LINEAR = np.where(_ENCODED <= 0.04045, _ENCODED / 12.92, ((_ENCODED + 0.055) / 1.055) ** 2.4).astype(np.float32)

LUMINANCE = np.array([0.2126, 0.7152, 0.0722], dtype=np.float32)

_ONES = np.ones((1, 3), dtype=np.float32)

_TO_LMS = np.array(
    [
        [0.4122214708, 0.5363325363, 0.0514459929],
        [0.2119034982, 0.6806995451, 0.1073969566],
        [0.0883024619, 0.2817188376, 0.6299787005],
    ],
    dtype=np.float32,
)
_TO_LAB = np.array(
    [
        [0.2104542553, 0.7936177850, -0.0040720468],
        [1.9779984951, -2.4285922050, 0.4505937099],
        [0.0259040371, 0.7827717662, -0.8086757660],
    ],
    dtype=np.float32,
)


def to_linear(srgb: Pixels) -> Pixels:
    """sRGB 0..255 to linear light 0..1, by a table of 32 steps a level (exact at whole levels)."""
    index = np.clip(srgb * _PER_LEVEL, 0, 255 * _PER_LEVEL)
    result: Pixels = _LINEAR[np.rint(index).astype(np.int32)]
    return result


_LEVEL_LINEAR = _LINEAR[::_PER_LEVEL]
_LEVEL_LUMINANCE = (_LEVEL_LINEAR[:, None] * LUMINANCE[None, :]).astype(np.float32)


def level_linear(srgb: Bytes) -> Pixels:
    """Whole levels to linear light 0..1, by a table. Height x width x 3."""
    return np.asarray(cv2.LUT(srgb, _LEVEL_LINEAR), dtype=np.float32)


def level_luminance(srgb: Bytes) -> Pixels:
    """Relative luminance 0..1 of whole levels, by a table for each component. Height x width."""
    parts = cv2.LUT(srgb, _LEVEL_LUMINANCE[None])
    return np.asarray(cv2.transform(parts, _ONES), dtype=np.float32)


def luminance(srgb: Pixels) -> Pixels:
    """Relative luminance 0..1 (WCAG 2.2) of sRGB 0..255; the last axis is summed away."""
    result: Pixels = to_linear(srgb) @ LUMINANCE
    return result


def oklab(srgb: Pixels) -> Pixels:
    """OKLab of sRGB 0..255: lightness 0..1, a and b about -0.4..0.4 (CSS Color 4, section 9)."""
    lms = np.cbrt(to_linear(srgb) @ _TO_LMS.T)
    result: Pixels = lms @ _TO_LAB.T
    return result


_FROM_LAB = np.linalg.inv(_TO_LAB.astype(np.float64)).astype(np.float32)
_FROM_LMS = np.linalg.inv(_TO_LMS.astype(np.float64)).astype(np.float32)


def encoded(linear: Pixels) -> Pixels:
    """Linear light to sRGB 0..255; what lies outside the gamut is clipped."""
    held = np.clip(linear, 0, 1)
    result = np.where(held <= 0.0031308, held * 12.92, 1.055 * np.power(held, 1 / 2.4) - 0.055) * 255
    return np.asarray(result, dtype=np.float32)


def from_oklab(lab: Pixels) -> Pixels:
    """OKLab to sRGB 0..255, clipped to the gamut (CSS Color 4, section 9)."""
    lms = lab @ _FROM_LAB.T
    return encoded((lms * lms * lms) @ _FROM_LMS.T)


def lightness(relative_luminance: Pixels) -> Pixels:
    """CIE L* 0..100 of relative luminance 0..1 (D65 white)."""
    y = relative_luminance
    result: Pixels = np.where(y > 216 / 24389, 116 * np.cbrt(y) - 16, y * (24389 / 27)).astype(np.float32)
    return result
