"""Words on one plain colour: their ratio is known without painting their letters' ground."""

import numpy as np

from ..colour.spaces import Pixels, level_luminance
from ..draw.paint import blank, paint_area
from ..draw.sample import Sampler
from ..resolve.box import Box
from ..resolve.records import BlockRecord, PageRecord
from .ground import Around
from .letters import ratio_map

MARGIN = 0.3
"""How far around a block's box its letters' rings and patches reach, em; lines are as high as letters at least."""


def _holds(outer: Box, inner: Box) -> bool:
    return outer.x <= inner.x and outer.y <= inner.y and outer.right >= inner.right and outer.bottom >= inner.bottom


def flat_ratio(
    page: PageRecord,
    block: BlockRecord,
    there: Around,
    pictures: Sampler,
) -> float | None:
    """The ratio of letters that stand on nothing but whole sheets of colour; None where that is not so.

    `there`: what paints something round the block.
    """
    if block.shadow is not None or block.stroke is not None or not block.wording.strip():
        return None
    if any(line.height < block.size for line in block.lines):
        return None
    room = block.box.grown(MARGIN * block.size + 2)
    if there.above:
        return None
    colours: list[tuple[object, ...]] = []
    for layer in there.beneath:
        if layer.area is None or layer.area.plate is not None:
            return None
        found = [(s.id, s.opacity, s.blend, s.flat()) for s in layer.sheets if _holds(s.box, room)]
        if len(found) < len(layer.sheets) or any(colour is None for *_, colour in found):
            return None
        colours.append((layer.area.kind, *found))

    fills = tuple(dict.fromkeys(block.fill_of(line) for line in block.lines if line.text.strip()))

    def painted() -> Pixels:
        spot = (int(block.box.x + block.box.width / 2), int(block.box.y + block.box.height / 2), 1, 1)
        canvas = blank(page, spot)
        for layer in there.beneath:
            if layer.area is not None:
                paint_area(canvas, layer.area, layer.sheets, spot, pictures)
        maps = [ratio_map(canvas, level_luminance(canvas), fill, block.size) for fill in fills]
        return np.asarray(np.minimum.reduce(maps), dtype=np.float32)

    return float(pictures.kept("flat", (page.base, fills, tuple(colours)), painted)[0, 0])
