"""A decoded frame as sRGB, as the browser shows it.

The matrix and the range are the named ones; where a file names none, BT.709 stands from 720 lines up and BT.601 below.
Chroma is taken from the nearest sample, in floating point: nearer to the browser than the library's own conversion.
"""

from typing import TYPE_CHECKING

import cv2
import numpy as np
from numpy.typing import NDArray

if TYPE_CHECKING:
    from av import VideoFrame

Rgb = NDArray[np.uint8]
"""Height x width x 3."""
Values = NDArray[np.float32]

HD_LINES = 720
FULL = 2
"""The range's number for all levels (AVCOL_RANGE_JPEG)."""
BT709, BT2020 = (0.2126, 0.0722), (0.2627, 0.0593)
BT601 = (0.299, 0.114)
WEIGHTS = {1: BT709, 4: (0.30, 0.11), 5: BT601, 6: BT601, 7: (0.212, 0.087), 9: BT2020, 10: BT2020}
"""Weights of red and blue in luma, by the matrix's number (ITU-T H.273, table 4)."""
PQ, HLG = 16, 18
"""Transfer characteristics of films in high dynamic range (ITU-T H.273, table 3)."""
WIDE = 9
"""The number of BT.2020 among the primaries (ITU-T H.273, table 2)."""
TO_709 = np.array(
    [[1.6605, -0.5876, -0.0728], [-0.1246, 1.1329, -0.0083], [-0.0182, -0.1006, 1.1187]], dtype=np.float32
)
"""Linear light of BT.2020 in the primaries of BT.709 (ITU-R BT.2087, section 2)."""
WHITE_NITS = 203.0
"""Diffuse white of a film in high dynamic range (ITU-R BT.2408), cd/m2."""


def high_range(frame: "VideoFrame") -> bool:
    """Whether a frame is in high dynamic range."""
    return int(frame.color_trc) in (PQ, HLG)


def _planes(frame: "VideoFrame") -> tuple[NDArray[np.uint8], ...]:
    """Luma and both chroma planes without the padding of their lines."""
    found = []
    for plane in frame.planes[:3]:
        lines = np.frombuffer(memoryview(plane), dtype=np.uint8).reshape(-1, plane.line_size)
        found.append(lines[: plane.height, : plane.width])
    return tuple(found)


def _spread(plane: NDArray[np.uint8], shape: tuple[int, int]) -> NDArray[np.uint8]:
    """A chroma plane at luma's size, each value from the nearest sample."""
    if plane.shape == shape:
        return plane
    down, across = -(-shape[0] // plane.shape[0]), -(-shape[1] // plane.shape[1])
    return plane.repeat(down, axis=0).repeat(across, axis=1)[: shape[0], : shape[1]]


def _toned(rgb: NDArray[np.floating], transfer: int) -> Values:
    """Levels 0..1 of a film in high dynamic range, in BT.2020, as sRGB: diffuse white is kept below the brightest, and
    what is brighter is bent into the rest (a shoulder as in ITU-R BT.2390, section 5.4)."""
    if transfer == PQ:
        power = np.power(np.clip(rgb, 0, 1), 1 / 78.84375)
        light = np.power(np.maximum(power - 0.8359375, 0) / (18.8515625 - 18.6875 * power), 1 / 0.1593017578125)
        light *= 10_000 / WHITE_NITS
    else:
        a, b, c = 0.17883277, 0.28466892, 0.55991073
        light = np.where(rgb <= 0.5, rgb * rgb / 3, (np.exp((rgb - c) / a) + b) / 12)
        light = np.power(np.maximum(light, 0), 1.2) * 1000 / WHITE_NITS
    light = np.maximum(light.astype(np.float32) @ TO_709.T, 0)
    knee = np.float32(0.75)
    over = np.maximum(light - knee, 0)
    bent = np.where(light > knee, knee + (1 - knee) * over / (over + (1 - knee)), light)
    found = np.where(bent <= 0.0031308, 12.92 * bent, 1.055 * np.power(np.maximum(bent, 1e-9), 1 / 2.4) - 0.055)
    return np.asarray(found, dtype=np.float32)


def rgb_of(frame: "VideoFrame") -> Rgb:
    """A frame's pixels, as they lie in the file (not turned)."""
    name = frame.format.name
    if not name.startswith(("yuv", "nv", "p0", "gray")):
        return np.asarray(frame.to_ndarray(format="rgb24"))
    full = int(frame.color_range) == FULL or name.startswith("yuvj")
    space, transfer = int(frame.colorspace), int(frame.color_trc)
    planar = name in ("yuv420p", "yuvj420p", "yuv422p", "yuvj422p", "yuv444p", "yuvj444p")
    luma, blue, red = _planes(frame if planar else frame.reformat(format="yuvj444p" if full else "yuv444p"))
    kr, kb = WEIGHTS.get(space, BT709 if frame.height >= HD_LINES else BT601)
    kg = 1 - kr - kb
    bright, chroma = (1.0, 1.0) if full else (255 / 219, 255 / 224)
    foot = 0.0 if full else -16 * bright
    whole = np.dstack([luma, _spread(blue, luma.shape), _spread(red, luma.shape)])
    toward = np.array(
        [
            [bright, 0, 2 * (1 - kr) * chroma],
            [bright, -2 * kb * (1 - kb) / kg * chroma, -2 * kr * (1 - kr) / kg * chroma],
            [bright, 2 * (1 - kb) * chroma, 0],
        ]
    )
    start = foot - 128 * (toward[:, 1] + toward[:, 2])
    if transfer in (PQ, HLG):
        rgb = cv2.transform(whole.astype(np.float32), np.column_stack([toward, start]))
        return np.asarray(np.clip(_toned(rgb / 255, transfer) * 255 + 0.5, 0, 255), dtype=np.uint8)
    return np.asarray(cv2.transform(whole, np.column_stack([toward, start])), dtype=np.uint8)
