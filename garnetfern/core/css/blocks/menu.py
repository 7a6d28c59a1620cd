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
    if block.fold == "beside":
        said = words_declarations(block, context, "flex", "justify-content")
    else:
        said = words_declarations(block, context, "block", "justify-content")
    shown = any(name == "display" for name, _ in said)
    # where it folds on some screens alone, what it is on the others is said as well
    return said if shown or not block.folds else [*said, ("display", "flex" if block.fold == "beside" else "block")]


def markup(block: Block, emission: Emission) -> str:
    """A part for finding one's way, with a link an entry."""
    return element("nav", block, emission, entries_html(block) + folded_html(block), "gf-menu")


def pointed(block: Block) -> str:
    """Its entries, and the word that opens them."""
    return f".{named(block.id)} :is(a, summary):is(:hover, :focus-visible)"


__all__ = ["declarations", "markup", "pointed"]
