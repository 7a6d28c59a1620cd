"""Words laid over a painted backdrop."""

import numpy as np

from ..colour.spaces import Bytes
from ..resolve.records import Box, PageRecord
from .glyphs import Glyphs
from .paint import paint_backdrops
from .sample import Region, Sampler


def paint_words(canvas: Bytes, page: PageRecord, region: Region, glyphs: Glyphs) -> None:
    """Fill the letters of every block in their colour, in place."""
    for block in page.blocks():
        fill = np.array(block.fill.rgb, dtype=np.float32)
        for line in block.lines:
            for _, left, top, mask in glyphs.letters(block, line):
                height, width = mask.coverage.shape
                common = Box(left, top, width, height).cut(Box(*region))
                if common is None:
                    continue
                x, y, w, h = (int(v) for v in (common.x, common.y, common.width, common.height))
                cover = mask.coverage[y - top : y - top + h, x - left : x - left + w, None]
                part = canvas[y - region[1] : y - region[1] + h, x - region[0] : x - region[0] + w]
                part[:] = np.rint(part + (fill - part) * (cover * np.float32(block.fill.alpha)))


def draw_page(page: PageRecord, region: Region, pictures: Sampler, glyphs: Glyphs) -> Bytes:
    """A region of the page with its words. Height x width x 3, in whole levels."""
    canvas = paint_backdrops(page, region, pictures)
    paint_words(canvas, page, region, glyphs)
    return canvas
