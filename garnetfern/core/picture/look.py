"""What a picture looks like: its main colours, how light and how busy it is, and where its detail and its calm lie."""

import math
from dataclasses import dataclass
from typing import Literal

import cv2
import numpy as np
from numpy.typing import NDArray
from PIL import Image

from ..colour.notation import Rgba
from ..colour.spaces import Pixels, level_luminance, lightness, oklab
from .subject import SHARP_SIDE, subject_of

SMALL = 96
"""The longer side of the picture that colours are counted on, px."""
GRID = 384
"""The longer side of the picture that detail is measured on, px."""
CELLS = 24
"""How many cells the map has along the picture's longer side."""
COLOURS = 5
FEWEST = 16
"""Pixels that are clustered at the least; OpenCV takes fewer rows than columns for another form of the same."""
CALM = 1.5
BUSY = 4.0
"""Mean fast deviation of L* below which a picture is calm, and above which it is busy."""

Orientation = Literal["landscape", "portrait", "square"]
Mood = Literal["calm", "mixed", "busy"]


@dataclass(frozen=True)
class Swatch:
    """A main colour and the share of the picture it stands for."""

    colour: str
    share: float


@dataclass(frozen=True)
class Look:
    """A picture's looks. `detail` is a map of rows of cells, each the fast deviation of L* there; `subject` one of how
    much of the subject lies in each (`subject_of`), and `clear` how
    clearly that is told; `light` is a map of the cells' mean L*."""

    colours: tuple[Swatch, ...]
    lightness: float
    busyness: float
    detail: tuple[tuple[float, ...], ...]
    subject: tuple[tuple[int, ...], ...] = ()
    clear: float = 0.0
    light: tuple[tuple[float, ...], ...] = ()

    @property
    def mood(self) -> Mood:
        """Calm, mixed or busy."""
        return "calm" if self.busyness < CALM else "busy" if self.busyness > BUSY else "mixed"


def orientation(width: int, height: int) -> Orientation:
    """Landscape or portrait, or square where the sides differ by less than a tenth."""
    if abs(width / height - 1) < 0.1:
        return "square"
    return "landscape" if width > height else "portrait"


def _flat(image: Image.Image, side: int) -> NDArray[np.uint8]:
    """The picture on white, its longer side `side` px at the most."""
    small = image.copy()
    small.thumbnail((side, side), Image.Resampling.BOX, reducing_gap=2.0)
    if small.mode == "RGBA":
        ground = Image.new("RGB", small.size, "white")
        ground.paste(small, mask=small.getchannel("A"))
        small = ground
    return np.asarray(small.convert("RGB"))


def main_colours(pixels: NDArray[np.uint8], count: int = COLOURS) -> tuple[Swatch, ...]:
    """The main colours by clustering in OKLab, the largest share first."""
    flat = pixels.reshape(-1, 3)
    if len(flat) < FEWEST:
        flat = np.tile(flat, (FEWEST, 1))
    labs = oklab(flat.astype(np.float32)).astype(np.float32)
    count = min(count, len(np.unique(flat, axis=0)))
    criteria = (cv2.TERM_CRITERIA_EPS + cv2.TERM_CRITERIA_MAX_ITER, 24, 0.002)
    cv2.setRNGSeed(7)
    _, labels, _ = cv2.kmeans(labs, count, np.empty((0,), np.int32), criteria, 2, cv2.KMEANS_PP_CENTERS)
    found = []
    for n in range(count):
        own = flat[labels.ravel() == n]
        if len(own):
            red, green, blue = (round(float(v)) for v in own.mean(axis=0))
            found.append(Swatch(Rgba(red, green, blue).hex, len(own) / len(flat)))
    return tuple(sorted(found, key=lambda s: -s.share))


def detail_of(pixels: NDArray[np.uint8]) -> Pixels:
    """Fast deviation of L* at every pixel: what is left after the slow part is removed, its local strength."""
    light = lightness(level_luminance(np.ascontiguousarray(pixels)))
    side = max(3, 2 * (max(pixels.shape[:2]) // 48) + 1)
    fast = light - cv2.blur(light, (side, side))
    return np.asarray(np.sqrt(np.maximum(cv2.blur(fast * fast, (side, side)), 0)), dtype=np.float32)


def _cells(values: Pixels, size: tuple[int, int]) -> tuple[tuple[float, ...], ...]:
    found = np.atleast_2d(cv2.resize(values, size, interpolation=cv2.INTER_AREA))
    return tuple(tuple(round(float(v), 1) for v in row) for row in found)


def look_of(image: Image.Image) -> Look:
    """Look at a decoded picture."""
    pixels = _flat(image, GRID)
    small = _flat(image, SMALL)
    detail = detail_of(pixels)
    height, width = detail.shape
    across = CELLS if width >= height else max(1, round(CELLS * width / height))
    down = CELLS if height > width else max(1, round(CELLS * height / width))
    tones = lightness(level_luminance(np.ascontiguousarray(pixels)))
    light = float(lightness(level_luminance(np.ascontiguousarray(small))).mean())
    subject = subject_of(_flat(image, SHARP_SIDE))
    return Look(
        main_colours(small),
        round(light, 1),
        round(float(detail.mean()), 2),
        _cells(detail, (across, down)),
        subject.cells,
        subject.clear,
        _cells(tones, (across, down)),
    )


def hue_name(colour: str) -> str:
    """A colour's plain name, for finding pictures by colour."""
    red, green, blue = (int(colour[i : i + 2], 16) for i in (1, 3, 5))
    light, a, b = (float(v) for v in oklab(np.array([red, green, blue], dtype=np.float32)))
    chroma, hue = math.hypot(a, b), math.degrees(math.atan2(b, a)) % 360
    if chroma < 0.035:
        return "black" if light < 0.3 else "white" if light > 0.9 else "grey"
    if light < 0.22:
        return "black"
    names: tuple[tuple[int, str], ...] = (
        (15, "pink"),
        (45, "red"),
        (75, "orange" if light > 0.6 else "brown"),
        (112, "yellow"),
        (165, "green"),
    )
    names += ((215, "teal"), (280, "blue"), (325, "purple"), (361, "pink"))
    found = next(name for limit, name in names if hue < limit)
    return "brown" if found in ("yellow", "red", "orange") and light < 0.5 and chroma < 0.1 else found
