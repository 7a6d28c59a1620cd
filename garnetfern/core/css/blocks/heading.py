"""A heading."""

from ...document import Block
from ..pictures import Emission
from ._words import declarations, element, linked, pointed


def markup(block: Block, emission: Emission) -> str:
    """A heading of its level."""
    return element(f"h{block.level}", block, emission, linked(block))


__all__ = ["declarations", "markup", "pointed"]
