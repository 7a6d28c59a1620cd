"""A menu."""

from ...document import Block
from ..declarations import Declarations
from ..escape import html_attribute, html_words
from ..pictures import Emission
from ._context import BlockContext
from ._words import element, pointed, words_declarations


def declarations(block: Block, context: BlockContext) -> Declarations:
    """Those of words, side by side."""
    return words_declarations(block, context, "flex", "justify-content")


def markup(block: Block, emission: Emission) -> str:
    """A part for finding one's way, with a link an entry."""
    entries = "".join(f'<a href="{html_attribute(i.link)}">{html_words(i.wording)}</a>' for i in block.items)
    return element("nav", block, emission, entries, "gf-menu")


__all__ = ["declarations", "markup", "pointed"]
