"""Words that flow and break into lines."""

import math

from ...document import Block
from ..lettering import capitalised
from ..lines import set_lines
from ..shape import Setting, shape
from ._place import SetWords, WordRoom


def wording(block: Block) -> str:
    """What is shown."""
    return capitalised(block.wording, block.lettering)


def natural_width(block: Block, setting: Setting) -> float:
    """The widest of its lines."""
    return max((ceiled(shape(text, setting).width) for text in wording(block).split("\n")), default=0.0)


def ceiled(width: float) -> float:
    """A width as the next layout unit that holds it, px."""
    return math.ceil(width * 64 - 1e-6) / 64


def set_words(block: Block, setting: Setting, room: WordRoom) -> SetWords:
    """One line under the other."""
    lines, missing = set_lines(wording(block), setting, room.line_height, room.width, room.align, room.left, room.top)
    return SetWords(lines, missing, sum(line.height for line in lines))
