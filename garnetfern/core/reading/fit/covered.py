"""Words beneath something that is painted over them later: a plate of other words, say."""

from collections.abc import Iterator

import numpy as np

from ...colour.spaces import Pixels
from ...draw.paint import paint_area
from ...draw.sample import Region
from ...resolve.box import Box
from ...resolve.records import BlockRecord
from ..ground import all_sheets, around
from ._look import INKED, Look, Misfit, by_line, words_said

ORDER, TITLE, PAINTS = 4, "Covered", True
LEFT = 0.5
"""Letters of whose colour less than this is left cannot be relied on."""


def _let_through(look: Look, words: BlockRecord, room: Box, region: Region) -> Pixels | None:
    """How much of the letters' colour comes through what is painted over them, 0..1; None where nothing is."""
    above = [layer for layer in around(look.record, words, room, all_sheets).above if layer.area is not None]
    if not above:
        return None
    shades = []
    for level in (0, 255):
        canvas = np.full((region[3], region[2], 3), level, dtype=np.uint8)
        for layer in above:
            if layer.area is not None:
                paint_area(canvas, layer.area, layer.sheets, region, look.reader.pictures)
        shades.append(canvas.astype(np.float32).mean(axis=2))
    return np.asarray(np.abs(shades[1] - shades[0]) / 255, dtype=np.float32)


def found(look: Look) -> Iterator[Misfit]:
    """Letters of which most is hidden."""
    for words in look.words:
        room = look.ink(words)
        if room is None:
            continue
        region = (int(room.x), int(room.y), int(room.width), int(room.height))
        left = _let_through(look, words, room, region)
        if left is None:
            continue
        hidden = []
        for letter in look.letters(words):
            x, y = int(letter.box.x) - region[0], int(letter.box.y) - region[1]
            part = left[y : y + letter.cover.shape[0], x : x + letter.cover.shape[1]]
            if part[letter.cover > INKED].mean() < LEFT:
                hidden.append(letter)
        if hidden:
            sentence = f"{words_said(words, hidden)} lies beneath something that covers it."
            yield Misfit("covered", words.id, sentence, by_line(hidden), len(hidden))
