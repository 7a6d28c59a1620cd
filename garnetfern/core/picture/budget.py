"""Pictures encoded to a budget of bytes at the best quality that fits it, with their SSIM."""

import io
from collections.abc import Callable
from dataclasses import dataclass
from typing import Literal

import cv2
import numpy as np
from numpy.typing import NDArray
from PIL import Image

FileKind = Literal["avif", "webp", "jpeg"]
KINDS: tuple[FileKind, ...] = ("avif", "webp", "jpeg")
RANGES: dict[FileKind, tuple[int, int]] = {"avif": (20, 80), "webp": (30, 92), "jpeg": (35, 92)}
"""Lowest and highest quality that is tried: below it shows, above it only costs."""
SPEED = 7
MEDIA: dict[FileKind, str] = {"avif": "image/avif", "webp": "image/webp", "jpeg": "image/jpeg"}


@dataclass(frozen=True)
class Encoded:
    """A picture file: its bytes, the quality it was encoded with, its SSIM, and whether it fits its budget."""

    data: bytes
    kind: FileKind
    quality: int
    ssim: float
    fits: bool


def encode(image: Image.Image, kind: FileKind, quality: int) -> bytes:
    """The bytes of a picture in sRGB without metadata. JPEG stands on white where the picture is transparent."""
    out = io.BytesIO()
    if kind == "avif":
        image.save(out, "AVIF", quality=quality, speed=SPEED)
    elif kind == "webp":
        image.save(out, "WEBP", quality=quality, method=3)
    else:
        flat = Image.new("RGB", image.size, "white")
        flat.paste(image, mask=image.getchannel("A") if image.mode == "RGBA" else None)
        flat.save(out, "JPEG", quality=quality, optimize=True, progressive=True)
    return out.getvalue()


def ssim(one: Image.Image, other: Image.Image) -> float:
    """Structural similarity of two pictures of one size, on their grey, with a Gaussian of 1.5 px; 1 is equal."""
    a, b = (np.asarray(i.convert("RGB").convert("L"), dtype=np.float32) for i in (one, other))

    def soft(values: NDArray[np.float32]) -> NDArray[np.float32]:
        return np.asarray(cv2.GaussianBlur(values, (11, 11), 1.5), dtype=np.float32)

    mean_a, mean_b = soft(a), soft(b)
    var_a, var_b = soft(a * a) - mean_a**2, soft(b * b) - mean_b**2
    both = soft(a * b) - mean_a * mean_b
    c1, c2 = (0.01 * 255) ** 2, (0.03 * 255) ** 2
    found = ((2 * mean_a * mean_b + c1) * (2 * both + c2)) / ((mean_a**2 + mean_b**2 + c1) * (var_a + var_b + c2))
    return float(found.mean())


def fit_to_budget(
    kind: FileKind, budget: int, encoder: Callable[[int], bytes], likeness: Callable[[bytes], float]
) -> Encoded:
    """The highest quality whose bytes fit the budget, by bisection; the lowest one where none does.

    `encoder` gives the file at a quality, `likeness` its SSIM with the picture.
    """
    low, high = RANGES[kind]
    best: tuple[int, bytes] | None = None
    data = encoder(high)
    if len(data) <= budget:
        best = (high, data)
    else:
        top = high
        while top - low > 1:
            middle = (low + top) // 2
            data = encoder(middle)
            if len(data) <= budget:
                low, best = middle, (middle, data)
            else:
                top = middle
        if best is None:
            best = (low, encoder(low))
    quality, data = best
    return Encoded(data, kind, quality, round(likeness(data), 4), len(data) <= budget)
