"""Lists as HTML (section 4.4): each line of the wording is an entry. What stands before it is drawn by us."""

from ...document import Block
from ...resolve.blocks._list import GAP, INDENT, MARK
from ..declarations import Declarations, number
from ..escape import css_string
from ._phrases import words_html

TAGS = {"marks": "ul", "numbers": "ol"}
COMMON: dict[str, Declarations] = {
    ".gf-list": [("margin", "0"), ("padding", "0"), ("list-style", "none")],
    ".gf-list > li": [("position", "relative")],
    ".gf-list > li + li": [("margin-block-start", f"{number(GAP)}em")],
    ".gf-list > li::before": [("position", "absolute"), ("inset", "0 auto auto 0"), ("text-align", "start")],
    "ul.gf-list > li": [("padding-inline-start", f"{number(INDENT['marks'])}em")],
    "ol.gf-list > li": [("padding-inline-start", f"{number(INDENT['numbers'])}em")],
    "ul.gf-list > li::before": [("content", css_string(MARK))],
    "ol.gf-list > li::before": [("content", 'counter(list-item) "."')],
}
"""What all lists have."""


def list_html(block: Block) -> str:
    """The entries."""
    tag = TAGS[block.listed or "marks"]
    found, pen = "", 0
    for line in block.wording.split("\n"):
        found += f"<li>{words_html(block, pen, pen + len(line))}</li>"
        pen += len(line) + 1
    # browsers that take a list without marks for none are told that it is one
    return f'<{tag} class="gf-list" role="list">{found}</{tag}>'
