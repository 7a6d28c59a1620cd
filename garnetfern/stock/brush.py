"""Brushes for the sample pictures: light, leaves, glass, haze and grain. BGR is never used: arrays are RGB floats."""

import cv2
import numpy as np
from numpy.typing import NDArray

Canvas = NDArray[np.float32]
Colour = tuple[float, float, float]


def rgb(text: str) -> Colour:
    """A colour from six hexadecimal digits."""
    return tuple(float(int(text[i : i + 2], 16)) for i in (0, 2, 4))  # type: ignore[return-value]


def slope(width: int, height: int, stops: list[tuple[float, str]], angle: float) -> Canvas:
    """A straight gradient; `angle` in degrees, 0 running down."""
    y, x = np.mgrid[0:height, 0:width].astype(np.float32)
    turn = np.deg2rad(angle)
    t = (x / width - 0.5) * np.sin(turn) + (y / height - 0.5) * np.cos(turn)
    t = (t - t.min()) / (t.max() - t.min())
    at = np.array([s[0] for s in stops])
    colours = np.array([rgb(s[1]) for s in stops])
    return np.stack([np.interp(t, at, colours[:, k]) for k in range(3)], axis=-1).astype(np.float32)


def glow(canvas: Canvas, centre: tuple[float, float], radius: float, colour: str, strength: float) -> None:
    """Light around a spot (fractions of the size; the radius in fractions of the width)."""
    height, width = canvas.shape[:2]
    x0, y0, reach = centre[0] * width, centre[1] * height, 3 * radius * width
    left, right = max(0, int(x0 - reach)), min(width, int(x0 + reach) + 1)
    top, foot = max(0, int(y0 - reach)), min(height, int(y0 + reach) + 1)
    if right <= left or foot <= top:
        return
    y, x = np.mgrid[top:foot, left:right].astype(np.float32)
    d = ((x - x0) ** 2 + (y - y0) ** 2) / (radius * width) ** 2
    amount = (strength * np.exp(-d))[..., None]
    part = canvas[top:foot, left:right]
    part += (np.array(rgb(colour), dtype=np.float32) - part) * amount


def haze(rng: np.random.Generator, width: int, height: int, cell: int) -> NDArray[np.float32]:
    """Smooth noise 0..1, its clouds about `cell` px wide."""
    total = np.zeros((height, width), dtype=np.float32)
    weight = 1.0
    while cell >= 4:
        small = rng.random((height // cell + 2, width // cell + 2)).astype(np.float32)
        total += weight * cv2.resize(small, (width, height), interpolation=cv2.INTER_CUBIC)
        cell //= 2
        weight *= 0.5
    return np.asarray((total - total.min()) / (total.max() - total.min()), dtype=np.float32)


def grain(rng: np.random.Generator, canvas: Canvas, amount: float) -> None:
    """The noise of a camera."""
    canvas += rng.normal(0, amount, canvas.shape[:2]).astype(np.float32)[..., None]


def softened(canvas: Canvas, sigma: float) -> Canvas:
    """Out of focus."""
    return np.asarray(cv2.GaussianBlur(canvas, (0, 0), sigma), dtype=np.float32)


_ALONG = np.linspace(0, 1, 9)
_HALF = np.sin(np.pi * _ALONG**0.8) * (1 - 0.3 * _ALONG)
"""A leaflet's outline: how far along, and how wide there."""

Leaflet = tuple[NDArray[np.float64], float, float]
"""Where it grows, its angle, its length."""


def _outlines(leaflets: list[Leaflet]) -> NDArray[np.int32]:
    """The outlines of leaflets in sixteenths of a px: leaflets x points x 2."""
    at = np.array([place for place, _, _ in leaflets])[:, None, :]
    angles = np.array([angle for _, angle, _ in leaflets])[:, None]
    lengths = np.array([length for _, _, length in leaflets])[:, None]
    half = np.maximum(1.6, lengths * 0.13) * _HALF
    along = np.concatenate([_ALONG * lengths, (_ALONG * lengths)[:, ::-1]], axis=1)
    across = np.concatenate([half, -half[:, ::-1]], axis=1)
    cos, sin = np.cos(angles), np.sin(angles)
    points = np.stack([along * cos - across * sin, along * sin + across * cos], axis=-1) + at
    return np.asarray(np.round(points * 16), dtype=np.int32)


def frond(
    canvas: Canvas,
    rng: np.random.Generator,
    root: tuple[float, float],
    angle: float,
    length: float,
    bend: float,
    dark: str,
    light: str,
) -> None:
    """A fern frond: a bent stem with leaflets that shorten towards its tip. Lengths in px, angles in radians."""
    steps = max(24, int(length / 11))
    at = np.array(root, dtype=np.float64)
    low, high = np.array(rgb(dark)), np.array(rgb(light))
    leaflets: list[Leaflet] = []
    tints: list[list[float]] = []
    stems: list[tuple[tuple[int, ...], tuple[int, ...]]] = []
    for n in range(steps):
        t = n / steps
        angle += bend / steps
        nxt = at + np.array([np.cos(angle), np.sin(angle)]) * length / steps
        size = length * 0.24 * (1 - t) ** 0.75 * min(1.0, 0.35 + 3 * t)
        shade = min(1.0, max(0.0, 0.15 + 0.75 * t + rng.normal(0, 0.12)))
        for side in (-1, 1):
            tints.append((low + (high - low) * min(1.0, max(0.0, shade + side * 0.09))).tolist())
            leaflets.append((at, angle + side * (1.15 - 0.35 * t) + rng.normal(0, 0.05), size))
        stems.append((tuple(int(v * 16) for v in at), tuple(int(v * 16) for v in nxt)))
        at = nxt
    outlines = _outlines(leaflets)
    for n, (start, end) in enumerate(stems):
        t = n / steps
        for leaf in (2 * n, 2 * n + 1):
            cv2.fillPoly(canvas, [outlines[leaf]], tints[leaf], cv2.LINE_8, 4)
        stem = (low + (high - low) * 0.5 * t).tolist()
        cv2.line(canvas, start, end, stem, max(1, int(length / 190 * (1 - t) + 1)), cv2.LINE_8, 4)


def panes(canvas: Canvas, colour: str, focus: tuple[float, float], columns: int, rows: int, thick: float) -> None:
    """The bars of a glass roof that run towards a vanishing point and arch across it."""
    height, width = canvas.shape[:2]
    ink = rgb(colour)
    fx, fy = focus[0] * width, focus[1] * height
    for n in range(columns + 1):
        x = (n / columns * 2.4 - 0.7) * width
        line = np.array([[x, -0.1 * height], [fx + (x - fx) * 0.25, fy]], dtype=np.float64)
        cv2.polylines(canvas, [np.round(line * 16).astype(np.int32)], False, ink, max(1, int(thick)), cv2.LINE_8, 4)
    for n in range(rows):
        y = (n / rows) ** 1.5 * fy * 1.05
        xs = np.linspace(-0.05, 1.05, 60)
        ys = y + 0.07 * height * (4 * (xs - focus[0]) ** 2) * (1 - n / rows)
        line = np.stack([xs * width, ys], axis=-1)
        weight = max(1, int(thick * (1 - 0.5 * n / rows)))
        cv2.polylines(canvas, [np.round(line * 16).astype(np.int32)], False, ink, weight, cv2.LINE_8, 4)
