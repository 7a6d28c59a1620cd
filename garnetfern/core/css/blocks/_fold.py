"""Menus that fold without a script: their entries stand twice in the markup, beside each other, and in a `details`
element (HTML, section 4.11.1); each screen shows one of both, and what it does not show nobody hears."""

from ...document import Block
from ...resolve.blocks.menu import BESIDE_SIGN, FOLDED, ROW_GAP, SIGN
from ..declarations import Declarations, number
from ..escape import html_attribute, html_words
from ..names import named
from ._context import BlockContext

STROKE = 0.12
"""How thick the two lines of the sign are, em."""
MARGINS = {"start": "0", "center": "0 auto", "end": "0 0 0 auto"}
COMMON: dict[str, Declarations] = {
    ".gf-fold > summary": [
        ("display", "block"),
        ("inline-size", "fit-content"),
        ("list-style", "none"),
        ("white-space", "nowrap"),
        ("cursor", "pointer"),
    ],
    ".gf-fold > summary::-webkit-details-marker": [("display", "none")],
    ".gf-fold > summary::after": [
        ("content", '""'),
        ("display", "inline-block"),
        ("box-sizing", "border-box"),
        ("inline-size", f"{number(SIGN)}em"),
        ("block-size", f"{number(SIGN)}em"),
        ("margin-inline-start", f"{number(BESIDE_SIGN)}em"),
        ("border", "solid currentcolor"),
        ("border-width", f"0 {number(STROKE)}em {number(STROKE)}em 0"),
        ("transform", "translateY(-0.12em) rotate(45deg)"),
    ],
    ".gf-fold[open] > summary::after": [("transform", "translateY(0.1em) rotate(225deg)")],
    ".gf-entries > a": [("white-space", "normal")],
    ".gf-entries": [
        ("display", "flex"),
        ("flex-direction", "column"),
        ("gap", f"{number(ROW_GAP)}em"),
        ("padding-block-start", f"{number(ROW_GAP)}em"),
    ],
}
"""What all menus that fold have."""


def entries_html(block: Block) -> str:
    """A link for each entry."""
    return "".join(f'<a href="{html_attribute(i.link)}">{html_words(i.wording)}</a>' for i in block.items)


def folded_html(block: Block) -> str:
    """The entries behind the word that opens them; nothing where they fold nowhere."""
    if not block.folds or not block.items:
        return ""
    state = " open" if "open" in block.folds else ""
    word = html_words(block.wording or FOLDED)
    return (
        f'<details class="gf-fold"{state}><summary>{word}</summary>'
        f'<div class="gf-entries">{entries_html(block)}</div></details>'
    )


def fold_rules(block: Block, context: BlockContext) -> dict[str, Declarations]:
    """Which of both is shown on the screen that the block is resolved for."""
    if not block.folds:
        return {}
    own = f".{named(block.id)}"
    align = block.lettering.align or context.band.content.align
    beside = block.fold == "beside"
    return {
        f"{own} > a": [("display", "inline" if beside else "none")],
        f"{own} > .gf-fold": [("display", "none" if beside else "block")],
        f"{own} > .gf-fold > summary": [("margin", MARGINS[align])],
        f"{own} .gf-entries": [("align-items", align), ("text-align", align)],
    }
