"""Where a picture's subject lies, as far as pixels tell it without knowing what they show.

Three maps of a small copy say how likely a place belongs to the subject: how much lightness differs within it, how
sharp it is, and how far its colour is from those along the picture's border. Where things stand in photographs says
the rest. The weights are a logistic fit over half of the labelled set of `tests/subjects`; `docs/subjects.md` says
what it keeps in sight on the other half.
"""

from typing import NamedTuple

import cv2
import numpy as np
from numpy.typing import NDArray

from ..colour.spaces import Pixels, oklab

SHARP_SIDE, SIDE = 576, 192
"""The longer side of the copies that sharpness, and everything else, is measured on, px."""
CELLS = 24
"""Cells of the map along either side of the picture."""
NEAR = 9
"""The side of the square that lightness is compared in, px."""
BORDER, COLOURS, LEAST = 0.06, 10, 0.03
"""The border's width as a share of the longer side; how many colours stand for it, and the share one must have."""
SPREAD = 5
"""Over so many cells the maps are evened out before it is asked how much they differ."""
EVEN, PLAIN = 0.25, 0.35
"""Patterns (bricks, gravel, grass, noise) differ by 0.09 to 0.23, the marked photographs by 0.27 to 0.87, half of them
by 0.55 at least."""
FULL = 1000
"""What a cell weighs that is certain to be of the subject."""
POWER = 4
WEIGHTS = np.array([1.44, 0.62, 2.14, -0.30, -3.12, 7.34, -7.12, -0.98, -1.59, -1.13])
"""Of the three maps, of d, d², y, y², r y, r y² and one: d is the distance from the vertical middle line, 0..1, y the
place from top to foot, 0..1, r the logarithm of the picture's proportion, -0.8..0.8."""


def _stretched(values: Pixels) -> Pixels:
    """From the 1st to the 99th percentile as 0..1."""
    low, high = np.percentile(values, (1, 99))
    return np.asarray(np.clip((values - low) / max(float(high - low), 1e-6), 0, 1), dtype=np.float32)


def _shrunk(pixels: NDArray[np.uint8], side: int) -> NDArray[np.uint8]:
    height, width = pixels.shape[:2]
    share = side / max(height, width)
    size = max(NEAR, round(width * share)), max(NEAR, round(height * share))
    found = cv2.resize(pixels, size, interpolation=cv2.INTER_AREA if share < 1 else cv2.INTER_LINEAR)
    return np.asarray(found, dtype=np.uint8)


def _uneven(light: Pixels) -> Pixels:
    """The local deviation of lightness."""
    mean, square = cv2.blur(light, (NEAR, NEAR)), cv2.blur(light * light, (NEAR, NEAR))
    return np.asarray(np.sqrt(np.maximum(square - mean * mean, 0)), dtype=np.float32)


def _sharp(pixels: NDArray[np.uint8], size: tuple[int, int]) -> Pixels:
    """What a blur takes away, its root, spread a little."""
    grey = cv2.cvtColor(pixels, cv2.COLOR_RGB2GRAY).astype(np.float32)
    lost = cv2.resize(np.abs(grey - cv2.GaussianBlur(grey, (0, 0), 1.2)), size, interpolation=cv2.INTER_AREA)
    return np.asarray(cv2.GaussianBlur(np.sqrt(lost), (0, 0), 3), dtype=np.float32)


def _unlike_the_border(lab: Pixels) -> Pixels:
    """The distance of each pixel's colour to the nearest of those that the picture's border is made of."""
    height, width = lab.shape[:2]
    wide = max(1, round(BORDER * max(height, width)))
    border = np.ones((height, width), dtype=bool)
    border[wide:-wide, wide:-wide] = False
    colours = np.ascontiguousarray(lab[border])
    criteria = (cv2.TERM_CRITERIA_MAX_ITER + cv2.TERM_CRITERIA_EPS, 20, 1e-3)
    cv2.setRNGSeed(1)
    _, labels, centres = cv2.kmeans(colours, COLOURS, np.empty((0,), np.int32), criteria, 1, cv2.KMEANS_PP_CENTERS)
    shares = np.bincount(labels.ravel(), minlength=COLOURS) / len(colours)
    common = centres[shares >= LEAST]
    away = [((lab - centre) ** 2).sum(axis=-1) for centre in common]
    return np.asarray(np.sqrt(np.minimum.reduce(away)), dtype=np.float32)


def _places(width: int, height: int) -> Pixels:
    """What is known of each cell by its place alone: cells x cells x 7."""
    down, across = (np.mgrid[0:CELLS, 0:CELLS] + 0.5) / CELLS
    off = 2 * np.abs(across - 0.5)
    shape = float(np.clip(np.log(width / height), -0.8, 0.8))
    parts = (off, off**2, down, down**2, shape * down, shape * down**2, np.ones_like(down))
    return np.stack(parts, axis=-1).astype(np.float32)


class Subject(NamedTuple):
    """How much of the subject lies in each cell, as rows of `CELLS` x `CELLS` weights, 0..`FULL`; and how much the maps
    differ from place to place, by which a subject can be told from a pattern: below `EVEN` nothing stands out."""

    cells: tuple[tuple[int, ...], ...]
    clear: float


def subject_of(pixels: NDArray[np.uint8]) -> Subject:
    """Where the subject lies. `pixels`: the picture, height x width x 3, any size; it is shrunk here."""
    large = _shrunk(np.ascontiguousarray(pixels), SHARP_SIDE)
    small = _shrunk(large, SIDE)
    lab = oklab(small.astype(np.float32)) * np.array([1, 2, 2], dtype=np.float32)
    height, width = small.shape[:2]
    maps = (_uneven(np.ascontiguousarray(lab[..., 0])), _sharp(large, (width, height)), _unlike_the_border(lab))
    cells = [cv2.resize(_stretched(m), (CELLS, CELLS), interpolation=cv2.INTER_AREA) for m in maps]
    seen = (np.stack(cells, axis=-1) @ WEIGHTS[: len(maps)]).astype(np.float32)
    likely = 1 / (1 + np.exp(-(seen + _places(width, height) @ WEIGHTS[len(maps) :])))
    rows = tuple(tuple(round(FULL * float(v)) for v in row) for row in likely**POWER)
    return Subject(rows, round(float(cv2.blur(seen, (SPREAD, SPREAD)).std()), 3))
