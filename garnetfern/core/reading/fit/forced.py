"""Words without a ground of their own in forced colours (CSS Color Adjustment 1, section 3). Pages give each block of
words one in the visitor's own colours, a little larger than its box; the pictures stay."""

from collections.abc import Iterator

from ...css.media import FORCED_REACH
from ._look import Look, Misfit, by_line, words_said

ORDER, TITLE, OURS = 12, "Forced colours", True


def found(look: Look) -> Iterator[Misfit]:
    """Letters that reach out of that ground, onto a picture in whose place nobody knows what is."""
    if look.situation.moment.printed:
        return
    for words in look.words:
        ground = words.box.grown(FORCED_REACH * words.size).snapped()
        out = look.outside(words, ground)
        if out:
            sentence = f"In forced colours {words_said(words, out)} has no ground of its own."
            yield Misfit("forced", words.id, sentence, by_line(out), len(out))
