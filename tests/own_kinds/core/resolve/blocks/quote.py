"""What somebody has said, between quotation marks."""

from dataclasses import replace

from ...document import Block
from ..shape import Setting
from . import _flow
from ._place import SetWords, WordRoom


def _marked(block: Block) -> Block:
    return block.model_copy(update={"wording": f"\u201c{block.wording}\u201d"})


def wording(block: Block) -> str:
    """With its marks."""
    return _flow.wording(_marked(block))


def natural_width(block: Block, setting: Setting) -> float:
    """With its marks."""
    return _flow.natural_width(_marked(block), setting)


def set_words(block: Block, setting: Setting, room: WordRoom) -> SetWords:
    """With its marks; a line's height is added below, as its element has it."""
    found = _flow.set_words(_marked(block), setting, room)
    return replace(found, height=found.height + room.line_height)
