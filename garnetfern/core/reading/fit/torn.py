"""Words that are torn: broken where no break is, because they are wider than their room."""

from collections.abc import Iterator
from itertools import pairwise

from ...resolve.box import Box
from ...resolve.breaks import break_opportunities
from ...resolve.records import BlockRecord
from ._look import Look, Misfit, quoted, word_at

ORDER, TITLE = 5, "Torn words"
SHREDS = 3.0
"""Pieces of so few letters on the mean are shreds."""


def _breaks_at(wording: str, at: int) -> bool:
    """Whether a line may begin there."""
    start = wording.rfind("\n", 0, at) + 1
    end = wording.find("\n", at)
    paragraph = wording[start : end if end >= 0 else len(wording)]
    return at - start in break_opportunities(paragraph)


def torn_at(words: BlockRecord) -> list[int]:
    """The places in the wording where a line begins inside a word."""
    found = []
    for before, after in pairwise(words.lines):
        at = after.start
        if after.phrase_beside(before):
            continue
        if at == before.start + len(before.text) and at < len(words.wording) and not _breaks_at(words.wording, at):
            found.append(at)
    return found


def found(look: Look) -> Iterator[Misfit]:
    """The words with most pieces, and how many others. It is grave at rest, and where words are in shreds."""
    for words in look.words:
        places = torn_at(words)
        if not places:
            continue
        torn: dict[str, int] = {}
        for at in places:
            word = word_at(words.wording, at)
            torn[word] = torn.get(word, 1) + 1
        worst = max(torn, key=lambda w: torn[w])
        more = "" if len(torn) == 1 else f", and {len(torn) - 1} more"
        sentence = f"{quoted(worst)} is torn into {torn[worst]} pieces{more}."
        pieces = [n for n, line in enumerate(words.lines) if line.start in places]
        torn_lines = sorted({n for piece in pieces for n in (piece - 1, piece)})
        boxes = tuple(Box(ln.x, ln.top, ln.width, ln.height) for ln in (words.lines[n] for n in torn_lines))
        grave = look.situation.at_rest or len(worst) / torn[worst] <= SHREDS
        yield Misfit("torn", words.id, sentence, boxes, len(places), grave)
