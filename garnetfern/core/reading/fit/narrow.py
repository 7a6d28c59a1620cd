"""Lines of one word in a narrow column, where the screen has room for more."""

from collections.abc import Iterator, Sequence

from ...resolve.box import Box
from ...resolve.lettering import setting_of
from ...resolve.lines import broken_lines
from ._look import Look, Misfit, quoted

ORDER, TITLE = 6, "A word a line"
LINES = 4
"""Words of fewer lines are a matter of taste."""
BESIDE = 24.0
"""So much space is left at each side of the screen, px."""


def _alone(texts: Sequence[str]) -> int:
    """How many lines have one word alone; the last one may."""
    return sum(1 for text in texts[:-1] if text and " " not in text)


def found(look: Look) -> Iterator[Misfit]:
    """Words of which most lines are one word, and would not be if they were as wide as the screen."""
    viewport = look.situation.moment.viewport
    for words in look.running():
        alone = _alone([line.text for line in words.lines])
        if len(words.lines) < LINES or 2 * alone < len(words.lines):
            continue
        block = look.block(words)
        setting = setting_of(block, look.reader.fonts.of(look.site), viewport, look.situation.moment.plain)
        wide = broken_lines(words.wording, viewport.width - 2 * BESIDE, setting)
        if 2 * _alone([text for _, text, _ in wide]) < alone:
            sentence = f"{alone} of {len(words.lines)} lines of {quoted(words.wording)} are one word each."
            box = Box(words.box.x, words.box.y, words.box.width, words.box.height)
            yield Misfit("narrow", words.id, sentence, (box,), alone, grave=False)
