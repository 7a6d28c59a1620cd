"""Words laid over a painted backdrop: their shadow, the line along their letters, their fill."""

from collections.abc import Callable, Iterator
from dataclasses import replace

import numpy as np
from numpy.typing import NDArray

from ..colour.notation import Rgba
from ..colour.spaces import Bytes, Pixels
from ..resolve.box import Box, round_half_up
from ..resolve.painting import LETTERS_REACH, painting
from ..resolve.records import UNDERLINE_BELOW, UNDERLINE_THICK, BlockRecord, Line, PageRecord, ShadowRecord
from .glyphs import Glyphs
from .paint import blank, inner, paint_area, whole
from .sample import Region, Sampler
from .soften import reach_of
from .tone import step_of

Seen = tuple[NDArray[np.float32], tuple[slice, slice]]
"""What of a letter's coverage lies in a region, and where there: rows and columns."""


def _letters_in(
    line: Line, region: Region, glyphs: Glyphs, colour: Rgba, stroke: float | None = None, sigma: float = 0.0
) -> Iterator[Seen]:
    """The letters of a line, or the line along them, as they are laid down in a colour, each blurred by itself, as far
    as they lie in a region."""
    for cover, left, top in glyphs.laid(line, step_of(colour), stroke, sigma):
        height, width = cover.shape
        common = Box(left, top, width, height).cut(Box(*region))
        if common is None:
            continue
        x, y, w, h = (int(v) for v in (common.x, common.y, common.width, common.height))
        where = np.s_[y - region[1] : y - region[1] + h, x - region[0] : x - region[0] + w]
        yield cover[y - top : y - top + h, x - left : x - left + w], where


def _cover(line: Line, region: Region, glyphs: Glyphs, colour: Rgba, stroke: float | None = None) -> Pixels:
    """How much of their colour the letters of a line lay on each pixel of a region, 0..1; with `stroke` the line along
    them."""
    found = np.zeros((region[3], region[2]), dtype=np.float32)
    for seen, where in _letters_in(line, region, glyphs, colour, stroke):
        found[where] += seen * (1 - found[where])
    return found


def ink(canvas: Bytes, colour: Rgba, cover: Pixels | None = None) -> None:
    """A colour laid over a canvas in place, where and as far as it covers it; everywhere where nothing is said."""
    fill = np.array(colour.rgb, dtype=np.float32)
    how = np.float32(colour.alpha) if cover is None else cover[..., None] * np.float32(colour.alpha)
    canvas[:] = np.rint(canvas + (fill - canvas) * how)


def line_span(block: BlockRecord, line: Line) -> Box:
    """Where a line's letters, the line along them and their shadow may paint."""
    stroke = block.stroke.width if block.stroke is not None else 0.0
    room = Box(line.x, line.top, line.width, line.height).grown(LETTERS_REACH * block.size + stroke)
    if block.shadow is None:
        return room
    shadow = block.shadow
    reach = reach_of(shadow.blur / 2) + 1
    cast = replace(room, x=room.x + shadow.across, y=room.y + shadow.down).grown(reach)
    left, top = min(room.x, cast.x), min(room.y, cast.y)
    return Box(left, top, max(room.right, cast.right) - left, max(room.bottom, cast.bottom) - top)


def _within(canvas: Bytes, region: Region, span: Box) -> tuple[Bytes, Region] | None:
    """The part of a region's canvas that a span meets, as a view, and as a region of its own."""
    found = inner(Box(*whole(span)), region)
    return None if found is None else (canvas[found[0], found[1]], found[2])


def _cast(part: Bytes, shadow: ShadowRecord, line: Line, region: Region, glyphs: Glyphs) -> None:
    """The shadow of a line's letters over a region's pixels in place: letter by letter in
    whole levels, as the browser's raster lays them (where many lie on one another, that darkens by some levels)."""
    across, down = round_half_up(shadow.across), round_half_up(shadow.down)
    there = (region[0] - across, region[1] - down, region[2], region[3])
    alpha = round_half_up(shadow.colour.alpha * 255)
    colour = np.rint(np.array([*shadow.colour.rgb, 255]) * (alpha / 255)).astype(np.uint16)
    for seen, where in _letters_in(line, there, glyphs, shadow.colour, sigma=shadow.blur / 2):
        cover = np.rint(seen * 255).astype(np.uint16)[..., None]
        above = (colour * cover + colour) >> 8
        below = part[where].astype(np.uint16)
        part[where] = above[..., :3] + ((below * (255 - above[..., 3:]) + below) >> 8)


