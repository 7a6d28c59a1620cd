"""A frame of a film: all of it fills a rectangle, of which a part is seen."""

from collections.abc import Callable

import numpy as np

from ...colour.spaces import Bytes, Pixels
from ...resolve.box import Box
from ...resolve.sheets import FilmSheet
from ..sample import Region, Sampler
from .image import laid

SHEET = FilmSheet


def _seen(sheet: FilmSheet, part: Region) -> tuple[slice, slice] | None:
    """The rows and columns of a part in which the film is."""
    common = sheet.box.cut(Box(*part))
    if common is None:
        return None
    x, y = int(common.x) - part[0], int(common.y) - part[1]
    return slice(y, y + int(common.height)), slice(x, x + int(common.width))


def source(sheet: FilmSheet, part: Region, pictures: Sampler) -> Pixels:
    """The frame, nothing beside it."""
    found = np.zeros((part[3], part[2], 4), dtype=np.float32)
    seen = _seen(sheet, part)
    if seen is not None:
        found[seen][..., :3] = pictures.frame(sheet, part)[seen].astype(np.float32) / np.float32(255)
        found[seen][..., 3] = 1
    return found


def over(below: Bytes, sheet: FilmSheet, part: Region, pictures: Sampler) -> Bytes:
    """The frame over whole levels."""
    seen = _seen(sheet, part)
    if seen is None:
        return below
    above = below.copy()
    above[seen] = laid(below[seen], pictures.frame(sheet, part)[seen], sheet.opacity)
    return above


def opaque(sheet: FilmSheet, _: Callable[[str], bool]) -> bool:
    """Whether it hides what lies below."""
    return sheet.opacity >= 0.999
