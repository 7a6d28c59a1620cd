"""The colour of a shade: the picture's own dark for light words, its own light for dark ones, or one of the site's
palette where that is as good as the same."""

import math

from ..colour.mix import distance, from_lch, lch

DARK = (0.19, 0.26)
"""OKLCH lightness of a shade under light words: the upper end changes a picture least."""
LIGHT = (0.93, 0.97)
CHROMA = (0.008, 0.05)
FAINTER = 0.8
NEAR, NEAR_OF_HUE = 0.07, 0.12
"""A colour of the palette stands instead within so much in OKLab; within the second where the hues are alike."""
ALIKE = 40.0
"""Degrees between hues that are alike."""
GREY = 0.02
"""Chroma below which a colour has no hue to speak of."""
PLAIN = {True: "#1f2421", False: "#f6f3ea"}


def shade_tone(colours: tuple[str, ...], palette: tuple[str, ...], light: bool) -> str:
    """A colour on which light (or dark) words can be read, for a picture with these main colours."""
    own = PLAIN[light]
    if colours:
        end = min(colours, key=lambda c: lch(c)[0]) if light else max(colours, key=lambda c: lch(c)[0])
        lightness, chroma, hue = lch(end)
        low, high = DARK if light else LIGHT
        chroma = min(CHROMA[1], max(CHROMA[0], chroma * FAINTER))
        own = from_lch(min(high, max(low, lightness)), chroma, hue)
    fitting = [c[:7] for c in palette if len(c) == 7 and _stands_for(c, own, light)]
    return min(fitting, key=lambda c: distance(c, own), default=own)


def _stands_for(colour: str, own: str, light: bool) -> bool:
    lightness, chroma, hue = lch(colour)
    if (lightness > DARK[1] + 0.06) if light else (lightness < LIGHT[0] - 0.03):
        return False
    _, other, turn = lch(own)
    apart = abs((hue - turn + 180) % 360 - 180)
    alike = apart <= ALIKE or min(chroma, other) < GREY or math.isnan(apart)
    return distance(colour, own) <= (NEAR_OF_HUE if alike else NEAR)
