"""How each kind of block is said in CSS and HTML. A module here has the name of its kind, and functions:

`declarations(block, context)`, those of its own element; `markup(block, emission)`, its element; and, where letters can
be pointed at, `pointed(block)`, the selector of what is pointed at or holds the focus.
"""

import sys
from types import ModuleType

from ...document import BLOCK_KINDS, Block
from ...registry import parts
from ..declarations import Declarations
from ..pictures import Emission
from ._context import BlockContext
from ._phrases import phrase_rules

EMITTERS: dict[str, ModuleType] = parts(sys.modules[__name__], BLOCK_KINDS)
"""The module of every kind."""


def block_declarations(block: Block, context: BlockContext) -> Declarations:
    """All of a block's own element."""
    found: Declarations = EMITTERS[block.kind].declarations(block, context)
    return found


def block_markup(block: Block, emission: Emission) -> str:
    """Its element."""
    return str(EMITTERS[block.kind].markup(block, emission))


def pointed(block: Block) -> str:
    """What of a block is pointed at or holds the focus when its letters take their other colour."""
    return str(EMITTERS[block.kind].pointed(block))


__all__ = ["EMITTERS", "BlockContext", "block_declarations", "block_markup", "phrase_rules", "pointed"]
