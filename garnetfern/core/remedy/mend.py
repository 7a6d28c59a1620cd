"""Mending a page: one idea for each area whose words fall short, and for words that no idea serves the best remedy of
their own."""

from collections.abc import Callable
from dataclasses import dataclass, replace

from ..document import Block, Page, Site
from ..reading import Reader, situations
from ..telling import Told, silent
from .cost import MEANS
from .designs import ALL, Design, Designs, Short, shortfalls
from .kinds import KINDS
from .plight import Colours
from .remedies import Remedies, in_order
from .remedy import Remedy
from .trial import Tried

READING = 0.1
"""The share of the work that reading every situation first counts as."""
MOST_HELPS = 3
"""More kinds of help than these are given to a page only where nothing else suffices."""
NAMED = ("apart",)
"""Ideas that are offered, and never taken by themselves: they undo what somebody has made."""


@dataclass(frozen=True)
class Fixed:
    """What was done for what, and how much of the picture it keeps, 0..100."""

    what: str
    sentence: str
    kept: float


@dataclass(frozen=True)
class Mended:
    """The mended page, what was done, the blocks that nothing was found for, and the kinds of help that it takes.

    `design` is what it began with, where an idea served a whole area.
    """

    page: Page
    done: tuple[Fixed, ...]
    left: tuple[Block, ...]
    helps: frozenset[str] = frozenset()
    design: Design | None = None

    @property
    def many(self) -> bool:
        """Whether it takes more kinds of help than a page should have; nothing else sufficed then."""
        return len(self.helps) > MOST_HELPS


def wording_of(block: Block) -> str:
    """Words as they are called in lists."""
    return " ".join(block.wording.split())[:60] or block.kind


def _blocks(page: Page, short: Short) -> list[Block]:
    known = {b.id: b for b in page.blocks()}
    return [known[reading.block] for reading, _ in short]


def short_blocks(reader: Reader, site: Site, page: Page, told: Told = silent) -> list[Block]:
    """The blocks that fall short in some situation and can be vouched for, those that fare worst first.

    `told` hears which situation has been read, and which share of them.
    """
    return _blocks(page, shortfalls(Tried(reader, site, page), situations(site, page, None), told))


def _help(remedy: Remedy) -> frozenset[str]:
    name = getattr(KINDS[remedy.kind], "HELP", "")
    return frozenset({name}) if name else frozenset()


def _best(found: list[Remedy], helps: frozenset[str]) -> Remedy | None:
    """What keeps most of the picture, another kind of help being weighed against it; where there are as many as a page
    should have, none is added that can be done without."""
    ordered = in_order(found)
    if len(helps) >= MOST_HELPS:
        ordered = [r for r in ordered if _help(r) <= helps] or ordered
    return min(ordered, key=lambda r: (100 - r.kept) / 100 + MEANS * len(_help(r) - helps), default=None)


def _one_by_one(
    reader: Reader, site: Site, begun: Mended, first: list[Block], colours: Colours, told: Callable[[str, float], None]
) -> Mended:
    """Each block's remedy is sought on the page as the ones before have left it, so that what helps several is done
    once."""
    page, helps = begun.page, begun.helps
    done, left = list(begun.done), {b.id: b for b in begun.left}
    waiting, count = first, 0
    while waiting:
        block = waiting[0]
        total = count + len(waiting)

        def further(share: float, words: str = wording_of(block), count: int = count, total: int = total) -> None:
            told(words, (count + min(1.0, share)) / total)

        further(0.0)
        found = []
        for remedy in Remedies(reader, site, page, block, colours, further):
            found.append(remedy)
            if remedy.meets and remedy.kept >= ALL:
                break
        best = _best(found, helps)
        if best is None:
            left[block.id] = block
        else:
            page, helps = best.page, helps | _help(best)
            done.append(Fixed(wording_of(block), best.sentence, best.kept))
        count += 1
        waiting = [b for b in short_blocks(reader, site, page) if b.id not in left]
    return replace(begun, page=page, done=tuple(done), left=tuple(left.values()), helps=helps)


def by_design(design: Design) -> Mended:
    """A page as a design leaves it."""
    done = tuple(Fixed(d.name, d.draft.sentence, d.cost.kept) for d in design.done)
    return Mended(design.page, done, (), design.helps, design)


def finished(reader: Reader, site: Site, short: Short, design: Design, colours: Colours, told: Told = silent) -> Mended:
    """A design with the words that it does not serve mended one by one. `told` hears whose turn it is."""
    served = {name for d in design.done for name in d.words}
    rest = [b for b in _blocks(design.page, short) if b.id not in served]
    return _one_by_one(reader, site, by_design(design), rest, colours, told)


def word_by_word(reader: Reader, site: Site, page: Page, colours: Colours, told: Told = silent) -> Mended:
    """Each block by its own best remedy: what changes the picture least, though it may look like several hands.

    `told` hears what is being done and which share of the whole is done, 0..1.
    """
    first = short_blocks(reader, site, page, lambda name, share: told(name, share * READING))
    return _one_by_one(
        reader, site, Mended(page, (), ()), first, colours, lambda w, s: told(w, READING + (1 - READING) * s)
    )


def mend(reader: Reader, site: Site, page: Page, colours: Colours, told: Told = silent) -> Mended:
    """The least costly design that takes nothing apart, and its rest one by one; all one by one where there is none.

    `told` hears what is being done and which share of the whole is done, 0..1; the share never goes back.
    """
    designs = Designs(reader, site, page, colours, lambda name, share: told(name, share * 0.8))
    found = [d for d in designs.found() if not {one.draft.idea for one in d.done} & set(NAMED)]

    def after(words: str, share: float) -> None:
        told(words, 0.8 + 0.2 * share)

    if not found:
        return _one_by_one(reader, site, Mended(page, (), ()), _blocks(page, designs.short), colours, after)
    return finished(reader, site, designs.short, found[0], colours, after)
