"""Tiles: whether a picture meets itself without a seam, mended copies, and whether the repeat can be noticed."""

from dataclasses import dataclass
from typing import Literal

import cv2
import numpy as np
from numpy.typing import NDArray
from PIL import Image

from ..colour.spaces import Pixels, oklab

SHOWS = 1.6
"""A seam shows above this many times the difference between neighbouring rows or columns inside."""
UNSEEN = 0.006
"""OKLab distance below which no step is seen, whatever lies around it."""
MARGIN = 1.1
"""A seam is one only if it is stronger than every step inside by this much: a striped tile has strong steps."""
LARGEST = 2400

Mending = Literal["cross-fade", "mirror"]


@dataclass(frozen=True)
class Seam:
    """One pair of edges: the step across it over the mean step inside, and whether it shows."""

    figure: float
    shows: bool


@dataclass(frozen=True)
class Seams:
    """`across`: where tiles stand side by side. `down`: where they stand below each other."""

    across: Seam
    down: Seam

    @property
    def seamless(self) -> bool:
        """Whether it meets itself both ways."""
        return not (self.across.shows or self.down.shows)


def _steps(lab: Pixels) -> NDArray[np.float64]:
    """Mean OKLab distance from each column to the next, the last entry being the one across the edge."""
    step = lab - np.roll(lab, -1, axis=1)
    return np.asarray(np.sqrt((step * step).sum(axis=-1)).mean(axis=0), dtype=np.float64)


def _seam(lab: Pixels) -> Seam:
    if lab.shape[1] < 2:
        return Seam(1.0, False)
    steps = _steps(lab)
    inside, edge = steps[:-1], float(steps[-1])
    mean = max(float(inside.mean()), 1e-5)
    figure = edge / mean
    shows = figure > SHOWS and edge > UNSEEN and edge > MARGIN * float(inside.max())
    return Seam(round(figure, 2), bool(shows))


def _pixels(image: Image.Image) -> NDArray[np.uint8]:
    """RGB of a picture, transparent parts on a middle grey."""
    if image.mode == "RGBA":
        ground = Image.new("RGB", image.size, (128, 128, 128))
        ground.paste(image, mask=image.getchannel("A"))
        image = ground
    return np.asarray(image.convert("RGB"))


def seams_of(image: Image.Image) -> Seams:
    """Measure both pairs of edges of a picture at its own size."""
    lab = oklab(_pixels(image).astype(np.float32))
    return Seams(_seam(lab), _seam(lab.transpose(1, 0, 2)))


SWATCH = 96
"""A picture no longer than this may be one figure of a pattern, with its margin; a longer one is a mark."""
CLEAR = 8
"""Alpha up to which nothing is seen."""


def is_mark(image: Image.Image) -> bool:
    """Whether a picture stands by itself on nothing: every edge is clear, as of a logo. Such edges always meet."""
    if image.mode != "RGBA" or max(image.size) <= SWATCH:
        return False
    alpha = np.asarray(image.getchannel("A"))
    edges = np.concatenate([alpha[0], alpha[-1], alpha[:, 0], alpha[:, -1]])
    return bool(edges.max() <= CLEAR < alpha.max())


def _fade(length: int) -> NDArray[np.float32]:
    """How much of the unmoved picture is used along an axis: none at the edges, all of it in the middle."""
    place = np.abs(np.linspace(-1, 1, length))
    t = np.clip((1 - place) / 0.5, 0, 1)
    return np.asarray(t * t * (3 - 2 * t), dtype=np.float32)


def _cross_faded(pixels: NDArray[np.float32], axis: int) -> NDArray[np.float32]:
    length = pixels.shape[axis]
    moved = np.roll(pixels, length // 2, axis=axis)
    shape = [1, 1, 1]
    shape[axis] = length
    share = _fade(length).reshape(shape)
    return np.asarray(moved + (pixels - moved) * share, dtype=np.float32)


def mend(image: Image.Image, way: Mending, across: bool = True, down: bool = True) -> Image.Image:
    """A copy that meets itself along the axes named: faded into itself half a tile on, or beside its mirror image."""
    pixels = np.asarray(image).astype(np.float32)
    for axis, wanted in ((1, across), (0, down)):
        if wanted and way == "cross-fade":
            pixels = _cross_faded(pixels, axis)
        elif wanted:
            pixels = np.concatenate([pixels, np.flip(pixels, axis=axis)], axis=axis)
    return Image.fromarray(np.clip(np.rint(pixels), 0, 255).astype(np.uint8), image.mode)


NOTICED = 6.0
"""How deep slow light and dark within a tile must be to catch the eye, L*."""


def repeat_depth(image: Image.Image) -> float:
    """What stands out in a repeated tile: slow light and dark at a quarter of its size, L* from lowest to highest."""
    grey = cv2.cvtColor(_pixels(image), cv2.COLOR_RGB2LAB)[:, :, 0].astype(np.float32) * (100 / 255)
    side = max(1, min(grey.shape) // 4)
    slow = cv2.blur(np.tile(grey, (3, 3)), (side, side))
    return float(slow.max() - slow.min())


def noticeable(depth: float, tiles: float) -> bool:
    """Whether the eye finds the repeat: several tiles in sight, and something in each that stands out."""
    return tiles >= 2.5 and depth > NOTICED
