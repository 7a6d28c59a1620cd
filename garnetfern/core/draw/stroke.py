"""The line along a glyph's outline as a mask. Unlike a filled glyph, which FreeType rasters itself, the browser rasters
it as a path: exact areas, with the height of every point rounded to quarters of a px."""

import ctypes

import freetype
import freetype.raw as ft
import numpy as np
from numpy.typing import NDArray

MITER_JOIN = 3
"""FT_STROKER_LINEJOIN_MITER_FIXED, which the binding has no name for: beyond the limit corners are cut off."""
MITER = 4 << 16
"""The miter limit of lines along letters, in 16.16."""
QUARTER = 16
"""A quarter of a px, in 26.6."""
GREY = 2
"""FT_PIXEL_MODE_GRAY."""


def _stroked(face: freetype.Face, width: float) -> ft.FT_Outline:
    """The line along the outline that is loaded; it has to be given back."""
    stroker = freetype.Stroker()
    stroker.set(round(width * 32), freetype.FT_STROKER_LINECAP_BUTT, MITER_JOIN, MITER)
    ft.FT_Stroker_ParseOutline(stroker._FT_Stroker, ctypes.byref(face.glyph.outline._FT_Outline), False)
    points, contours = ctypes.c_uint(), ctypes.c_uint()
    ft.FT_Stroker_GetCounts(stroker._FT_Stroker, ctypes.byref(points), ctypes.byref(contours))
    outline = ft.FT_Outline()
    ft.FT_Outline_New(freetype.get_handle(), points, contours, ctypes.byref(outline))
    outline.n_points = outline.n_contours = 0
    ft.FT_Stroker_Export(stroker._FT_Stroker, ctypes.byref(outline))
    return outline


def line_along(face: freetype.Face, width: float) -> tuple[int, int, NDArray[np.float32]]:
    """The line along the glyph that a face has loaded, `width` px wide in all: left and top from the pen, downwards,
    and the coverage of each px, 0..1."""
    if not face.glyph.outline._FT_Outline.n_points:
        return 0, 0, np.zeros((0, 0), dtype=np.float32)
    outline, library = _stroked(face, width), freetype.get_handle()
    try:
        for n in range(outline.n_points):
            # halves go down the page
            outline.points[n].y = -((-outline.points[n].y + QUARTER // 2) // QUARTER) * QUARTER
        box = ft.FT_BBox()
        ft.FT_Outline_Get_CBox(ctypes.byref(outline), ctypes.byref(box))
        left, foot, right, top = box.xMin >> 6, box.yMin >> 6, (box.xMax + 63) >> 6, (box.yMax + 63) >> 6
        ft.FT_Outline_Translate(ctypes.byref(outline), -left * 64, -foot * 64)
        width_px, height = right - left, top - foot
        held = (ctypes.c_ubyte * (width_px * height))()
        bitmap = ft.FT_Bitmap()
        bitmap.rows, bitmap.width, bitmap.pitch = height, width_px, width_px
        bitmap.buffer = ctypes.cast(held, ctypes.POINTER(ctypes.c_ubyte))
        bitmap.num_grays, bitmap.pixel_mode = 256, GREY
        ft.FT_Outline_Get_Bitmap(library, ctypes.byref(outline), ctypes.byref(bitmap))
    finally:
        ft.FT_Outline_Done(library, ctypes.byref(outline))
    cover = np.frombuffer(held, dtype=np.uint8).reshape(height, width_px).astype(np.float32) / np.float32(255)
    return left, -top, cover
