"""Coverage of SVG figures that are our own: paths in groups and masks."""

import math
import re
import xml.etree.ElementTree as ET

import cv2
import numpy as np
import resvg_py
from fontTools.misc.transform import Identity, Transform

from ..colour.spaces import Pixels
from .edges import edges
from .outline import filled, stroked
from .sample import Keep, anew

SVG = "{http://www.w3.org/2000/svg}"

FINE = (8, 4, 2)
"""Figures are drawn so many times as large and averaged: the browser counts the covered part exactly."""
MOST = 1_000_000
"""So many pixels are drawn for that at the most."""


def _drawn(svg: str, width: int, height: int) -> Pixels:
    png = resvg_py.svg_to_bytes(svg_string=svg, width=width, height=height, skip_system_fonts=True)
    pixels = cv2.imdecode(np.frombuffer(bytes(png), dtype=np.uint8), cv2.IMREAD_UNCHANGED)
    if pixels is None:
        raise RuntimeError("a figure could not be drawn")
    return np.asarray(pixels[:, :, 3], dtype=np.float32) / np.float32(255)


def coverage(svg: str, width: int, height: int, kept: Keep = anew, alone: bool = False) -> Pixels:
    """How much of each pixel a figure covers, 0..1. `svg` is `width` x `height` px. Height x width.

    `alone`: the browser draws it as a picture by itself, a tile, whose edges it takes to quarters of a px. What it
    draws on the page it draws by squares, each with edges of its own, which come to about the same as exact ones.
    """
    return kept("figure", (svg, width, height, alone), lambda: _coverage(svg, width, height, alone))


def _transform(text: str) -> Transform:
    """An SVG transform (CSS Transforms 1, section 7): moves, turns about the origin and scales."""
    found = Identity
    for name, said in re.findall(r"(\w+)\(([^)]*)\)", text):
        values = [float(part) for part in said.replace(",", " ").split()]
        found = found.rotate(math.radians(values[0])) if name == "rotate" else getattr(found, name)(*values)
    return found


def _edged(element: ET.Element, moved: Transform, size: tuple[int, int]) -> None:
    """Put straight edges in px in the place of all paths."""
    moved = moved.transform(_transform(element.attrib.pop("transform", "")))
    if element.tag == f"{SVG}path":
        path, stroke = element.attrib["d"], element.attrib.pop("stroke", None)
        if stroke is None:
            loops = filled(path, moved)
        else:
            loops = stroked(path, float(element.attrib.pop("stroke-width")), moved)
            element.set("fill", stroke)
        found = ("L".join(f"{x:.5f} {y:.2f}" for x, y in corners) for corners in edges(loops, *size))
        element.set("d", "".join(f"M{corners}z" for corners in found))
    for child in element:
        _edged(child, moved, size)


def as_rastered(svg: str, width: int, height: int) -> str:
    """A figure with its paths as the browser's raster takes them at a size in px."""
    root = ET.fromstring(svg)
    box = [float(v) for v in root.attrib.pop("viewBox", f"0 0 {width} {height}").split()]
    _edged(root, Identity.scale(width / box[2], height / box[3]).translate(-box[0], -box[1]), (width, height))
    root.attrib.update({"width": f"{width}", "height": f"{height}", "viewBox": f"0 0 {width} {height}"})
    return ET.tostring(root, encoding="unicode")


def _coverage(svg: str, width: int, height: int, alone: bool) -> Pixels:
    figure = as_rastered(svg, width, height) if alone else svg
    fine = next((fine for fine in FINE if width * height * fine * fine <= MOST), 1)
    large = _drawn(figure, width * fine, height * fine)
    return np.asarray(large.reshape(height, fine, width, fine).mean(axis=(1, 3)), dtype=np.float32)


def inked(cover: Pixels, fill: Pixels) -> Pixels:
    """A fill (premultiplied RGBA, height x width x 4 or one pixel) through a coverage."""
    if fill.ndim == 1:
        return np.asarray(cv2.merge([cover * part for part in fill.astype(np.float32)]), dtype=np.float32)
    return np.asarray(cover[..., None] * fill, dtype=np.float32)
