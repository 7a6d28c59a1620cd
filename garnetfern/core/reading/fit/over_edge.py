"""Words that run out of their plate, or out of their band onto what comes next."""

from collections.abc import Iterator

from ._look import Look, Misfit, by_line, words_said

ORDER, TITLE = 1, "Over the edge"
ENOUGH = 0.1
"""So far beyond an edge, em, is beyond it, and a whole px: an accent or a tail may reach out."""


def found(look: Look) -> Iterator[Misfit]:
    """Letters whose ink lies outside of the plate, or of the band, that they stand in."""
    for band in look.record.bands:
        mine = {b.id for b in band.blocks}
        for words in (w for w in look.words if w.id in mine):
            plated = look.block(words).plate is not None
            box, what = (words.box, "its plate") if plated else (band.box, "its band")
            room = box.grown(max(1.0, ENOUGH * words.size))
            out = look.outside(words, room)
            if out:
                sentence = f"{words_said(words, out)} runs out of {what}."
                yield Misfit("over_edge", words.id, sentence, by_line(out), len(out), grave=False)
