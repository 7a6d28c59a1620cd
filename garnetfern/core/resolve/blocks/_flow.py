"""Words that flow and break into lines."""

from ...document import Block
from ..box import Box, around
from ..lengths import ceiled
from ..lettering import capitalised
from ..lines import set_lines
from ..phrased import mixed_width, set_mixed
from ..records import BlockRecord
from ..shape import Setting, shape
from ..voices import Voice
from ._list import indent_of, marks_of, set_list
from ._place import SetWords, WordRoom


def _said(block: Block) -> str:
    return capitalised(block.wording, block.lettering)


def wording(block: Block) -> str:
    """What is shown; the marks of a list behind its entries."""
    said = _said(block)
    return "\n".join([said, *marks_of(block, said)]) if block.listed and said else said


def natural_width(block: Block, setting: Setting, voices: tuple[Voice, ...] = ()) -> float:
    """The widest of its lines."""
    said, indent = _said(block), indent_of(block, setting.size)
    if voices:
        return indent + mixed_width(said, voices)
    return indent + max((ceiled(shape(text, setting).width) for text in said.split("\n")), default=0.0)


def set_words(block: Block, setting: Setting, room: WordRoom) -> SetWords:
    """One line under the other."""
    said = _said(block)

    def flowed(inner: WordRoom) -> SetWords:
        place = (setting, inner.line_height, inner.width, inner.align, inner.left, inner.top)
        if inner.voices:
            return SetWords(*set_mixed(said, inner.voices, *place))
        lines, missing = set_lines(said, *place)
        return SetWords(lines, missing, sum(line.height for line in lines))

    return set_list(block, said, setting, room, flowed) if block.listed and said else flowed(room)


def targets(block: Block, words: BlockRecord, ascent: float, descent: float) -> tuple[Box, ...]:
    """Where it is a link all of its lines together, as high as the font's own ascent and descent."""
    if not block.link or not words.lines:
        return ()
    return (around(Box(line.x, line.baseline - ascent, line.width, ascent + descent) for line in words.lines),)
