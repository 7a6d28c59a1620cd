"""Mixing and comparing single colours in OKLab (CSS Color 4, sections 9 and 12)."""

import math

import numpy as np

from .notation import Rgba, parse_colour
from .spaces import from_oklab, oklab


def _lab(colour: str) -> "np.ndarray[tuple[int, ...], np.dtype[np.float32]]":
    return oklab(np.array(parse_colour(colour).rgb, dtype=np.float32))


def towards(colour: str, target: str, share: float) -> str:
    """The colour so far on the way to another, 0..1; its alpha stays."""
    start, end = _lab(colour), _lab(target)
    red, green, blue = (round(float(v)) for v in from_oklab(start + (end - start) * np.float32(share)))
    return Rgba(red, green, blue, parse_colour(colour).alpha).hex


def distance(one: str, other: str) -> float:
    """How far apart two colours look: their distance in OKLab, about 0..1."""
    return float(np.linalg.norm(_lab(one) - _lab(other)))


def lightness_of(colour: str) -> float:
    """OKLab lightness, 0..1."""
    return float(_lab(colour)[0])


def lch(colour: str) -> tuple[float, float, float]:
    """OKLCH lightness 0..1, chroma and hue, degrees (CSS Color 4, section 9.4)."""
    lightness, a, b = (float(v) for v in _lab(colour))
    return lightness, math.hypot(a, b), math.degrees(math.atan2(b, a)) % 360


def from_lch(lightness: float, chroma: float, hue: float) -> str:
    """The sRGB colour of an OKLCH one; what lies outside sRGB is cut off channel by channel."""
    turn = math.radians(hue)
    lab = np.array([lightness, chroma * math.cos(turn), chroma * math.sin(turn)], dtype=np.float32)
    red, green, blue = (min(255, max(0, round(float(v)))) for v in from_oklab(lab))
    return Rgba(red, green, blue).hex
