"""Lines of running words that are so long that the eye loses the next one."""

from collections.abc import Iterator

from ...resolve.box import Box
from ._look import Look, Misfit, quoted

ORDER, TITLE = 9, "Long lines"
MOST = 90
"""A line of running words has at most so many letters."""


def found(look: Look) -> Iterator[Misfit]:
    """Running words of more than one line with lines that are longer."""
    for words in look.running():
        long = [line for line in words.lines if len(line.text) > MOST]
        if long and len(words.lines) > 1:
            most = max(len(line.text) for line in long)
            sentence = f"Lines of {quoted(words.wording)} have up to {most} letters; {MOST} are enough for the eye."
            boxes = tuple(Box(ln.x, ln.top, ln.width, ln.height) for ln in long)
            yield Misfit("long_lines", words.id, sentence, boxes, most - MOST, grave=False)
