"""A dim projector in a room that is not dark: light of the room lies on the wall."""

from collections.abc import Mapping

from ..veil import Dial, Veil
from ._flare import flared

ORDER = 8
TITLE = "A dim projector"
SENTENCE = "Light of the room lies on the wall too: 20 lx with drawn curtains, 100 lx with a lamp on, 300 lx by day."
DIALS = (Dial("light", "Light in the room", 0, 500, 10, 100, "lx"),)
REFLECTED = 0.9
"""What a white wall throws back."""
BRIGHTEST = 120.0
"""What white gives, cd/m²: 1,200 lm on three square metres of such a wall."""


def veil(dials: Mapping[str, float]) -> Veil:
    """What is seen on the wall."""
    return flared(dials["light"], REFLECTED, BRIGHTEST)
