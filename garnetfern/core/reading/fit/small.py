"""Letters that are too small to be read with ease."""

from collections.abc import Iterator

from ._look import Look, Misfit, quoted

ORDER, TITLE = 7, "Small letters"
LEAST = 12.0
"""Letters of running words are at least so large, px."""


def found(look: Look) -> Iterator[Misfit]:
    """Running words whose letters are smaller."""
    for words in look.running():
        if words.size < LEAST:
            sentence = f"The letters of {quoted(words.wording)} are {words.size:g} px large; {LEAST:g} are wanted."
            yield Misfit("small", words.id, sentence, (words.box,), LEAST - words.size, grave=False)
