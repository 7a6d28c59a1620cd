"""Links that no more than a hue tells from running words beside them (WCAG 2.2, 1.4.1; failure F73, technique G183)."""

from collections.abc import Iterator

from ...colour.contrast import ratio
from ...resolve.records import BlockRecord
from ._look import Look, Misfit, quoted

ORDER, TITLE = 16, "Links told by hue alone"
TOLD = 3.0
"""A contrast at which two colours are told apart without their hue (technique G183)."""
LARGER = 1.2
"""Letters so many times as large are told by their size."""


def _alike(look: Look, one: BlockRecord, other: BlockRecord) -> bool:
    """Whether nothing but colour can tell two blocks of words apart."""
    mine, theirs = look.block(one), look.block(other)

    def shape(words: BlockRecord) -> tuple[object, ...]:
        lettering = look.block(words).lettering
        return words.family, words.weight, lettering.italic, lettering.capitals, lettering.hollow

    same = shape(one) == shape(other) and mine.plate is None and theirs.plate is None
    return same and max(one.size, other.size) < LARGER * min(one.size, other.size)


def found(look: Look) -> Iterator[Misfit]:
    """Links in a column with running words that look as they do but for a hue, or in all. Nothing is pressed on
    paper."""
    if look.situation.moment.printed:
        return
    there = {words.id: words for words in look.words}
    running = {words.id for words in look.running()}
    for band in look.page.bands:
        for column in band.columns:
            words = [there[block.id] for block in column.blocks if block.id in there]
            plain = [w for w in words if w.id in running and look.block(w).link is None]
            for link in (w for w in words if look.block(w).link is not None):
                for other in plain:
                    told = ratio(link.fill.hex, other.fill.hex)
                    if told < TOLD and _alike(look, link, other):
                        how = "Nothing tells" if told < 1.005 else f"Only its hue ({told:.1f} of {TOLD:g}) tells"
                        sentence = f"{how} the link {quoted(link.wording)} from {quoted(other.wording)}."
                        yield Misfit("by_hue", link.id, sentence, (link.box,), TOLD - told, grave=False)
                        break
