"""A button: a link that looks like one."""

from ...document import Block
from ..escape import html_attribute
from ..names import named
from ..pictures import Emission
from ._phrases import words_html
from ._words import declarations, element


def markup(block: Block, emission: Emission) -> str:
    """A link."""
    address = f' href="{html_attribute(block.link or "#")}"'
    return element("a", block, emission, words_html(block), "gf-button", address)


def pointed(block: Block) -> str:
    """The button itself."""
    return f".{named(block.id)}:is(:hover, :focus-visible)"


__all__ = ["declarations", "markup", "pointed"]
