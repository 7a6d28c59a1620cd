"""A phone in the sun: its glass and its surface throw light back, which is added to everything that it shows."""

from collections.abc import Mapping

from ..veil import Dial, Veil
from ._flare import flared

ORDER = 7
TITLE = "A screen in the sun"
SENTENCE = "Daylight on the glass lies over everything. 10,000 lx is bright shade, 50,000 lx the sun on a hazy day."
DIALS = (Dial("light", "Daylight", 500, 100_000, 500, 20_000, "lx"),)
REFLECTED = 0.04
"""The share of the light that a screen throws back in all directions."""
BRIGHTEST = 600.0
"""What white on a phone gives, cd/m²."""


def veil(dials: Mapping[str, float]) -> Veil:
    """Light E on a surface that throws back the share r gives it a luminance of E r / pi."""
    return flared(dials["light"], REFLECTED, BRIGHTEST)
