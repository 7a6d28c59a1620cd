"""Links that no more than a hue tells from running words beside them, or around them (WCAG 2.2, 1.4.1; failure F73,
technique G183)."""

from collections.abc import Iterator

from ...colour.contrast import ratio
from ...resolve.box import Box
from ...resolve.records import BlockRecord
from ...resolve.voices import lettering_in
from ._look import Look, Misfit, quoted

ORDER, TITLE = 16, "Links told by hue alone"
TOLD = 3.0
"""A contrast at which two colours are told apart without their hue (technique G183)."""
HEAVIER = 200
"""Letters so much heavier are told by their weight."""
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


def _sentence(link: str, others: str, told: float) -> str:
    how = "Nothing tells" if told < 1.005 else f"Only its hue ({told:.1f} of {TOLD:g}) tells"
    return f"{how} the link {quoted(link)} from {others}."


def _among(look: Look, words: BlockRecord) -> Iterator[Misfit]:
    """The links among the words of a block that nothing else tells from those around them."""
    block = look.block(words)
    family = look.reader.fonts.of(look.site).family(block.lettering.font)
    for number, phrase in enumerate(block.phrases):
        there = lettering_in(block.lettering, phrase)
        heavier = family.weight(there.weight, there.italic) >= words.weight + HEAVIER
        slanted = phrase.emphasis and bool(family.italics)
        if not phrase.link or phrase.underlined or heavier or slanted:
            continue
        lines = [line for line in words.lines if line.phrase == number]
        around = any(line.phrase is None and line.text.strip() for line in words.lines)
        if lines and around:
            told = ratio(words.fill_of(lines[0]).hex, words.fill.hex)
            if told < TOLD:
                text = "".join(line.text for line in lines)
                boxes = tuple(Box(ln.x, ln.top, ln.width, ln.height) for ln in lines)
                said = _sentence(text, "the words around it", told)
                yield Misfit("by_hue", words.id, said, boxes, TOLD - told, grave=False)


def found(look: Look) -> Iterator[Misfit]:
    """Links in a column with running words that look as they do but for a hue, or in all; and links among words.
    Nothing is pressed on paper."""
    if look.situation.moment.printed:
        return
    for block in look.words:
        yield from _among(look, block)
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
                        sentence = _sentence(link.wording, quoted(other.wording), told)
                        yield Misfit("by_hue", link.id, sentence, (link.box,), TOLD - told, grave=False)
                        break
