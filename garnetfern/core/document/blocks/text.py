"""Text that flows."""

from ._kind import BlockKind

KIND = BlockKind(running=True)
