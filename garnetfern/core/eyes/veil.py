"""What lies between a screen and what is seen of it: a blur, then one matrix, both in linear light."""

from dataclasses import dataclass

import cv2
import numpy as np
from numpy.typing import NDArray

from ..colour.spaces import Bytes, Pixels, encoded, level_linear

Matrix = NDArray[np.float32]
"""3 x 4: linear red, green and blue 0..1, and what is added to each."""

PX_PER_DEGREE = 1 / 0.0213
"""CSS px in a degree of sight at arm's length (CSS Values 4, section 6.2: the reference pixel, 28 inches away)."""


@dataclass(frozen=True)
class Dial:
    """A figure that can be set for an eye: from `least` to `most`, in steps; `unit` stands behind it, `per` are the
    units in one (100 for per cent)."""

    name: str
    title: str
    least: float
    most: float
    step: float
    usual: float
    unit: str = ""
    per: float = 1.0


@dataclass(frozen=True, eq=False)
class Veil:
    """`blur`: the standard deviation of a Gaussian in CSS px; `matrix`: what then becomes of linear light;
    `scattered`: the shares of the screen's mean red, green and blue that are added everywhere."""

    blur: float
    matrix: Matrix
    scattered: tuple[float, float, float] = (0.0, 0.0, 0.0)

    @property
    def plain(self) -> bool:
        """Whether nothing is blurred: then each pixel is seen by itself."""
        return self.blur <= 0

    @property
    def scatters(self) -> bool:
        """Whether it depends on all of the screen."""
        return any(self.scattered)

    def before(self, mean: Pixels) -> "Veil":
        """The same before a screen whose linear light is `mean` on the mean: nothing depends on the screen any more."""
        added = self.matrix[:, 3] + np.array(self.scattered, dtype=np.float32) * mean
        return Veil(self.blur, np.hstack([self.matrix[:, :3], added[:, None]]))


def at(parts: NDArray[np.float64] | list[list[float]], added: tuple[float, float, float] = (0, 0, 0)) -> Matrix:
    """A matrix of 3 x 3 and what is added."""
    return np.hstack([np.asarray(parts, dtype=np.float32), np.array(added, dtype=np.float32)[:, None]])


def through(linear: Pixels, matrix: Matrix) -> Pixels:
    """Linear light after a matrix, held within what a screen can show."""
    return np.asarray(np.clip(linear @ matrix[:, :3].T + matrix[:, 3], 0, 1), dtype=np.float32)


def blurred(linear: Pixels, blur: float) -> Pixels:
    """Linear light after a Gaussian; beyond the edge it goes on as it ends."""
    if blur <= 0:
        return linear
    return np.asarray(cv2.GaussianBlur(linear, (0, 0), blur, borderType=cv2.BORDER_REPLICATE), dtype=np.float32)


def seen_light(linear: Pixels, veil: Veil) -> Pixels:
    """Linear light as it is seen. Height x width x 3."""
    return through(blurred(linear, veil.blur), veil.matrix)


def seen(pixels: Bytes, veil: Veil) -> Bytes:
    """A picture of a screen as it is seen, in levels again."""
    return np.rint(encoded(seen_light(level_linear(pixels), veil))).astype(np.uint8)
