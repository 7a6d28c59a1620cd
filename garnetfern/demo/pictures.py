"""The sample pictures. Each is one function that draws at twice the size and is shrunk, so that edges are smooth."""

import io
from collections.abc import Callable
from functools import lru_cache

import cv2
import numpy as np
from PIL import Image

from ..stock.brush import Canvas, frond, glow, grain, haze, panes, rgb, slope, softened
from .kept import kept

WIDTH, HEIGHT = 2400, 1600


def glasshouse_dawn(rng: np.random.Generator) -> Canvas:
    """Ferns on the left before a bright glass roof on the right: busy, light on one side, dark on the other."""
    canvas = slope(WIDTH, HEIGHT, [(0, "d9c9a4"), (0.45, "c9bfa2"), (1, "5f7a68")], 12)
    canvas += (haze(rng, WIDTH, HEIGHT, 512)[..., None] - 0.5) * 26
    glow(canvas, (0.67, 0.3), 0.27, "fff3d2", 0.92)
    panes(canvas, "8d8b78", (0.66, 0.86), 15, 7, 6)
    canvas = softened(canvas, 5)
    glow(canvas, (0.66, 0.34), 0.17, "fffaf0", 0.85)
    for depth, (count, sigma) in enumerate(((26, 7.0), (24, 3.0), (22, 0.8))):
        dark = ("4a6a56", "264a38", "0c2218")[depth]
        light = ("8fa98a", "5d8a5c", "4d8449")[depth]
        for _ in range(count):
            place = rng.beta(1.1, 2.2) * 1.2 - 0.1
            root = (place * WIDTH, HEIGHT * (1.08 - 0.02 * depth))
            reach = HEIGHT * (0.98 - 0.62 * np.clip(place, 0, 1)) * rng.uniform(0.65, 1.0)
            lean = -np.pi / 2 + rng.normal(0, 0.35)
            frond(canvas, rng, root, lean, reach, rng.normal(0, 0.9), dark, light)
        canvas = softened(canvas, sigma)
    shade = np.clip(1.15 - np.linspace(0, 1, WIDTH) * 1.9, 0, 0.62)[None, :, None]
    canvas += (np.array(rgb("0a1a13"), dtype=np.float32) - canvas) * shade.astype(np.float32)
    grain(rng, canvas, 3.5)
    return canvas


def misted_panes(rng: np.random.Generator) -> Canvas:
    """Misted glass with one frond behind it: light and calm, the subject at the right edge."""
    canvas = slope(WIDTH, HEIGHT, [(0, "eef1ea"), (0.6, "dfe7de"), (1, "c3d2c4")], 8)
    for n in range(9):
        root = (WIDTH * (0.8 + 0.03 * n), HEIGHT * 1.05)
        frond(canvas, rng, root, -1.75 - 0.05 * n, HEIGHT * (0.9 - 0.05 * n), -0.7, "6f8f74", "a3bd9c")
    canvas = softened(canvas, 16)
    canvas += (haze(rng, WIDTH, HEIGHT, 256)[..., None] - 0.5) * 18
    drops = rng.random((700, 3))
    for x, y, size in drops:
        spot = (int(x * WIDTH), int(y * HEIGHT))
        cv2.circle(canvas, spot, 1 + int(4 * size**3), rgb("f8fbf6"), -1, cv2.LINE_8)
    canvas = softened(canvas, 1.2)
    grain(rng, canvas, 2)
    return canvas


