"""A part of a film as a file for visitors: AV1 or H.264 in MP4, silent, its index first, its colours named."""

import io
from collections.abc import Callable, Iterator
from dataclasses import dataclass
from fractions import Fraction
from typing import Literal, cast

import av
import cv2
import numpy as np
from av.video.stream import VideoStream

from ..processes import never_first
from .colour import Rgb, rgb_of

Codec = Literal["av1", "h264"]
CODECS: tuple[Codec, ...] = ("av1", "h264")
"""The lightest first."""
ENCODERS: dict[Codec, tuple[str, dict[str, str]]] = {
    "av1": ("libsvtav1", {"preset": "9", "svtav1-params": "lp=2"}),
    "h264": ("libx264", {"preset": "fast", "profile": "high", "threads": "2"}),
}
FINE: dict[Codec, int] = {"av1": 32, "h264": 22}
"""The rate factor that is tried first: finer cannot be seen, and only costs."""
SPARE = 0.94
"""A budget is aimed at with so much of it."""
TRIES = 3
KEY_SECONDS = 2
BT709, LIMITED = 1, 1
"""Matrix, transfer, primaries and range by their numbers (ITU-T H.273)."""

Told = Callable[[float], None]
"""Hears what share of the work is done, 0..1. What it raises ends the work."""


@dataclass(frozen=True)
class Coded:
    """A file: its bytes, its codec, and whether it fits its budget."""

    data: bytes
    codec: Codec
    fits: bool


def scaled(frame: Rgb, size: tuple[int, int]) -> Rgb:
    """A frame at a size (width, height in px)."""
    if (frame.shape[1], frame.shape[0]) == size:
        return frame
    smaller = size[0] * size[1] < frame.shape[0] * frame.shape[1]
    how = cv2.INTER_AREA if smaller else cv2.INTER_LINEAR
    return np.asarray(cv2.resize(frame, size, interpolation=how), dtype=np.uint8)


def _halved(frame: Rgb) -> av.VideoFrame:
    """A frame as files carry it: BT.709 in limited range, chroma at half the size."""
    plain = av.VideoFrame.from_ndarray(frame, format="rgb24")
    found = plain.reformat(format="yuv420p", dst_colorspace="ITU709", dst_color_range="MPEG")
    found.colorspace, found.color_range = BT709, LIMITED
    return found


def carried(frame: Rgb, size: tuple[int, int]) -> Rgb:
    """A frame at a size as a file would show it that loses nothing but what every file does: half of its chroma."""
    return rgb_of(_halved(scaled(frame, size)))


@never_first()
def _write(
    frames: Iterator[Rgb], count: int, rate: Fraction, size: tuple[int, int], codec: Codec, how: int | None, fine: int,
    told: Told, preset: str,
) -> bytes:  # fmt: skip
    out = io.BytesIO()
    name, options = ENCODERS[codec]
    options = {**options, "preset": preset} if preset else options
    room = 8_000 + 40 * count  # for the index, which is laid before the pictures
    with av.open(out, "w", format="mp4", options={"moov_size": str(room)}) as container:
        stream = cast(VideoStream, container.add_stream(name, rate=rate))
        stream.width, stream.height, stream.pix_fmt = *size, "yuv420p"
        stream.time_base = 1 / rate
        coder = stream.codec_context
        coder.color_primaries = coder.color_trc = coder.colorspace = BT709
        coder.color_range = LIMITED
        coder.gop_size = max(1, round(KEY_SECONDS * rate))
        stream.options = dict(options) if how else {**options, "crf": str(fine)}
        if how:
            stream.bit_rate = how
        for n, frame in enumerate(frames):
            picture = _halved(scaled(frame, size))
            picture.pts, picture.time_base = n, 1 / rate
            container.mux(stream.encode(picture))
            told((n + 1) / count)
        container.mux(stream.encode(None))
    return out.getvalue()


def coded(
    frames: Callable[[], Iterator[Rgb]], count: int, rate: Fraction, size: tuple[int, int], codec: Codec, budget: int,
    told: Told, preset: str = "",
) -> Coded:  # fmt: skip
    """A file of `count` frames, of `budget` bytes at the most where that can be: fine first, then by a rate that fits.

    `frames` gives them from the first each time that it is asked. `size` is even (width, height in px). `preset`: the
    encoder's, where it shall be another than ours.
    """
    best = _write(frames(), count, rate, size, codec, None, FINE[codec], told, preset)
    aim = budget * SPARE
    for _ in range(TRIES):
        if len(best) <= budget:
            break
        per_second = max(8_000, int(aim * 8 / (count / rate)))
        found = _write(frames(), count, rate, size, codec, per_second, FINE[codec], told, preset)
        best = min(best, found, key=len)
        aim *= SPARE * budget / max(len(found), 1)
    return Coded(best, codec, len(best) <= budget)
