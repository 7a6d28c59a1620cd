"""How much of a letter's colour is laid down where it covers a part of a pixel.

The browser's raster corrects the coverage of letters by the colour that they are drawn in, so that light ones do not
look thinner than dark ones: as if light were mixed with a gamma of 1.2 over the colour's opposite, and dark letters
strengthened by a fifth. The colour counts by its luminance, in eight steps; which level each step stands for was found
by comparing captures of letters in greys (within 0.5 level of 255 on the mean, 2 to 7 without).
"""

from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from ..colour.notation import Rgba

GAMMA = 1.2
CONTRAST = 0.2
LUMINANCE = (0.2126, 0.7152, 0.0722)
LEVELS = (0, 36, 66, 98, 98, 140, 189, 246)
"""What level of grey a step stands for."""

Table = NDArray[np.float32]


def _coarse(level: int) -> int:
    """A level of a colour in three bits, spread over the range again."""
    bits = level >> 5
    return bits << 5 | bits << 2 | bits >> 1


def step_of(colour: Rgba) -> int:
    """Which of the eight steps a colour is taken for."""
    return int(sum(share * _coarse(level) for share, level in zip(LUMINANCE, colour.rgb, strict=True))) >> 5


@lru_cache(maxsize=len(LEVELS))
def table_of(step: int) -> Table:
    """What becomes of a coverage of 0 to 255, 0..1."""
    own = LEVELS[step] / 255
    other = 1 - own
    light, dark = own**GAMMA, other**GAMMA
    cover = np.arange(256) / 255
    stronger = cover + (1 - cover) * CONTRAST * dark * cover
    mixed = (light * stronger + dark * (1 - stronger)) ** (1 / GAMMA)
    return np.asarray(np.floor(255 * (mixed - other) / (own - other) + 0.5) / 255, dtype=np.float32)


def toned(cover: NDArray[np.float32], step: int) -> NDArray[np.float32]:
    """The coverage that is laid down for a coverage 0..1 of a letter drawn in a colour of a step."""
    return np.asarray(table_of(step)[np.rint(cover * 255).astype(np.uint8)], dtype=np.float32)
