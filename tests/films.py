"""Films for tests, drawn and coded in ways that owners' files come in."""

import io
from collections.abc import Iterator
from fractions import Fraction
from functools import lru_cache
from typing import Any

import av
import numpy as np

from garnetfern.core.film.colour import Rgb
from garnetfern.core.processes import never_first

FINE = {"libx264": {"crf": "8"}, "libvpx-vp9": {"crf": "8", "b": "0"}, "libsvtav1": {"crf": "12", "preset": "9"}}


def drawn(count: int, size: tuple[int, int], seed: int = 1) -> Iterator[Rgb]:
    """Soft colours that move, with a block of another colour that walks along: each frame is unlike the others."""
    width, height = size
    y, x = np.mgrid[0:height, 0:width].astype(np.float32)
    rng = np.random.default_rng(seed)
    ways = rng.uniform(40, 140, 3)
    for n in range(count):
        turn = 2 * np.pi * n / count
        parts = (np.sin(x / ways[0] + turn), np.cos(y / ways[1] - turn), np.sin((x + y) / ways[2] + turn))
        frame = np.stack([128 + 90 * p for p in parts], axis=-1)
        left = round((width - width // 6) * n / max(1, count - 1))
        frame[height // 3 : height // 2, left : left + width // 6] = (235, 60 + 5 * (n % 20), 30)
        yield np.clip(frame, 0, 255).astype(np.uint8)


@never_first()
def film(
    encoder: str = "libx264",
    size: tuple[int, int] = (320, 180),
    count: int = 24,
    rate: int = 12,
    *,
    kind: str = "mp4",
    pixels: str = "yuv420p",
    matrix: int | None = 1,
    full: bool = False,
    turned: int = 0,
    times: list[int] | None = None,
    sound: bool = False,
    keys: int = 12,
    coded_as: str = "ITU709",
    **options: str,
) -> bytes:
    """A film's bytes. `matrix` is the number that the file names (None: it names none), `coded_as` the matrix that its
    colours are really coded with; `times` are the frames' times, in frames, where they come unevenly."""
    out = io.BytesIO()
    with av.open(out, "w", format=kind) as container:
        stream: Any = container.add_stream(encoder, rate=Fraction(rate))
        stream.width, stream.height, stream.pix_fmt = *size, pixels
        stream.time_base = Fraction(1, rate)
        coder = stream.codec_context
        if matrix is not None:
            coder.color_primaries = coder.color_trc = coder.colorspace = matrix
            coder.color_range = 2 if full else 1
        coder.gop_size = keys
        fine = {
            "libx264": {"crf": "8"},
            "libvpx-vp9": {"crf": "8", "b": "0"},
            "libsvtav1": {"crf": "12", "preset": "9"},
        }
        stream.options = {**fine.get(encoder, {}), **options}
        if turned:
            stream.set_display_rotation(turned)
        if sound:
            container.add_stream("aac", rate=44100)
        for n, frame in enumerate(drawn(count, size)):
            picture = av.VideoFrame.from_ndarray(frame, format="rgb24")
            picture = picture.reformat(
                format=pixels, dst_colorspace=coded_as, dst_color_range="JPEG" if full else "MPEG"
            )
            picture.pts, picture.time_base = times[n] if times else n, Fraction(1, rate)
            container.mux(stream.encode(picture))
        container.mux(stream.encode(None))
    return out.getvalue()


KINDS: dict[str, dict[str, Any]] = {
    "H.264, BT.709": {},
    "H.264, BT.601": {"matrix": 6, "coded_as": "ITU601"},
    "H.264, nothing named": {"matrix": None, "coded_as": "ITU601"},
    "H.264, nothing named, 720 lines": {"matrix": None, "size": (1280, 720), "count": 6},
    "H.264, full range": {"full": True, "pixels": "yuvj420p"},
    "H.264, odd size, 4:4:4": {"size": (321, 181), "pixels": "yuv444p"},
    "H.264, a quarter turned": {"turned": 90},
    "H.264, upside down": {"turned": 180},
    "H.264 in MOV": {"kind": "mov"},
    "VP9": {"encoder": "libvpx-vp9", "kind": "webm"},
    "VP9, BT.601": {"encoder": "libvpx-vp9", "kind": "webm", "matrix": 6, "coded_as": "ITU601"},
    "AV1": {"encoder": "libsvtav1", "size": (320, 180)},
    "AV1, 10 bit": {"encoder": "libsvtav1", "size": (320, 180), "pixels": "yuv420p10le"},
    "one key frame": {"keys": 999, "count": 40},
}
"""Ways in which films come, by name."""


@lru_cache(maxsize=32)
def film_of(name: str) -> bytes:
    """A film of one of these kinds."""
    return film(**KINDS[name])
