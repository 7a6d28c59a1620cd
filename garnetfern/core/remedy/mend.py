"""Mending a page: the best remedy for each block of words that falls short, one after the other."""

from collections.abc import Callable
from dataclasses import dataclass

from ..document import Block, Page, Site
from ..reading import Reader, situations
from .plight import Colours, quotient
from .remedies import Remedies, in_order

ENOUGH = 99.95
"""A remedy that keeps so much of the picture is taken without looking for a better one."""


@dataclass(frozen=True)
class Mended:
    """The mended page, what was done for which block, and the blocks that nothing was found for."""

    page: Page
    done: tuple[tuple[Block, str, float], ...]
    left: tuple[Block, ...]


def short_blocks(reader: Reader, site: Site, page: Page) -> list[Block]:
    """The blocks that fall short in some situation and can be vouched for, those that fare worst first."""
    worst: dict[str, float] = {}
    for _, readings in reader.reading_of(site, page, situations(site, page, None)):
        for reading in readings:
            if not reading.meets and reading.vouched:
                worst[reading.block] = min(worst.get(reading.block, 1.0), quotient(reading))
    blocks = {b.id: b for b in page.blocks()}
    return [blocks[name] for name in sorted(worst, key=lambda name: worst[name])]


def silent(_: str, __: float) -> None:
    """Tells nobody."""


def mend(
    reader: Reader, site: Site, page: Page, colours: Colours, told: Callable[[str, float], None] = silent
) -> Mended:
    """Each remedy is sought on the page as the ones before have left it, so that what helps several is done once."""
    done: list[tuple[Block, str, float]] = []
    left: dict[str, Block] = {}
    total = max(1, len(short_blocks(reader, site, page)))
    while True:
        waiting = [b for b in short_blocks(reader, site, page) if b.id not in left]
        if not waiting:
            return Mended(page, tuple(done), tuple(left.values()))
        block = waiting[0]
        told(block.wording[:60], min(1.0, (len(done) + len(left)) / total))
        found = []
        for remedy in Remedies(reader, site, page, block, colours):
            found.append(remedy)
            if remedy.meets and remedy.kept >= ENOUGH:
                break
        best = next(iter(in_order(found)), None)
        if best is None:
            left[block.id] = block
        else:
            page = best.page
            done.append((block, best.sentence, best.kept))
