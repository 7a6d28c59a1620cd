"""The shapes of letters: coverage masks from FreeType with light hinting, as the browser on Linux draws them."""

import ctypes
import io
import math
import threading
from collections import OrderedDict
from dataclasses import dataclass

import freetype
import numpy as np
from numpy.typing import NDArray

from ..cache import Cache
from ..resolve.book import FontBook
from ..resolve.fonts import Axes
from ..resolve.records import Line

MITER_JOIN = 3
"""FT_STROKER_LINEJOIN_MITER_FIXED, which the binding has no name for: beyond the limit corners are cut off."""
MITER = 4 << 16
"""The miter limit of lines along letters, in 16.16."""
FACES = 96
"""So many faces, each at one setting of its axes, are kept open."""
SUBPIXELS = 4
"""Letters are placed in quarters of a px across."""


@dataclass(frozen=True, eq=False)
class Mask:
    """Coverage 0..1 of a glyph; `left` and `top` place its corner from the pen, in px, downwards."""

    left: int
    top: int
    coverage: NDArray[np.float32]


def _mask_of(bitmap: freetype.Bitmap, left: int, top: int) -> Mask:
    if not bitmap.width or not bitmap.rows:
        return Mask(0, 0, np.zeros((0, 0), dtype=np.float32))
    flat = np.array(bitmap.buffer, dtype=np.uint8).reshape(bitmap.rows, bitmap.pitch)[:, : bitmap.width]
    return Mask(left, -top, flat.astype(np.float32) / np.float32(255))


class Glyphs:
    """Draws glyphs of a font book. FreeType is not safe across threads, so a lock stands before it."""

    def __init__(self, fonts: FontBook, cache: Cache | None = None) -> None:
        self._fonts, self._cache = fonts, cache or Cache()
        self._faces: OrderedDict[tuple[str, Axes], freetype.Face] = OrderedDict()
        self._lock = threading.Lock()

    def _face(self, face_id: str, axes: Axes) -> freetype.Face:
        key = (face_id, axes)
        if key not in self._faces:
            face = freetype.Face(io.BytesIO(self._fonts.face(face_id).data))
            if axes:
                face.set_var_design_coords(axes)
            self._faces[key] = face
            while len(self._faces) > FACES:
                self._faces.popitem(last=False)
        self._faces.move_to_end(key)
        return self._faces[key]

    def mask(self, face_id: str, axes: Axes, size: float, glyph: int, fraction: int) -> Mask:
        """A glyph at a size, so many quarters of a px to the right of its pixel."""
        how = (face_id, axes, size, glyph, fraction)
        return self._cache.get("mask", how, lambda: self._mask(*how))

    def line_mask(self, face_id: str, axes: Axes, size: float, glyph: int, fraction: int, width: float) -> Mask:
        """The line along a glyph's outline, `width` px wide in all."""
        how = (face_id, axes, size, glyph, fraction, width)
        return self._cache.get("line mask", how, lambda: self._line_mask(*how))

    def _mask(self, face_id: str, axes: Axes, size: float, glyph: int, fraction: int) -> Mask:
        with self._lock:
            return self._rendered(face_id, axes, size, glyph, fraction)

    def _rendered(self, face_id: str, axes: Axes, size: float, glyph: int, fraction: int) -> Mask:
        face = self._face(face_id, axes)
        face.set_char_size(int(size * 64), int(size * 64), 72, 72)
        face.load_glyph(glyph, freetype.FT_LOAD_TARGET_LIGHT | freetype.FT_LOAD_NO_BITMAP)
        freetype.FT_Outline_Translate(ctypes.byref(face.glyph.outline._FT_Outline), fraction * 64 // SUBPIXELS, 0)
        face.glyph.render(freetype.FT_RENDER_MODE_NORMAL)
        return _mask_of(face.glyph.bitmap, face.glyph.bitmap_left, face.glyph.bitmap_top)

    def _line_mask(self, face_id: str, axes: Axes, size: float, glyph: int, fraction: int, width: float) -> Mask:
        with self._lock:
            face = self._face(face_id, axes)
            face.set_char_size(int(size * 64), int(size * 64), 72, 72)
            face.load_glyph(glyph, freetype.FT_LOAD_TARGET_LIGHT | freetype.FT_LOAD_NO_BITMAP)
            freetype.FT_Outline_Translate(ctypes.byref(face.glyph.outline._FT_Outline), fraction * 64 // SUBPIXELS, 0)
            stroker = freetype.Stroker()
            stroker.set(round(width * 32), freetype.FT_STROKER_LINECAP_BUTT, MITER_JOIN, MITER)
            outline = face.glyph.get_glyph()
            outline.stroke(stroker, True)
            drawn = outline.to_bitmap(freetype.FT_RENDER_MODE_NORMAL, freetype.Vector(0, 0), True)
            return _mask_of(drawn.bitmap, drawn.left, drawn.top)

    def letters(self, line: Line, stroke: float | None = None) -> list[tuple[int, int, int, Mask]]:
        """The glyphs of a line: index of the character in the line's text, left, top (px of the page), mask.

        With `stroke` the masks are of the line along the letters, that many px wide.
        """
        found = []
        for run in line.runs:
            for glyph, x, y, cluster in zip(run.glyphs, run.x, run.y, run.clusters, strict=True):
                pen = line.x + x
                quarters = math.floor(pen * SUBPIXELS + 0.5)
                left, fraction = divmod(quarters, SUBPIXELS)
                which = (run.face, run.axes, run.size, glyph, fraction)
                mask = self.mask(*which) if stroke is None else self.line_mask(*which, stroke)
                if mask.coverage.size:
                    found.append((cluster, left + mask.left, round(line.baseline - y) + mask.top, mask))
        return found
