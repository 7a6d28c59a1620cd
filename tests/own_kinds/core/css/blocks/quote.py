"""What somebody has said."""

from ...document import Block
from ..declarations import Declarations
from ..escape import html_words
from ..pictures import Emission
from ._context import BlockContext
from ._words import element, pointed, words_declarations


def declarations(block: Block, context: BlockContext) -> Declarations:
    """Those of words, and a line below."""
    return [*words_declarations(block, context), ("padding-block-end", f"{block.lettering.line}em")]


def markup(block: Block, emission: Emission) -> str:
    """A quotation."""
    return element("blockquote", block, emission, f"\u201c{html_words(block.wording)}\u201d")


__all__ = ["declarations", "markup", "pointed"]
