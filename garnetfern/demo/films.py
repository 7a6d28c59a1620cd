"""The sample film: mist among ferns, drops that fall, and the sun that moves over fronds; its end is its beginning."""

import io
from collections.abc import Iterator
from fractions import Fraction
from functools import lru_cache

import cv2
import numpy as np
from numpy.typing import NDArray
from PIL import Image

from ..core.film.coding import coded
from ..core.film.colour import Rgb
from .kept import kept
from .pictures import draw_picture

FILM = "mist-and-sun"
"""What the film is called."""

WIDTH, HEIGHT, RATE, SECONDS = 1280, 720, 24, 6
COUNT = RATE * SECONDS
TURN = 2 * np.pi
Values = NDArray[np.float32]


def _fronds() -> Values:
    """What the film looks at."""
    picture = Image.open(io.BytesIO(draw_picture("fern-close"))).resize((WIDTH, WIDTH * 2 // 3))
    top = (picture.height - HEIGHT) // 2
    return np.asarray(picture.crop((0, top, WIDTH, top + HEIGHT)), dtype=np.float32)


def _mist(rng: np.random.Generator, share: float) -> Values:
    """Waves that pass whole numbers of times, so that a loop closes; 0..1, at an eighth of the size."""
    y, x = np.mgrid[0 : HEIGHT // 8, 0 : WIDTH // 8].astype(np.float32) / np.float32(WIDTH // 8)
    found = np.zeros_like(x)
    for n in range(14):
        across, down = rng.normal(0, 2.2) + 1.5, rng.normal(0, 2.6)
        times = int(rng.integers(1, 3)) * (1 if n % 3 else -1)
        phase = rng.uniform(0, TURN) + TURN * share * times
        found += np.cos(TURN * (across * x + down * y) + phase).astype(np.float32) / np.float32(14)
    return np.asarray(np.clip(0.5 + found * 1.6, 0, 1), dtype=np.float32)


def _drops(frame: Values, rng: np.random.Generator, share: float) -> None:
    """Drops that each fall once or twice in a loop, faster and faster."""
    for _ in range(16):
        x, begin, times = rng.uniform(0.05, 0.95), rng.uniform(0, 1), int(rng.integers(1, 3))
        fall = (share * times + begin) % 1.0
        y = 1.5 * fall**2 - 0.1
        spot = (round(x * WIDTH), round(y * HEIGHT))
        long = 3 + round(26 * fall)
        cv2.line(frame, spot, (spot[0], spot[1] - long), (214, 232, 220), 2, cv2.LINE_AA)


def _large(small: Values) -> Values:
    return np.asarray(cv2.resize(small, (WIDTH, HEIGHT), interpolation=cv2.INTER_CUBIC), dtype=np.float32)


def frames() -> Iterator[Rgb]:
    """The film's pictures, in order. What is soft is made at an eighth of the size."""
    fronds = _fronds()
    y, x = np.mgrid[0:HEIGHT:8, 0:WIDTH:8].astype(np.float32)
    low = np.clip((y / HEIGHT - 0.25) * 1.2, 0, 0.75)
    for n in range(COUNT):
        share = n / COUNT
        sun = (WIDTH * (0.56 - 0.34 * np.cos(TURN * share)), HEIGHT * (0.42 + 0.16 * np.sin(TURN * share)))
        light = np.exp(-(((x - sun[0]) / (WIDTH * 0.24)) ** 2) - ((y - sun[1]) / (HEIGHT * 0.4)) ** 2)
        veil = _mist(np.random.default_rng(7), share) * low * np.float32(0.42)
        # the light falls on fronds and hangs in the air; mist lies over both
        gain = (np.float32(0.34) + light * np.float32(0.62)) * (1 - veil)
        air = light[..., None] * np.array([52, 48, 20], dtype=np.float32) * (1 - veil[..., None])
        air += veil[..., None] * np.array([150, 170, 160], dtype=np.float32)
        frame = fronds * cv2.merge([_large(gain)] * 3)
        frame += _large(air.astype(np.float32))
        _drops(frame, np.random.default_rng(11), share)
        yield np.clip(frame, 0, 255, out=frame).astype(np.uint8)


@lru_cache(maxsize=1)
def draw_film() -> bytes:
    """The film as MP4; as it was kept, where it was."""
    return kept(FILM, filmed)


def filmed() -> bytes:
    """The same, drawn now."""
    return coded(frames, COUNT, Fraction(RATE), (WIDTH, HEIGHT), "h264", 20_000_000, lambda _: None, "veryfast").data
