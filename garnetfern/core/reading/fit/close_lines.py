"""Lines of running words that stand too close."""

from collections.abc import Iterator

from ._look import Look, Misfit, quoted

ORDER, TITLE = 8, "Close lines"
LEAST = 1.2
"""Lines of running words are at least so high, as a multiple of the size."""


def found(look: Look) -> Iterator[Misfit]:
    """Running words of more than one line that are set closer."""
    for words in look.running():
        line = look.block(words).lettering.line
        if line < LEAST and len(words.rows()) > 1:
            sentence = f"The lines of {quoted(words.wording)} are {line:g} of the letters' size; {LEAST:g} are wanted."
            yield Misfit("close_lines", words.id, sentence, (words.box,), LEAST - line, grave=False)
