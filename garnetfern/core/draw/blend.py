"""Compositing and Blending 1: the sixteen blend modes, and laying a source over a backdrop that may be translucent.

Colours are float32 arrays, 0..1, their last axis red, green and blue.
"""

from collections.abc import Callable

import numpy as np

from ..colour.spaces import Pixels
from ..document.layers import BlendMode
from .levels import colours_of, thrice

Blend = Callable[[Pixels, Pixels], Pixels]
_LUM = np.array([0.3, 0.59, 0.11], dtype=np.float32)


def _hard_light(below: Pixels, above: Pixels) -> Pixels:
    return np.where(above <= 0.5, below * 2 * above, below + (2 * above - 1) - below * (2 * above - 1))


def _dodge(below: Pixels, above: Pixels) -> Pixels:
    room = np.where(above < 1, 1 - above, 1)
    return np.where(below == 0, 0, np.where(above >= 1, 1, np.minimum(1, below / room)))


def _burn(below: Pixels, above: Pixels) -> Pixels:
    share = np.maximum(above, np.float32(1e-30))
    return np.where(below >= 1, 1, np.where(above <= 0, 0, 1 - np.minimum(1, (1 - below) / share)))


def _soft_light(below: Pixels, above: Pixels) -> Pixels:
    root = np.where(below <= 0.25, ((16 * below - 12) * below + 4) * below, np.sqrt(below))
    darker = below - (1 - 2 * above) * below * (1 - below)
    return np.where(above <= 0.5, darker, below + (2 * above - 1) * (root - below))


def _lum(colour: Pixels) -> Pixels:
    return np.asarray(colour @ _LUM, dtype=np.float32)[..., None]


def _ends(colour: Pixels) -> tuple[Pixels, Pixels]:
    """The least and the most of the three, their axis kept; channel by channel, which is faster than along it."""
    red, green, blue = (colour[..., n] for n in range(3))
    least, most = np.minimum(np.minimum(red, green), blue), np.maximum(np.maximum(red, green), blue)
    return least[..., None], most[..., None]


def _sat(colour: Pixels) -> Pixels:
    least, most = _ends(colour)
    return most - least


def _clipped(colour: Pixels) -> Pixels:
    light = _lum(colour)
    least, most = _ends(colour)
    if least.size and least.min() < 0:
        low = light - least
        colour = np.where(least < 0, light + (colour - light) * light / np.where(low > 0, low, 1), colour)
    if most.size and most.max() > 1:
        high = most - light
        colour = np.where(most > 1, light + (colour - light) * (1 - light) / np.where(high > 0, high, 1), colour)
    return colour


def _with_lum(colour: Pixels, light: Pixels) -> Pixels:
    return _clipped(colour + (light - _lum(colour)))


def _with_sat(colour: Pixels, saturation: Pixels) -> Pixels:
    least, most = _ends(colour)
    span = most - least
    return np.where(span > 0, (colour - least) * saturation / np.where(span > 0, span, 1), 0)


BLENDS: dict[BlendMode, Blend] = {
    "normal": lambda _, s: s,
    "multiply": lambda b, s: b * s,
    "screen": lambda b, s: b + s - b * s,
    "overlay": lambda b, s: _hard_light(s, b),
    "darken": np.minimum,
    "lighten": np.maximum,
    "color-dodge": _dodge,
    "color-burn": _burn,
    "hard-light": _hard_light,
    "soft-light": _soft_light,
    "difference": lambda b, s: np.abs(b - s),
    "exclusion": lambda b, s: b + s - 2 * b * s,
    "hue": lambda b, s: _with_lum(_with_sat(s, _sat(b)), _lum(b)),
    "saturation": lambda b, s: _with_lum(_with_sat(b, _sat(s)), _lum(b)),
    "color": lambda b, s: _with_lum(s, _lum(b)),
    "luminosity": lambda b, s: _with_lum(b, _lum(s)),
}
"""B(backdrop, source) of each mode (sections 9.1 and 9.2)."""


def plain(premultiplied: Pixels) -> Pixels:
    """The colours of premultiplied RGBA, without their alpha; black where there is none."""
    alpha = premultiplied[..., 3]
    return np.asarray(colours_of(premultiplied) / thrice(np.where(alpha > 0, alpha, np.float32(1))), dtype=np.float32)


def over_opaque(below: Pixels, source: Pixels, mode: BlendMode) -> Pixels:
    """Lay premultiplied RGBA over opaque colours, 0..1: the same as `composite` where nothing shows through below."""
    mixed = BLENDS[mode](below, plain(source))
    return np.asarray(below + (mixed - below) * thrice(source[..., 3]), dtype=np.float32)


def composite(backdrop: Pixels, source: Pixels, mode: BlendMode) -> Pixels:
    """Lay premultiplied RGBA over premultiplied RGBA (section 5.8 with the formula of 9)."""
    over, under = source[..., 3:], backdrop[..., 3:]
    if mode == "normal":
        return np.asarray(source + backdrop * (1 - over), dtype=np.float32)
    mixed = BLENDS[mode](plain(backdrop), plain(source))
    colour = source[..., :3] * (1 - under) + over * under * mixed + (1 - over) * backdrop[..., :3]
    return np.concatenate([colour, over + under - over * under], axis=-1).astype(np.float32)