def paint_beneath(canvas: Bytes, block: BlockRecord, line: Line, region: Region, glyphs: Glyphs) -> None:
    """What is painted of a line of words before its letters' own colour, in place. The browser paints the line along
    the letters first, without a shadow, then the letters' shadow, which falls on that line, then the letters."""
    stroke, shadow = block.stroke, block.shadow
    found = _within(canvas, region, line_span(block, line)) if stroke or shadow else None
    if found is None or (stroke is not None and stroke.hollow):
        return
    part, where = found
    if stroke is not None:
        ink(part, stroke.colour, _cover(line, where, glyphs, stroke.colour, stroke.width))
    if shadow is not None:
        _cast(part, shadow, line, where, glyphs)


def paint_above(canvas: Bytes, block: BlockRecord, line: Line, region: Region, glyphs: Glyphs) -> None:
    """What is painted of a line of words over its letters' own colour, in place: the shadow that hollow letters would
    cast if they were filled."""
    if block.shadow is None or block.stroke is None or not block.stroke.hollow:
        return
    found = _within(canvas, region, line_span(block, line))
    if found is not None:
        _cast(found[0], block.shadow, line, found[1], glyphs)


def paint_around(canvas: Bytes, block: BlockRecord, region: Region, glyphs: Glyphs) -> None:
    """A block's words without their letters' own colour, in place, a line after the other."""
    for line in block.lines:
        paint_beneath(canvas, block, line, region, glyphs)
        paint_above(canvas, block, line, region, glyphs)


def letters_cover(block: BlockRecord, line: Line, region: Region, glyphs: Glyphs) -> Pixels:
    """How much of their colour a line's letters lay on each pixel of a region: their fill's, or that of the line of
    hollow ones."""
    stroke = block.stroke
    along = stroke.width if stroke is not None and stroke.hollow else None
    return _cover(line, region, glyphs, letters_colour(block, line), along)


def letters_colour(block: BlockRecord, line: Line) -> Rgba:
    """The colour they have there."""
    stroke = block.stroke
    return stroke.colour if stroke is not None and stroke.hollow else block.fill_of(line)


def _underline(part: Bytes, block: BlockRecord, line: Line, region: Region) -> None:
    """The line beneath a link, in the colour of its letters; that it is left out where a letter crosses it is not."""
    if not line.underlined:
        return
    top = round_half_up(line.baseline + UNDERLINE_BELOW * block.size)
    thick = max(1, round_half_up(max(1.0, UNDERLINE_THICK * block.size)))
    found = inner(Box(round_half_up(line.x), top, round_half_up(line.width), thick), region)
    if found is not None:
        ink(part[found[0], found[1]], letters_colour(block, line))


def _ink_line(canvas: Bytes, block: BlockRecord, line: Line, region: Region, glyphs: Glyphs) -> None:
    found = _within(canvas, region, line_span(block, line))
    if found is not None:
        part, where = found
        _underline(part, block, line, where)
        ink(part, letters_colour(block, line), letters_cover(block, line, where, glyphs))


def paint_words(canvas: Bytes, block: BlockRecord, region: Region, glyphs: Glyphs) -> None:
    """The letters of a block with all that is around them, in place, a line after the other."""
    for line in block.lines:
        paint_beneath(canvas, block, line, region, glyphs)
        _ink_line(canvas, block, line, region, glyphs)
        paint_above(canvas, block, line, region, glyphs)


Painted = Callable[[Bytes, BlockRecord, Region, Glyphs], None]
"""How words are painted: `paint_words`, or `paint_around` without their letters."""


def draw_page(
    page: PageRecord, region: Region, pictures: Sampler, glyphs: Glyphs, words: Painted = paint_words
) -> Bytes:
    """A region of the page with its words, all in the browser's order. Height x width x 3, in whole levels."""
    canvas, room = blank(page, region), Box(*region)
    for step in painting(page):
        if not step.touches(room):
            continue
        if step.area is not None:
            paint_area(canvas, step.area, step.area.sheets, region, pictures)
        elif step.words is not None:
            words(canvas, step.words, region, glyphs)
    return canvas
