"""A colour or a gradient through a silhouette."""

import numpy as np

from ...colour.spaces import Pixels
from ...resolve.box import Box
from ...resolve.sheets import Ramp, ShapeSheet
from ..figure import coverage, inked
from ..ramp import ramp_pixels
from ..sample import Keep, Region, Sampler

SHEET = ShapeSheet


def span(sheet: ShapeSheet) -> Box:
    """Its place, or all of its box where it paints what is outside."""
    if sheet.outside:
        return sheet.box
    return sheet.box.cut(sheet.place) or Box(sheet.box.x, sheet.box.y, 0, 0)


def _cover(sheet: ShapeSheet, part: Region, kept: Keep) -> Pixels:
    cover = np.zeros((part[3], part[2]), dtype=np.float32)
    common = Box(*part).cut(sheet.place)
    if common is not None:
        x, y, w, h = (int(v) for v in (common.x, common.y, common.width, common.height))
        left, top = x - int(sheet.place.x), y - int(sheet.place.y)
        whole = coverage(sheet.svg, int(sheet.place.width), int(sheet.place.height), kept)
        seen = whole[top : top + h, left : left + w]
        cover[y - part[1] : y - part[1] + h, x - part[0] : x - part[0] + w] = seen
    return 1 - cover if sheet.outside else cover


def source(sheet: ShapeSheet, part: Region, pictures: Sampler) -> Pixels:
    """The fill through the silhouette."""
    if isinstance(sheet.fill, Ramp):
        fill = ramp_pixels(sheet.fill, part, pictures.kept)
    else:
        alpha = sheet.fill.alpha
        fill = np.array([*(v / 255 * alpha for v in sheet.fill.rgb), alpha], dtype=np.float32)
    return inked(_cover(sheet, part, pictures.kept), fill)
