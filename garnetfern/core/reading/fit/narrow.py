"""Lines of one word in a narrow column, where the screen has room for more."""

from collections.abc import Iterator, Sequence

from ...resolve.box import Box
from ...resolve.lettering import setting_of
from ...resolve.lines import broken_lines
from ...resolve.phrased import broken_mixed
from ...resolve.records import BlockRecord
from ...resolve.voices import voices_of
from ._look import Look, Misfit, quoted

ORDER, TITLE = 6, "A word a line"
LINES = 4
"""Words of fewer lines are a matter of taste."""
BESIDE = 24.0
"""So much space is left at each side of the screen, px."""


def _alone(texts: Sequence[str]) -> int:
    """How many lines have one word alone; the last one may."""
    return sum(1 for text in texts[:-1] if text and " " not in text)


def _wide(look: Look, words: BlockRecord) -> list[str]:
    """Its lines if they were as wide as the screen."""
    moment = look.situation.moment
    how = look.block(words), look.reader.fonts.of(look.site), moment.viewport, moment.plain
    room = moment.viewport.width - 2 * BESIDE
    voices = voices_of(*how)
    if voices:
        return [text for _, text, _ in broken_mixed(words.wording, room, voices)]
    return [text for _, text, _ in broken_lines(words.wording, room, setting_of(*how))]


def found(look: Look) -> Iterator[Misfit]:
    """Words of which most lines are one word, and would not be if they were as wide as the screen."""
    for words in look.running():
        rows = ["".join(words.lines[n].text for n in row) for row in words.rows()]
        alone = _alone(rows)
        if len(rows) < LINES or 2 * alone < len(rows):
            continue
        if 2 * _alone(_wide(look, words)) < alone:
            sentence = f"{alone} of {len(rows)} lines of {quoted(words.wording)} are one word each."
            box = Box(words.box.x, words.box.y, words.box.width, words.box.height)
            yield Misfit("narrow", words.id, sentence, (box,), alone, grave=False)
