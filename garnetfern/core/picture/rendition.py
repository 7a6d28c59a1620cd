"""Renditions: a picture at one width, as the file that visitors get."""

import io

import numpy as np
from PIL import Image

from ..draw.sample import Picture
from ..resolve.sheets import Rendition
from .decode import load, sniff
from .vector import svg_image

QUALITY = 82
EFFORT = 2


def encode_rendition(original: bytes, rendition: Rendition) -> bytes:
    """WebP bytes of a picture at a rendition's size: upright, sRGB, without metadata."""
    image = rendition_image(original, rendition)
    out = io.BytesIO()
    if rendition.lossless:
        image.save(out, "WEBP", lossless=True, method=4, exact=True)
    else:
        image.save(out, "WEBP", quality=QUALITY, method=EFFORT)
    return out.getvalue()


def rendition_image(original: bytes, rendition: Rendition) -> Image.Image:
    """A picture's part at a rendition's size: upright, sRGB."""
    if sniff(original) == "svg":
        return svg_image(original, rendition.width, rendition.crop, rendition.height)
    draft = None if rendition.crop else (rendition.width * 2, rendition.height * 2)
    image = load(original, draft=draft)
    if rendition.crop is not None:
        left, top, width, height = rendition.crop
        image = image.crop((left, top, left + width, top + height))
    if image.size != (rendition.width, rendition.height):
        image = image.resize((rendition.width, rendition.height), Image.Resampling.LANCZOS, reducing_gap=3.0)
    return image


def decode_rendition(data: bytes) -> Picture:
    """Pixels of a rendition's file: height x width x 3 or 4, as the browser decodes them."""
    image = Image.open(io.BytesIO(data))
    return np.asarray(image.convert("RGBA" if image.mode == "RGBA" else "RGB"))
