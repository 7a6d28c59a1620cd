"""Small sample pictures: a tile that meets itself on every side, a thin strip that fades, the mark of the house."""

import io
from functools import lru_cache

import numpy as np
from PIL import Image, ImageDraw

SIDE = 96
SCALE = 4


def fern_tile() -> Image.Image:
    """Sprigs on pale green. Each is drawn nine times, once for every neighbour, so that no edge cuts it."""
    big = SIDE * SCALE
    image = Image.new("RGB", (big, big), "#e6ebdb")
    pen = ImageDraw.Draw(image)
    for x, y, turn, ink in ((0.22, 0.3, 0.4, "#b9c9a8"), (0.72, 0.18, 2.1, "#c8d3b6"), (0.5, 0.74, -0.8, "#b1c3a2")):
        for dx in (-1, 0, 1):
            for dy in (-1, 0, 1):
                _sprig(pen, (x + dx) * big, (y + dy) * big, turn, big * 0.34, ink)
    return image.resize((SIDE, SIDE), Image.Resampling.BOX)


def _sprig(
    pen: ImageDraw.ImageDraw, x: float, y: float, turn: float, length: float, ink: str, stem: int = SCALE
) -> None:
    along, across = np.array([np.cos(turn), np.sin(turn)]), np.array([-np.sin(turn), np.cos(turn)])
    start = np.array([x, y]) - along * length / 2
    pen.line([tuple(start), tuple(start + along * length)], fill=ink, width=stem)
    for n in range(9):
        at = start + along * length * (0.1 + 0.1 * n)
        size = length * 0.24 * (1 - n / 11)
        for side in (-1, 1):
            tip = at + across * side * size + along * size * 0.6
            middle = (at + tip) / 2
            pen.polygon(
                [tuple(at), tuple(middle + along * size * 0.16), tuple(tip), tuple(middle - along * size * 0.16)], ink
            )


def fade_strip() -> Image.Image:
    """4 x 900 px, from a deep green into a pale one."""
    top, foot = np.array([46.0, 79.0, 62.0]), np.array([223.0, 232.0, 221.0])
    t = np.linspace(0, 1, 900)[:, None] ** 0.8
    column = np.rint(top + (foot - top) * t).astype(np.uint8)
    return Image.fromarray(np.repeat(column[:, None, :], 4, axis=1))


def house_mark() -> Image.Image:
    """The mark of the house: a frond in a ring, on nothing."""
    side = 320 * SCALE
    image = Image.new("RGBA", (side, side), "#23332b00")
    pen = ImageDraw.Draw(image)
    edge = side * 0.03
    pen.ellipse((edge, edge, side - edge, side - edge), outline="#23332b", width=int(side * 0.035))
    _sprig(pen, side * 0.5, side * 0.52, -1.35, side * 0.66, "#23332b", SCALE * 7)
    return image.resize((320, 320), Image.Resampling.BOX)


DRAWN = {"fern-tile": fern_tile, "fade-strip": fade_strip, "house-mark": house_mark}
SMALL = tuple(DRAWN)


@lru_cache(maxsize=4)
def draw_small(name: str) -> bytes:
    """A small sample picture as PNG bytes."""
    out = io.BytesIO()
    DRAWN[name]().save(out, "PNG")
    return out.getvalue()
