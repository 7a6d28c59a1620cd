"""A colour through a tile's figure."""

import math

import cv2
import numpy as np

from ...colour.spaces import Pixels
from ...resolve.sheets import PatternSheet
from ..figure import coverage, inked
from ..sample import Keep, Region, Sampler, anew

SHEET = PatternSheet


def _straight(tile: Pixels, x: int, y: int, part: Region) -> Pixels:
    """Tiles side by side from a whole px on."""
    rows = np.mod(np.arange(part[1], part[1] + part[3]) - y, tile.shape[0])
    columns = np.mod(np.arange(part[0], part[0] + part[2]) - x, tile.shape[1])
    return tile[rows][:, columns]


def _turned(tile: Pixels, sheet: PatternSheet, part: Region) -> Pixels:
    """Tiles turned or between px: the browser draws a tile once and interpolates between its pixels."""
    angle = math.radians(sheet.turn)
    cos, sin = math.cos(angle), math.sin(angle)
    x = np.arange(part[0], part[0] + part[2], dtype=np.float32)[None, :] + np.float32(0.5 - sheet.box.x)
    y = np.arange(part[1], part[1] + part[3], dtype=np.float32)[:, None] + np.float32(0.5 - sheet.box.y)
    across = np.mod(x * cos + y * sin - sheet.origin[0], sheet.size[0]) - 0.5
    down = np.mod(y * cos - x * sin - sheet.origin[1], sheet.size[1]) - 0.5
    wrapped = cv2.copyMakeBorder(tile, 1, 1, 1, 1, cv2.BORDER_WRAP)
    found = cv2.remap(wrapped, (across + 1).astype(np.float32), (down + 1).astype(np.float32), cv2.INTER_LINEAR)
    return np.asarray(found, dtype=np.float32)


def cover(sheet: PatternSheet, part: Region, kept: Keep = anew) -> Pixels:
    """How much of each pixel the figures cover."""
    tile = coverage(sheet.svg, *sheet.size, kept, alone=True)
    whole = sheet.turn % 360 == 0 and all(float(o).is_integer() for o in sheet.origin)
    if whole:
        return _straight(tile, int(sheet.box.x + sheet.origin[0]), int(sheet.box.y + sheet.origin[1]), part)
    return _turned(tile, sheet, part)


def source(sheet: PatternSheet, part: Region, pictures: Sampler) -> Pixels:
    """The colour through the figures."""
    alpha = sheet.colour.alpha
    fill = np.array([*(v / 255 * alpha for v in sheet.colour.rgb), alpha], dtype=np.float32)
    key = (sheet.svg, sheet.box, sheet.origin, sheet.turn, part)
    return inked(pictures.kept("pattern", key, lambda: cover(sheet, part, pictures.kept), part[2] * part[3]), fill)
