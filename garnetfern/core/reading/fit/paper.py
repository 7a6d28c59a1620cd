"""Words that vanish on paper, where browsers leave out what lies behind them."""

from collections.abc import Iterator

from ._look import Look, Misfit, quoted

ORDER, TITLE, OURS = 11, "Vanished on paper", True


def found(look: Look) -> Iterator[Misfit]:
    """Words that cannot be read as the page prints them."""
    if not look.situation.moment.printed:
        return
    for words in look.words:
        reading = look.reader.read(look.record, words, look.situation, look.site.requirement)
        if reading.falls_short and reading.ratio is not None:
            sentence = f"{quoted(words.wording)} cannot be read on paper: {reading.ratio:.1f} of {reading.required:g}."
            boxes = tuple(letter.box for letter in reading.short)
            yield Misfit("paper", words.id, sentence, boxes, reading.required - reading.ratio)
