"""Space."""

from ...document import Block
from ..declarations import Declarations
from ..names import named
from ..pictures import Emission
from ..visible import display
from ._context import BlockContext


def declarations(block: Block, _: BlockContext) -> Declarations:
    """Its height."""
    return [("block-size", block.height), *display(block, "block")]


def markup(block: Block, _: Emission) -> str:
    """An empty element."""
    return f'<div class="gf-space {named(block.id)}"></div>'
