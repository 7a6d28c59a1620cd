"""How each kind of block is said in CSS and HTML. A module here has the name of its kind, and functions:

`declarations(block, context)`, those of its own element; `markup(block, emission)`, its element; and, where letters can
be pointed at, `pointed(block)`, the selector of what is pointed at or holds the focus.
"""

import sys
from types import ModuleType

from ...document import BLOCK_KINDS, Block, Page
from ...registry import parts
from ..declarations import Declarations
from ..pictures import Emission
from ._context import BlockContext
from ._fold import COMMON as FOLDING
from ._fold import fold_rules
from ._list import COMMON as LISTS
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


def common_rules(page: Page) -> dict[str, Declarations]:
    """What blocks of a page share that not all pages have."""
    blocks = list(page.blocks())
    folding = FOLDING if any(block.folds for block in blocks) else {}
    return {**folding, **(LISTS if any(block.listed for block in blocks) else {})}


def inner_rules(block: Block, context: BlockContext) -> dict[str, Declarations]:
    """What is said of parts of it, by selector."""
    return {**phrase_rules(block, context.fonts), **fold_rules(block, context)}


__all__ = ["EMITTERS", "BlockContext", "block_declarations", "block_markup", "common_rules", "inner_rules", "pointed"]
