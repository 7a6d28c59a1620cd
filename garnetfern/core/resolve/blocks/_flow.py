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
from ._place import SetWords, WordRoom


def wording(block: Block) -> str:
    """What is shown."""
    return capitalised(block.wording, block.lettering)


def natural_width(block: Block, setting: Setting, voices: tuple[Voice, ...] = ()) -> float:
    """The widest of its lines."""
    if voices:
        return mixed_width(wording(block), voices)
    return max((ceiled(shape(text, setting).width) for text in wording(block).split("\n")), default=0.0)


def set_words(block: Block, setting: Setting, room: WordRoom) -> SetWords:
    """One line under the other."""
    place = (setting, room.line_height, room.width, room.align, room.left, room.top)
    if room.voices:
        return SetWords(*set_mixed(wording(block), room.voices, *place))
    lines, missing = set_lines(wording(block), *place)
    return SetWords(lines, missing, sum(line.height for line in lines))


def targets(block: Block, words: BlockRecord, ascent: float, descent: float) -> tuple[Box, ...]:
    """Where it is a link all of its lines together, as high as the font's own ascent and descent."""
    if not block.link or not words.lines:
        return ()
    return (around(Box(line.x, line.baseline - ascent, line.width, ascent + descent) for line in words.lines),)
