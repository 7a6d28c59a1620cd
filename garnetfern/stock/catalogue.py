"""A stand-in for a stock-picture service: pictures drawn by our own code, searchable, each with a credit line."""

import io
import json
from collections.abc import Callable
from dataclasses import dataclass
from functools import lru_cache
from pathlib import Path

import cv2
import numpy as np
from PIL import Image
from typing_extensions import TypedDict

from .brush import Canvas, frond, glow, grain, haze, panes, rgb, slope, softened

THUMBS = Path(__file__).resolve().parent / "small"
Rng = np.random.Generator
Palette = tuple[str, str, str, str]
"""From dark to light: two darks, a middle, a light."""

FERN: Palette = ("10241a", "2c5238", "6d9a5a", "d9e6c0")
AUTUMN: Palette = ("2a1710", "6a3a1e", "b97a35", "f2dcb0")
DUSK: Palette = ("0c1322", "27344f", "6d7ba0", "e3d9e6")
ROSE: Palette = ("2b1019", "7a2f45", "c4788a", "f6e3e2")
FROST: Palette = ("243640", "5d7d88", "a9c3c8", "f1f6f5")


def _bench(rng: Rng, w: int, h: int, p: Palette) -> Canvas:
    canvas = slope(w, h, [(0, p[3]), (0.5, p[2]), (1, p[1])], 10)
    for sigma in (8.0, 3.0, 0.8):
        for _ in range(18):
            root = (rng.uniform(-0.1, 1.1) * w, h * 1.05)
            frond(
                canvas, rng, root, -1.57 + rng.normal(0, 0.4), h * rng.uniform(0.4, 0.8), rng.normal(0, 1), p[0], p[2]
            )
        canvas = softened(canvas, sigma * w / 1600)
    return canvas


def _roof(rng: Rng, w: int, h: int, p: Palette) -> Canvas:
    canvas = slope(w, h, [(0, p[3]), (0.6, p[2]), (1, p[1])], -8)
    focus = (rng.uniform(0.3, 0.7), 0.9)
    glow(canvas, (focus[0], 0.35), 0.3, p[3], 0.8)
    panes(canvas, p[1], focus, 17, 8, w / 400)
    return softened(canvas, 2)


def _lamps(rng: Rng, w: int, h: int, p: Palette) -> Canvas:
    canvas = slope(w, h, [(0, p[0]), (1, "05080a")], 0)
    for _ in range(46):
        x, y, size = rng.uniform(0, 1), rng.beta(1.4, 2.4), rng.uniform(0.01, 0.05)
        glow(canvas, (x, y), size, p[2], 0.55)
        glow(canvas, (x, y), size / 4, p[3], 0.95)
    return canvas


