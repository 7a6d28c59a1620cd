"""Pictures for tests: tiles that meet themselves by construction, photographs cut anywhere, and files of every kind."""

import io
import struct
import zlib

import numpy as np
from PIL import Image

from garnetfern.demo.pictures import DRAWERS, draw_picture


def png(image: Image.Image) -> bytes:
    out = io.BytesIO()
    image.save(out, "PNG")
    return out.getvalue()


def png_of_size(width, height):
    """A tiny PNG whose header promises a giant."""

    def chunk(name, data):
        return struct.pack(">I", len(data)) + name + data + struct.pack(">I", zlib.crc32(name + data))

    header = struct.pack(">IIBBBBB", width, height, 8, 2, 0, 0, 0)
    body = zlib.compress(b"\0" * 100)
    return b"\x89PNG\r\n\x1a\n" + chunk(b"IHDR", header) + chunk(b"IDAT", body) + chunk(b"IEND", b"")


def seamless(seed: int) -> Image.Image:
    """A tile whose every part wraps around: waves with whole periods, stripes, dots, checks and soft noise."""
    rng = np.random.default_rng(seed)
    side = int(rng.integers(48, 160))
    y, x = np.mgrid[0:side, 0:side] / side * 2 * np.pi
    kind = seed % 5
    if kind == 0:
        field = sum(np.sin(rng.integers(1, 5) * x + rng.integers(0, 5) * y + rng.uniform(0, 6)) for _ in range(4))
    elif kind == 1:
        field = np.sign(np.sin(int(rng.integers(2, 7)) * x + 0.01)).astype(float)
    elif kind == 2:
        field = ((np.sin(int(rng.integers(2, 5)) * x) + np.sin(int(rng.integers(2, 5)) * y)) > 1.2).astype(float)
    elif kind == 3:
        field = np.sign(np.sin(2 * x + 0.01) * np.sin(3 * y + 0.01))
    else:
        noise = np.fft.fft2(rng.normal(size=(side, side)))
        rise = np.hypot(*np.meshgrid(np.fft.fftfreq(side), np.fft.fftfreq(side)))
        field = np.fft.ifft2(noise * np.exp(-((rise / 0.08) ** 2))).real
    field = (field - field.min()) / (np.ptp(field) or 1)
    low, high = rng.integers(0, 256, (2, 3))
    return Image.fromarray((low + (high - low) * field[..., None]).astype(np.uint8))


def cut(seed: int) -> Image.Image:
    """A piece cut anywhere from one of the sample photographs, bright enough to show an edge."""
    rng = np.random.default_rng(seed)
    name = [n for n in DRAWERS if n != "lantern-night"][seed % (len(DRAWERS) - 1)]
    image = Image.open(io.BytesIO(draw_picture(name)))
    width, height = (int(v) for v in rng.integers(90, 420, 2))
    left, top = int(rng.integers(0, image.width - width)), int(rng.integers(0, image.height - height))
    return image.crop((left, top, left + width, top + height))
