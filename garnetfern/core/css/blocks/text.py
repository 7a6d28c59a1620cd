"""Text."""

from ...document import Block
from ..pictures import Emission
from ._list import list_html
from ._words import declarations, element, linked, pointed


def markup(block: Block, emission: Emission) -> str:
    """A paragraph, or a list."""
    if not block.listed:
        return element("p", block, emission, linked(block))
    return element("div", block, emission, list_html(block))


__all__ = ["declarations", "markup", "pointed"]
