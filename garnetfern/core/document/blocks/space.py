"""Space between blocks."""

from ._kind import BlockKind

KIND = BlockKind(lettered=False)
