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
        rows = words.rows()
        letters = {row: sum(len(words.lines[n].text) for n in row) for row in rows}
        long = [words.lines[n] for row in rows if letters[row] > MOST for n in row]
        if long and len(rows) > 1:
            most = max(letters.values())
            sentence = f"Lines of {quoted(words.wording)} have up to {most} letters; {MOST} are enough for the eye."
            boxes = tuple(Box(ln.x, ln.top, ln.width, ln.height) for ln in long)
            yield Misfit("long_lines", words.id, sentence, boxes, most - MOST, grave=False)
