"""Mending a page: the best remedy for each block of words that falls short, one after the other."""

from dataclasses import dataclass

from ..document import Block, Page, Site
from ..reading import Reader, situations
from ..telling import Told, silent
from .plight import Colours, quotient
from .remedies import Remedies, in_order

ENOUGH = 99.95
"""A remedy that keeps so much of the picture is taken without looking for a better one."""


READING = 0.1
"""The share of the work that reading every situation first counts as."""


@dataclass(frozen=True)
class Mended:
    """The mended page, what was done for which block, and the blocks that nothing was found for."""

    page: Page
    done: tuple[tuple[Block, str, float], ...]
    left: tuple[Block, ...]


def short_blocks(reader: Reader, site: Site, page: Page, told: Told = silent) -> list[Block]:
    """The blocks that fall short in some situation and can be vouched for, those that fare worst first.

    `told` hears which situation has been read, and which share of them.
    """
    worst: dict[str, float] = {}
    wanted = situations(site, page, None)
    for n, (situation, readings) in enumerate(reader.reading_of(site, page, wanted)):
        told(situation.name, (n + 1) / len(wanted))
        for reading in readings:
            if reading.falls_short and reading.vouched:
                worst[reading.block] = min(worst.get(reading.block, 1.0), quotient(reading))
    blocks = {b.id: b for b in page.blocks()}
    return [blocks[name] for name in sorted(worst, key=lambda name: worst[name])]


def mend(reader: Reader, site: Site, page: Page, colours: Colours, told: Told = silent) -> Mended:
    """Each remedy is sought on the page as the ones before have left it, so that what helps several is done once.

    `told` hears what is being done and which share of the whole is done, 0..1; the share never goes back.
    """
    done: list[tuple[Block, str, float]] = []
    left: dict[str, Block] = {}
    first = short_blocks(reader, site, page, lambda name, share: told(name, share * READING))
    total = max(1, len(first))
    while True:
        again = first if not done and not left else short_blocks(reader, site, page)
        waiting = [b for b in again if b.id not in left]
        if not waiting:
            return Mended(page, tuple(done), tuple(left.values()))
        block = waiting[0]
        ended = len(done) + len(left)

        def further(share: float, words: str = block.wording[:60], ended: int = ended) -> None:
            told(words, READING + (1 - READING) * min(1.0, (ended + share) / max(total, ended + 1)))

        further(0.0)
        found = []
        for remedy in Remedies(reader, site, page, block, colours, further):
            found.append(remedy)
            if remedy.meets and remedy.kept >= ENOUGH:
                break
        best = next(iter(in_order(found)), None)
        if best is None:
            left[block.id] = block
        else:
            page = best.page
            done.append((block, best.sentence, best.kept))
