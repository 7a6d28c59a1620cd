"""Words that run off the page: to the side of it nobody looks, and above it nobody can scroll."""

import math
from collections.abc import Iterator

from ...resolve.box import Box
from ._look import Look, Misfit, by_line, words_said

ORDER, TITLE = 0, "Off the screen"
ENOUGH = 1.0
"""So far beyond the edge, px, is beyond it."""


def found(look: Look) -> Iterator[Misfit]:
    """Letters whose ink lies beyond the left, the right or the upper edge."""
    # less than a px beyond the edge is not beyond it; below the page there is nothing to be beyond
    page = Box(0, 0, look.record.width, math.inf).grown(math.nextafter(ENOUGH, 0))
    for words in look.words:
        letters = look.outside(words, page)
        if letters:
            far = max(max(-x.box.x, x.box.right - look.record.width, -x.box.y) for x in letters)
            where = "above the page" if all(x.box.y <= -ENOUGH for x in letters) else "off the side of the page"
            if look.situation.moment.printed:
                where = "off the sheet"
            sentence = f"{words_said(words, letters)} runs {far:.0f} px {where}."
            yield Misfit("off_screen", words.id, sentence, by_line(letters), len(letters) + far / 1e4)
