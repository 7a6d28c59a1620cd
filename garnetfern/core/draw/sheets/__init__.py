"""How each kind of sheet is painted. A module here names its class of sheet as SHEET.

`source(sheet, part, pictures)` gives its pixels in a part of the page, premultiplied RGBA 0..1, its opacity left out.
Where a module has them, `over(below, sheet, part, pictures)` lays it over whole levels as the browser's raster does,
`span(sheet)` is the box it may paint, and `opaque(sheet, transparent)` whether nothing shows through it.
"""

import sys
from types import ModuleType

import numpy as np

from ...colour.spaces import Bytes, Pixels
from ...registry import entries
from ...resolve.box import Box
from ...resolve.sheets import Sheet
from ..levels import colours_of, thrice
from ..sample import Region, Sampler

PAINTERS: dict[type[Sheet], ModuleType] = {m.SHEET: m for m in entries(sys.modules[__name__]).values()}
"""The painter of every class of sheet."""


def source_of(sheet: Sheet, part: Region, pictures: Sampler) -> Pixels:
    """A sheet's pixels with its opacity: premultiplied RGBA, 0..1."""
    found: Pixels = PAINTERS[type(sheet)].source(sheet, part, pictures)
    return found * np.float32(sheet.opacity) if sheet.opacity < 1 else found


def laid_over(below: Bytes, sheet: Sheet, part: Region, pictures: Sampler) -> Bytes:
    """A sheet laid over whole levels by the normal blend mode."""
    painter = PAINTERS[type(sheet)]
    if hasattr(painter, "over"):
        done: Bytes = painter.over(below, sheet, part, pictures)
        return done
    source: Pixels = painter.source(sheet, part, pictures)
    opacity = np.float32(sheet.opacity)
    levels = below * thrice(1 - source[..., 3] * opacity)
    levels += colours_of(source) * (np.float32(255) * opacity)
    levels += np.float32(0.5)
    return np.asarray(levels, dtype=np.uint8)


def span_of(sheet: Sheet) -> Box:
    """The box that a sheet may paint."""
    painter = PAINTERS[type(sheet)]
    return painter.span(sheet) if hasattr(painter, "span") else sheet.box
