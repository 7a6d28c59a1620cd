"""A menu."""

from ...document import Block
from ..declarations import Declarations
from ..names import named
from ..pictures import Emission
from ._context import BlockContext
from ._fold import entries_html, folded_html
from ._words import element, words_declarations


def declarations(block: Block, context: BlockContext) -> Declarations:
    """Those of words, side by side."""
    shown = "flex" if block.fold == "beside" else "block"
    said = words_declarations(block, context, shown, "justify-content")
    # where it folds on some screens alone, what it is on the others is said as well
    told = not block.folds or any(name == "display" for name, _ in said)
    return said if told else [*said, ("display", shown)]


def markup(block: Block, emission: Emission) -> str:
    """A part for finding one's way, with a link an entry."""
    return element("nav", block, emission, entries_html(block) + folded_html(block), "gf-menu")


def pointed(block: Block) -> str:
    """Its entries, and the word that opens them."""
    return f".{named(block.id)} :is(a, summary):is(:hover, :focus-visible)"


__all__ = ["declarations", "markup", "pointed"]
