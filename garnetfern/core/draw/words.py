"""Words laid over a painted backdrop: their shadow, the line along their letters, their fill."""

import math

import cv2
import numpy as np

from ..colour.notation import Rgba
from ..colour.spaces import Bytes, Pixels
from ..resolve.box import Box
from ..resolve.records import BlockRecord, PageRecord
from .glyphs import Glyphs
from .paint import paint_backdrops
from .sample import Region, Sampler


def _cover(block: BlockRecord, region: Region, glyphs: Glyphs, stroke: float | None = None) -> Pixels:
    """How much of each pixel of a region the letters of a block cover, 0..1; with `stroke` the line along them."""
    found = np.zeros((region[3], region[2]), dtype=np.float32)
    for line in block.lines:
        for _, left, top, mask in glyphs.letters(line, stroke):
            height, width = mask.coverage.shape
            common = Box(left, top, width, height).cut(Box(*region))
            if common is None:
                continue
            x, y, w, h = (int(v) for v in (common.x, common.y, common.width, common.height))
            seen = mask.coverage[y - top : y - top + h, x - left : x - left + w]
            part = found[y - region[1] : y - region[1] + h, x - region[0] : x - region[0] + w]
            part += seen * (1 - part)
    return found


def _ink(canvas: Bytes, colour: Rgba, cover: Pixels) -> None:
    fill = np.array(colour.rgb, dtype=np.float32)
    canvas[:] = np.rint(canvas + (fill - canvas) * (cover[..., None] * np.float32(colour.alpha)))


def paint_around(canvas: Bytes, block: BlockRecord, region: Region, glyphs: Glyphs) -> None:
    """What is painted of a block besides its letters' own colour, in place: the shadow, and the line beside a fill."""
    stroke = block.stroke
    if block.shadow is not None:
        shadow = block.shadow
        margin = math.ceil(1.5 * shadow.blur)
        across, down = round(shadow.across), round(shadow.down)
        wide = (
            region[0] - margin - across,
            region[1] - margin - down,
            region[2] + 2 * margin,
            region[3] + 2 * margin,
        )
        cover = _cover(block, wide, glyphs)
        if stroke is not None:
            cover = np.maximum(cover, _cover(block, wide, glyphs, stroke.width))
        if shadow.blur > 0:
            size = 2 * margin + 1
            cover = np.asarray(cv2.GaussianBlur(cover, (size, size), shadow.blur / 2), dtype=np.float32)
        _ink(canvas, shadow.colour, cover[margin : margin + region[3], margin : margin + region[2]])
    if stroke is not None and not stroke.hollow:
        _ink(canvas, stroke.colour, _cover(block, region, glyphs, stroke.width))


def ink_letters(canvas: Bytes, block: BlockRecord, region: Region, glyphs: Glyphs) -> None:
    """The letters' own colour, in place: their fill, or the line that hollow letters consist of."""
    if block.stroke is not None and block.stroke.hollow:
        _ink(canvas, block.stroke.colour, _cover(block, region, glyphs, block.stroke.width))
    else:
        _ink(canvas, block.fill, _cover(block, region, glyphs))


def paint_words(canvas: Bytes, page: PageRecord, region: Region, glyphs: Glyphs) -> None:
    """The letters of every block with all that is around them, in place."""
    for block in page.blocks():
        reach = 0.0 if block.shadow is None else 2 * block.shadow.blur + abs(block.shadow.across + block.shadow.down)
        if not block.lines or block.box.grown(block.size + reach).cut(Box(*region)) is None:
            continue
        paint_around(canvas, block, region, glyphs)
        ink_letters(canvas, block, region, glyphs)


def draw_page(page: PageRecord, region: Region, pictures: Sampler, glyphs: Glyphs) -> Bytes:
    """A region of the page with its words. Height x width x 3, in whole levels."""
    canvas = paint_backdrops(page, region, pictures)
    paint_words(canvas, page, region, glyphs)
    return canvas
