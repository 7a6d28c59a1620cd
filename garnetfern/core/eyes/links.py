"""Links among words that only their hue tells from these (WCAG 2.2, 1.4.1; failure F73, technique G183)."""

from collections.abc import Iterator
from dataclasses import dataclass

import numpy as np

from ..colour.contrast import contrast
from ..colour.spaces import Pixels, luminance
from ..document import Block, Page
from ..resolve.records import BlockRecord, PageRecord

TOLD = 3.0
"""A contrast at which two colours are told apart without their hue (technique G183)."""
LARGER = 1.2
"""Letters so many times as large are told by their size."""


@dataclass(frozen=True)
class LinkByHue:
    """A link and the words beside it that it looks like; the contrast of their colours, 1..3."""

    block: str
    beside: str
    ratio: float


def _level(words: BlockRecord) -> Pixels:
    return luminance(np.array(words.fill.rgb, dtype=np.float32))


def _looks_like(one: Block, other: Block, a: BlockRecord, b: BlockRecord) -> bool:
    """Whether only colour can tell two blocks of words apart."""
    mine, theirs = one.lettering, other.lettering
    shape = (a.family, a.weight, mine.italic, mine.capitals, mine.hollow)
    if shape != (b.family, b.weight, theirs.italic, theirs.capitals, theirs.hollow):
        return False
    return one.plate is None and other.plate is None and max(a.size, b.size) < LARGER * min(a.size, b.size)


def links_by_hue(page: Page, record: PageRecord) -> Iterator[LinkByHue]:
    """The links of a page, as it is laid out, that no more than a hue tells from words in the same column."""
    there = {block.id: block for block in record.blocks() if block.lines}
    for band in page.bands:
        for column in band.columns:
            words = [block for block in column.blocks if block.id in there and block.lettered]
            for link in (block for block in words if block.link is not None):
                for other in (block for block in words if block.link is None and not block.items):
                    ratio = float(contrast(_level(there[link.id]), _level(there[other.id])))
                    if ratio < TOLD and _looks_like(link, other, there[link.id], there[other.id]):
                        yield LinkByHue(link.id, other.id, ratio)
                        break
