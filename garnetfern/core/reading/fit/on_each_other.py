"""Letters on letters: of other words, or of the next line of the same."""

from collections.abc import Iterator, Sequence
from itertools import pairwise

import numpy as np

from ...resolve.box import Box, around
from ._look import INKED, Letter, Look, Misfit, by_line, quoted

ORDER, TITLE = 2, "On each other"
ENOUGH = 2
"""So many px that both ink are more than a touch."""
LOST = 0.2
"""A letter of whose ink so much lies on another's can be taken for something else."""


def _shared(one: Letter, other: Letter) -> int:
    """How many px both ink."""
    common = one.box.cut(other.box)
    if common is None:
        return 0
    parts = []
    for letter in (one, other):
        x, y = int(common.x - letter.box.x), int(common.y - letter.box.y)
        parts.append(letter.cover[y : y + int(common.height), x : x + int(common.width)] > INKED)
    return int(np.count_nonzero(parts[0] & parts[1]))


def _touching(one: Sequence[Letter], other: Sequence[Letter]) -> dict[Letter, float]:
    """The letters of `other` that stand on letters of `one`, and how much of their ink does."""
    room = around(x.box for x in one).cut(around(x.box for x in other)) if one and other else None
    if room is None:
        return {}
    first = [x for x in one if x.box.cut(room)]
    found = {}
    for letter in (x for x in other if x.box.cut(room)):
        most = max((_shared(x, letter) for x in first), default=0)
        if most >= ENOUGH:
            found[letter] = most / int(np.count_nonzero(letter.cover > INKED))
    return found


def _meet(one: Box | None, other: Box | None) -> bool:
    return one is not None and other is not None and one.cut(other) is not None


def found(look: Look) -> Iterator[Misfit]:
    """The later words of each pair, and words whose lines reach into each other."""
    for n, words in enumerate(look.words):
        for other in (w for w in look.words[:n] if _meet(look.ink(w), look.ink(words))):
            on = _touching(look.letters(other), look.letters(words))
            if on:
                sentence = f"{quoted(words.wording)} stands on the letters of {quoted(other.wording)}."
                grave = max(on.values()) >= LOST
                yield Misfit("on_each_other", words.id, sentence, by_line(list(on)), len(on), grave, other.id)
        touching: dict[Letter, float] = {}
        ink = look.line_ink(words)
        for k, after in ((k, n) for before, row in pairwise(words.rows()) for k in before for n in row):
            if _meet(ink[k], ink[after]):
                touching |= _touching(list(look.line_letters(words, k)), list(look.line_letters(words, after)))
        if touching:
            many = len(touching)
            letters = "one letter touches" if many == 1 else f"{many} letters touch"
            sentence = f"Lines of {quoted(words.wording)} stand on each other: {letters} the line above."
            grave = max(touching.values()) >= LOST
            yield Misfit("on_each_other", words.id, sentence, by_line(list(touching)), many, grave)
