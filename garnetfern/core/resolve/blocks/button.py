"""A button's words."""

from ...document import Block
from ..box import Box
from ..records import BlockRecord
from ._flow import natural_width, set_words, wording


def targets(_: Block, words: BlockRecord, *__: float) -> tuple[Box, ...]:
    """All of it, with its plate."""
    return (words.box,)


__all__ = ["natural_width", "set_words", "targets", "wording"]
