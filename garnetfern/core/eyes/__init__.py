"""A page as other eyes see it, and in other light. Advice beside the readings, which stay what the standard asks for.

An eye comes to a `Veil`: a blur and then one matrix, both in linear light. So the core computes it and a browser shows
it by the same few numbers.
"""

from .eyes import EyeError, dials_of, eye_of, mean_light, veil_of
from .kinds import KINDS
from .readings import ratio_seen
from .veil import PX_PER_DEGREE, Dial, Veil, at, seen

__all__ = [
    "KINDS",
    "PX_PER_DEGREE",
    "Dial",
    "EyeError",
    "Veil",
    "at",
    "dials_of",
    "eye_of",
    "mean_light",
    "ratio_seen",
    "seen",
    "veil_of",
]
