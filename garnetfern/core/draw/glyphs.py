"""The shapes of letters: coverage masks from FreeType with light hinting, as the browser on Linux draws them."""

import ctypes
import io
import math
import threading
from collections import OrderedDict
from dataclasses import dataclass
from typing import NamedTuple

import freetype
import numpy as np
from numpy.typing import NDArray

from ..cache import Cache
from ..resolve.book import FontBook
from ..resolve.fonts import Axes
from ..resolve.records import Line
from .soften import reach_of, softened
from .stroke import line_along
from .tone import toned

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
    # the binding's own `buffer` makes a list of numbers out of it
    held = ctypes.string_at(bitmap._FT_Bitmap.buffer, bitmap.rows * bitmap.pitch)
    flat = np.frombuffer(held, dtype=np.uint8).reshape(bitmap.rows, bitmap.pitch)[:, : bitmap.width]
    return Mask(left, -top, flat.astype(np.float32) / np.float32(255))


def _softened(mask: Mask, sigma: float) -> tuple[NDArray[np.float32], int]:
    reach = reach_of(sigma)
    return softened(np.pad(mask.coverage, reach), sigma), reach


class Laid(NamedTuple):
    """A letter's coverage and where it lies on the page, px."""

    cover: NDArray[np.float32]
    left: int
    top: int


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
            return Mask(*line_along(face, width))

    def softened(self, mask: Mask, sigma: float) -> tuple[NDArray[np.float32], int]:
        """A mask's coverage blurred as that of a shadow, and how much wider it is on each side, px."""
        return self._cache.get("soft", (mask, sigma), lambda: _softened(mask, sigma))

    def toned(self, mask: Mask, step: int) -> NDArray[np.float32]:
        """A mask's coverage as it is laid down in a colour of a step."""
        return self._cache.get("tone", (mask, step), lambda: toned(mask.coverage, step))

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
                    found.append((cluster, left + mask.left, math.floor(line.baseline - y + 0.5) + mask.top, mask))
        return found

    def laid(self, line: Line, step: int, stroke: float | None = None, sigma: float = 0.0) -> tuple[Laid, ...]:
        """The letters of a line, or the line along them, as they are laid down in a colour of a step, each blurred by
        itself where `sigma` is above 0: coverage, and its left and top, px of the page."""

        def made() -> tuple[Laid, ...]:
            found = []
            for _, left, top, mask in self.letters(line, stroke):
                cover, reach = self.softened(mask, sigma) if sigma > 0 else (self.toned(mask, step), 0)
                found.append(Laid(cover, left - reach, top - reach))
            return tuple(found)

        return self._cache.get("laid", (line, step, stroke, sigma), made)