def _window(rng: Rng, w: int, h: int, p: Palette) -> Canvas:
    canvas = slope(w, h, [(0, p[3]), (1, p[2])], rng.uniform(-30, 30))
    canvas += (haze(rng, w, h, w // 8)[..., None] - 0.5) * 26
    for x, y, size in rng.random((900, 3)):
        cv2.circle(canvas, (int(x * w), int(y * h)), 1 + int(5 * size**3), rgb(p[3]), -1, cv2.LINE_8)
    return softened(canvas, 1.3)


def _wall(rng: Rng, w: int, h: int, p: Palette) -> Canvas:
    canvas = slope(w, h, [(0, p[3]), (0.6, p[2]), (1, p[1])], 60)
    for n in range(5):
        left = w * (0.05 + 0.17 * n)
        shape = np.array([[left, 0], [left + w * 0.09, 0], [left + w * 0.24, h], [left + w * 0.13, h]])
        light = canvas.copy()
        cv2.fillPoly(light, [np.round(shape * 16).astype(np.int32)], rgb(p[3]), cv2.LINE_8, 4)
        canvas += (light - canvas) * np.float32(0.32)
    canvas += (haze(rng, w, h, w // 6)[..., None] - 0.5) * 18
    return softened(canvas, 8)


def _pots(rng: Rng, w: int, h: int, p: Palette) -> Canvas:
    canvas = slope(w, h, [(0, p[3]), (0.62, p[3]), (0.66, p[1]), (1, p[0])], 0)
    for n in range(5):
        x, wide, tall = w * (0.1 + 0.2 * n + rng.normal(0, 0.02)), w * 0.075, h * rng.uniform(0.14, 0.22)
        for _ in range(16):
            root = (x + rng.normal(0, wide / 4), h * 0.66 - tall)
            frond(canvas, rng, root, rng.normal(-1.57, 0.6), h * 0.28, rng.normal(0, 1.2), p[0], p[2])
        pot = [
            (x - wide, h * 0.66 - tall),
            (x + wide, h * 0.66 - tall),
            (x + wide * 0.7, h * 0.68),
            (x - wide * 0.7, h * 0.68),
        ]
        cv2.fillPoly(canvas, [np.round(np.array(pot) * 16).astype(np.int32)], rgb(p[2]), cv2.LINE_8, 4)
    return softened(canvas, 1)


def _gravel(rng: Rng, w: int, h: int, p: Palette) -> Canvas:
    canvas = slope(w, h, [(0, p[1]), (1, p[0])], 0)
    tones = [np.array(rgb(c)) for c in p]
    for x, y, size, tone, turn in rng.random((5200, 5)):
        colour = tones[1] + (tones[3] - tones[1]) * tone
        axes = (int((4 + 13 * size) * w / 1600), int((3 + 8 * size) * w / 1600))
        cv2.ellipse(canvas, (int(x * w), int(y * h)), axes, turn * 180, 0, 360, colour.tolist(), -1, cv2.LINE_8)
    return softened(canvas, 0.8)


def _pond(rng: Rng, w: int, h: int, p: Palette) -> Canvas:
    canvas = slope(w, h, [(0, p[2]), (0.5, p[1]), (1, p[0])], 20)
    y = np.linspace(0, 1, h)[:, None]
    x = np.linspace(0, 1, w)[None, :]
    waves = np.sin(90 * y**1.3 + 5 * np.sin(7 * x + 4 * y)) * (0.3 + y)
    canvas += (waves * 9).astype(np.float32)[..., None]
    for _ in range(22):
        place, size = (rng.random() * w, h * rng.beta(2, 1.4)), rng.uniform(0.02, 0.06) * w
        axes = (int(size), int(size * 0.42))
        cv2.ellipse(canvas, (int(place[0]), int(place[1])), axes, 0, 25, 335, rgb(p[2]), -1, cv2.LINE_8)
    return softened(canvas, 1.4)


@dataclass(frozen=True)
class StockPicture:
    """A picture on offer: what it is called, words to find it by, its size, and how it is drawn."""

    id: str
    title: str
    words: tuple[str, ...]
    size: tuple[int, int]
    draw: Callable[[Rng, int, int, Palette], Canvas]
    palette: Palette

    @property
    def credit(self) -> str:
        """The line that has to be named with it."""
        return f"{self.title}: Marrowby picture loan, drawn for the fern house"


WIDE, TALL, EVEN = (1800, 1200), (1200, 1800), (1400, 1400)
_KINDS: tuple[tuple[str, str, tuple[str, ...], Callable[[Rng, int, int, Palette], Canvas]], ...] = (
    ("bench", "Fern bench", ("fern", "leaf", "plant", "bench"), _bench),
    ("roof", "Glass roof", ("glass", "roof", "sky", "light", "panes"), _roof),
    ("lamps", "Lamps", ("lamp", "night", "fair", "light", "dark"), _lamps),
    ("window", "Misted window", ("window", "mist", "rain", "drops", "calm"), _window),
    ("wall", "Light on a wall", ("wall", "plaster", "light", "room", "calm"), _wall),
    ("pots", "Pots on a shelf", ("pot", "shelf", "plant", "fern"), _pots),
    ("gravel", "Gravel path", ("gravel", "stone", "path", "texture", "busy"), _gravel),
    ("pond", "Pond", ("pond", "water", "leaf", "wave"), _pond),
)
_MOODS = (("in summer", FERN, WIDE), ("in autumn", AUTUMN, TALL), ("at dusk", DUSK, WIDE))
_EXTRA = (
    ("in rose light", ROSE, EVEN, "window"),
    ("in frost", FROST, WIDE, "bench"),
    ("in frost", FROST, TALL, "roof"),
)


def _catalogue() -> tuple[StockPicture, ...]:
    found = []
    for key, title, words, draw in _KINDS:
        moods = [*_MOODS, *((m, p, s) for m, p, s, kind in _EXTRA if kind == key)]
        for mood, palette, size in moods:
            name = f"{key}-{mood.split(' ', 1)[1].replace(' ', '-')}"
            found.append(StockPicture(name, f"{title} {mood}", (*words, *mood.split()[1:]), size, draw, palette))
    return tuple(found)


CATALOGUE = _catalogue()
BY_ID = {picture.id: picture for picture in CATALOGUE}


@lru_cache(maxsize=4)
def draw_stock(name: str) -> bytes:
    """A stock picture as JPEG bytes, the same every time."""
    picture = BY_ID[name]
    rng = np.random.default_rng(sum(ord(c) * (n + 1) for n, c in enumerate(name)))
    canvas = picture.draw(rng, *picture.size, picture.palette)
    grain(rng, canvas, 2.5)
    out = io.BytesIO()
    Image.fromarray(np.clip(canvas, 0, 255).astype(np.uint8)).save(out, "JPEG", quality=88)
    return out.getvalue()


class StockFacts(TypedDict):
    """The main colours of a picture on offer, their names, and whether it is calm or busy."""

    colours: list[str]
    names: list[str]
    mood: str


@lru_cache(maxsize=1)
def stock_facts() -> dict[str, StockFacts]:
    """Main colours and their names by picture, written by scripts/stock_thumbs.py beside the small pictures."""
    found: dict[str, StockFacts] = json.loads((THUMBS / "facts.json").read_text())
    return found