def lantern_night(rng: np.random.Generator) -> Canvas:
    """The fern fair after dark: nearly black, with strings of warm lamps in the upper third."""
    canvas = slope(WIDTH, HEIGHT, [(0, "0d1422"), (0.5, "121a1c"), (1, "060b09")], 0)
    for n in range(16):
        root = (WIDTH * (n / 15), HEIGHT * 1.06)
        frond(canvas, rng, root, -1.57 + rng.normal(0, 0.3), HEIGHT * 0.5, rng.normal(0, 1), "050b08", "173023")
    canvas = softened(canvas, 3)
    for string in range(3):
        for n in range(13):
            x = n / 12
            y = 0.12 + 0.1 * string + 0.09 * (1 - (2 * x - 1) ** 2) + rng.normal(0, 0.004)
            glow(canvas, (x, y), 0.03, "ff9e3d", 0.5)
            glow(canvas, (x, y), 0.006, "fff0c4", 0.98)
    grain(rng, canvas, 4)
    return canvas


def fern_close(rng: np.random.Generator) -> Canvas:
    """Fronds from very near: busy everywhere, middle greens, the brightest crown left of the middle."""
    canvas = slope(WIDTH, HEIGHT, [(0, "35523a"), (1, "16281c")], 30)
    for depth in range(4):
        for _ in range(20):
            root = (rng.uniform(-0.1, 1.1) * WIDTH, rng.uniform(0.3, 1.1) * HEIGHT)
            light = ("4f7a4a", "6c9a58", "8fb96a", "b6d67f")[depth]
            frond(canvas, rng, root, rng.uniform(-2.8, -0.3), HEIGHT * 0.6, rng.normal(0, 1.2), "1d3a24", light)
        canvas = softened(canvas, (9, 5, 2, 0.7)[depth])
    glow(canvas, (0.3, 0.32), 0.2, "e4f0b4", 0.45)
    grain(rng, canvas, 3)
    return canvas


def reading_room(rng: np.random.Generator) -> Canvas:
    """A plastered wall in evening light with one potted fern at the lower right: warm, calm, half bright."""
    canvas = slope(WIDTH, HEIGHT, [(0, "e8d3b0"), (0.55, "cfae84"), (1, "7d5f46")], 65)
    canvas += (haze(rng, WIDTH, HEIGHT, 400)[..., None] - 0.5) * 20
    for n in range(4):
        left = WIDTH * (0.12 + 0.14 * n)
        pane = np.array([[left, 0], [left + 210, 0], [left + 520, HEIGHT * 0.7], [left + 310, HEIGHT * 0.7]])
        light = canvas.copy()
        cv2.fillPoly(light, [np.round(pane * 16).astype(np.int32)], rgb("fff0cf"), cv2.LINE_8, 4)
        canvas += (light - canvas) * np.float32(0.33)
    canvas = softened(canvas, 9)
    pot = np.array([[0.77, 0.8], [0.89, 0.8], [0.875, 1.0], [0.785, 1.0]]) * (WIDTH, HEIGHT)
    for _ in range(26):
        root = (WIDTH * rng.uniform(0.79, 0.87), HEIGHT * 0.81)
        frond(canvas, rng, root, rng.normal(-1.57, 0.6), HEIGHT * 0.42, rng.normal(0, 1.3), "1f3b26", "6f9455")
    cv2.fillPoly(canvas, [np.round(pot * 16).astype(np.int32)], rgb("8c4a32"), cv2.LINE_8, 4)
    canvas = softened(canvas, 0.9)
    grain(rng, canvas, 3)
    return canvas


DRAWERS: dict[str, Callable[[np.random.Generator], Canvas]] = {
    "glasshouse-dawn": glasshouse_dawn,
    "misted-panes": misted_panes,
    "lantern-night": lantern_night,
    "fern-close": fern_close,
    "reading-room": reading_room,
}


@lru_cache(maxsize=8)
def draw_picture(name: str) -> bytes:
    """A sample picture as JPEG bytes, the same every time; as it was kept, where it was."""
    return kept(name, lambda: painted(name))


def painted(name: str) -> bytes:
    """The same, drawn now."""
    rng = np.random.default_rng(sum(map(ord, name)))
    pixels = np.clip(DRAWERS[name](rng), 0, 255).astype(np.uint8)
    out = io.BytesIO()
    Image.fromarray(pixels).save(out, "JPEG", quality=88)
    return out.getvalue()
