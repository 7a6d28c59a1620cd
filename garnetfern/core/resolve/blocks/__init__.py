"""How each kind of block is set. A module here has the name of its kind, and functions:

of words `wording(block)`, what is shown; `natural_width(block, setting, voices)`, how wide it is where nothing breaks
it, px (max-content); `set_words(block, setting, room)`, its lines; and `targets(block, words, ascent, descent)`, the
boxes that can be pressed. Of other blocks `height(block, width, place)`.
"""

import sys
from types import ModuleType

from ...document import BLOCK_KINDS, Block
from ...registry import parts
from ..box import Box
from ..records import BlockRecord
from ..shape import Setting
from ..voices import Voice
from ._place import BlockPlace, SetWords, WordRoom

SETTERS: dict[str, ModuleType] = parts(sys.modules[__name__], BLOCK_KINDS)
"""The module of every kind."""


def shown_wording(block: Block) -> str:
    """A block's words as they are shown."""
    return str(SETTERS[block.kind].wording(block))


def natural_width(block: Block, setting: Setting, voices: tuple[Voice, ...] = ()) -> float:
    """How wide its words are where nothing makes them break, px; `voices`: where not all are set alike."""
    return float(SETTERS[block.kind].natural_width(block, setting, voices))


def set_words(block: Block, setting: Setting, room: WordRoom) -> SetWords:
    """Its lines in their room."""
    found: SetWords = SETTERS[block.kind].set_words(block, setting, room)
    return found


def targets_of(block: Block, words: BlockRecord, ascent: float, descent: float) -> tuple[Box, ...]:
    """The boxes that can be pressed, px of the page; `ascent` and `descent` are those of its font."""
    return tuple(SETTERS[block.kind].targets(block, words, ascent, descent)) if block.lettered else ()


def height_of(block: Block, width: float, place: BlockPlace) -> float:
    """How high a block without words is, px."""
    return float(SETTERS[block.kind].height(block, width, place))


__all__ = [
    "SETTERS",
    "BlockPlace",
    "SetWords",
    "WordRoom",
    "height_of",
    "natural_width",
    "set_words",
    "shown_wording",
    "targets_of",
]
