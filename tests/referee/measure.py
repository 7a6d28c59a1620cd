"""The reading of a block, measured on screenshots. Shares no code with the product: the definition, written again.

A letter's ring is its ink grown by max(1 px, 0.08 em); luminance is averaged in linear light over a patch of
max(3 px, 0.25 em); a letter's ratio is what 90 % of its ring reaches.
"""

from typing import Any

import cv2
import numpy as np
from numpy.typing import NDArray

Image = NDArray[np.float32]


def linear(image: Image) -> NDArray[np.float64]:
    """sRGB 0..255 to linear light, by the formula."""
    c = image.astype(np.float64) / 255
    return np.where(c <= 0.04045, c / 12.92, ((c + 0.055) / 1.055) ** 2.4)


def luminance(image: Image) -> NDArray[np.float64]:
    """Relative luminance."""
    light = linear(image)
    return 0.2126 * light[..., 0] + 0.7152 * light[..., 1] + 0.0722 * light[..., 2]


def letter_ratios(
    ground: Image, inks: list[Image], letters: list[list[Any]], size: float, fill: tuple[float, float, float, float]
) -> list[tuple[str, float]]:
    """The ratio of every letter. `inks` are the letters of each class in black on white, `fill` has alpha 0..1."""
    side = 2 * int(np.floor((max(3.0, 0.25 * size) - 1) / 2 + 0.5)) + 1
    radius = max(1.0, 0.08 * size)
    reach = int(np.ceil(radius))
    yy, xx = np.mgrid[-reach : reach + 1, -reach : reach + 1]
    kernel = ((yy * yy + xx * xx) <= radius * radius + 0.25).astype(np.uint8)
    covers = [(255 - ink[..., 0]) / 255 for ink in inks]
    behind = cv2.blur(luminance(ground), (side, side), borderType=cv2.BORDER_REPLICATE)
    red, green, blue, alpha = fill
    shown = ground * (1 - alpha) + np.array([red, green, blue]) * alpha
    front = cv2.blur(luminance(shown.astype(np.float32)), (side, side), borderType=cv2.BORDER_REPLICATE)
    ratios = (np.maximum(front, behind) + 0.05) / (np.minimum(front, behind) + 0.05)
    found = []
    line, last = 0, None
    for n, (character, x, y, width, height) in enumerate(letters):
        if character == "\n":
            continue
        line += last is not None and abs(y - last) > height / 4
        last = y
        cover = covers[(line % 2) * 3 + n % 3]
        if character.isspace() or width <= 0:
            continue
        left, right = max(0, round(x - 0.3 * size)), round(x + width + 0.3 * size)
        top, foot = max(0, round(y - 0.2 * size)), round(y + height + 0.2 * size)
        window = np.s_[max(0, top - reach) : foot + reach, max(0, left - reach) : right + reach]
        mask = (cover[window] > 1 / 3).astype(np.uint8)
        inner = np.zeros_like(mask)
        y0, x0 = top - window[0].start, left - window[1].start
        inner[y0 : y0 + foot - top, x0 : x0 + right - left] = 1
        ring = cv2.dilate(mask & inner, kernel).astype(bool)
        if ring.any():
            values = np.sort(ratios[window][ring])
            found.append((character, float(values[min(values.size - 1, int(values.size * 0.1 + 1e-9))])))
    return found
