"""The reading of a block, measured on screenshots. Shares no code with the product: the definition, written again.

Ink is what a letter covers by its own peak, from a tenth of it to six tenths in even measure; a letter's ring is its
ink grown by max(1 px, 0.08 em); luminance is averaged in linear light over a patch of max(3 px, 0.25 em); a letter's
ratio is the mean of its ring's between the 5th and the 15th hundredth, worst first, each pixel counted by its level.
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


Ring = tuple[str, tuple[slice, slice], NDArray[np.float64]]
"""A letter, the part of the picture that its ring lies in, and how much each pixel there counts."""


def letter_rings(inks: list[Image], letters: list[list[Any]], size: float, unit: int = 1) -> list[Ring]:
    """The ring of every letter. `inks` are the letters of each class in black on white; `unit`: how many px one CSS px
    has, in which all else is given."""
    radius = max(float(unit), 0.08 * size)
    reach = int(np.ceil(radius))
    yy, xx = np.mgrid[-reach : reach + 1, -reach : reach + 1]
    kernel = ((yy * yy + xx * xx) <= radius * radius + 0.25).astype(np.uint8)
    covers = [(255 - ink[..., 0]) / 255 for ink in inks]
    found: list[Ring] = []
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
        mask = np.zeros_like(cover[window])
        y0, x0 = top - window[0].start, left - window[1].start
        inner = np.s_[y0 : y0 + foot - top, x0 : x0 + right - left]
        mask[inner] = cover[window][inner]
        if mask.max(initial=0) > 0:
            ink = np.clip((mask / mask.max() - 0.1) / 0.5, 0, 1)
            found.append((character, window, cv2.dilate(ink, kernel)))
    return found


def ratio_picture(
    ground: Image, size: float, fill: tuple[float, float, float, float], unit: int = 1
) -> NDArray[np.float64]:
    """The ratio of a fill, alpha 0..1, against each patch of a ground."""
    side = 2 * int(np.floor((max(3.0 * unit, 0.25 * size) - 1) / 2 + 0.5)) + 1
    behind = cv2.blur(luminance(ground), (side, side), borderType=cv2.BORDER_REPLICATE)
    red, green, blue, alpha = fill
    shown = ground * (1 - alpha) + np.array([red, green, blue]) * alpha
    front = cv2.blur(luminance(shown.astype(np.float32)), (side, side), borderType=cv2.BORDER_REPLICATE)
    return np.asarray((np.maximum(front, behind) + 0.05) / (np.minimum(front, behind) + 0.05))


def front_ratios(
    ground: Image, size: float, front: Image, cover: NDArray[np.float64], unit: int = 1
) -> NDArray[np.float64]:
    """The ratio of letters over which something is painted: `front` is what their colour has become everywhere,
    `cover` how much of each pixel they cover."""
    side = 2 * int(np.floor((max(3.0 * unit, 0.25 * size) - 1) / 2 + 0.5)) + 1
    around = (side, side)
    front = front[: ground.shape[0], : ground.shape[1]]
    behind = cv2.blur(luminance(ground), around, borderType=cv2.BORDER_REPLICATE)
    inked = cv2.blur(cover, around, borderType=cv2.BORDER_REPLICATE)
    own = cv2.blur(luminance(front) * cover, around, borderType=cv2.BORDER_REPLICATE) / np.maximum(inked, 1e-3)
    seen = np.where(inked > 1e-3, own, cv2.blur(luminance(front), around, borderType=cv2.BORDER_REPLICATE))
    return np.asarray((np.maximum(seen, behind) + 0.05) / (np.minimum(seen, behind) + 0.05))


def letter_ratios(
    ground: Image,
    inks: list[Image],
    letters: list[list[Any]],
    size: float,
    fill: tuple[float, float, float, float],
    front: Image | None = None,
    unit: int = 1,
) -> list[tuple[str, float]]:
    """The ratio of every letter. `inks` are the letters of each class in black on white, `fill` has alpha 0..1; with
    `front` something is painted over the letters, and that is what has become of their colour. `unit`: px in a CSS
    px."""
    if front is None:
        ratios = ratio_picture(ground, size, fill, unit)
    else:
        cover = np.clip(sum((255.0 - ink[..., 0].astype(np.float64)) / 255 for ink in inks), 0, 1)
        ratios = front_ratios(ground, size, front, cover, unit)
    return [
        (letter, figure(ratios[where], weights)) for letter, where, weights in letter_rings(inks, letters, size, unit)
    ]


def figure(ratios: NDArray[np.float64], weights: NDArray[np.float64]) -> float:
    """The mean of ratios between the 5th and the 15th hundredth of all weight, the lowest first."""
    inside = weights > 0
    order = np.argsort(ratios[inside])
    values, count = ratios[inside][order], np.cumsum(weights[inside][order])
    edges = np.interp(
        [0.05 * count[-1], 0.15 * count[-1]], [0, *count], [0, *np.cumsum(values * np.diff(count, prepend=0))]
    )
    return float((edges[1] - edges[0]) / (0.1 * count[-1]))
