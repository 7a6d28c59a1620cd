"""What lies close behind the words of an area: the same plate for each of their blocks."""

from ...document import Block, Page, Plate, each_block
from ..distress import Distress


def unplated(distress: Distress, bare: Page) -> frozenset[str]:
    """The words of the bands that fall short on a page; none where one of them has a plate already."""
    short = {case[0] for case in distress.order if distress.trial(bare).share(case) < 1}
    bands = {b.id for b in distress.bands() if any(block.id in short for block in b.blocks())}
    words = frozenset(distress.of_bands(bands))
    return frozenset() if any(distress.block(name).plate is not None for name in words) else words


def plated(page: Page, words: frozenset[str], plate: Plate) -> Page:
    """A page with a plate behind each of these."""

    def changed(block: Block) -> Block:
        return block.model_copy(update={"plate": plate}) if block.id in words else block

    return each_block(page, changed)
