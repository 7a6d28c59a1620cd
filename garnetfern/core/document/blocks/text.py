"""Text that flows."""

from ._kind import PHRASES, BlockKind

KIND = BlockKind(own=PHRASES, running=True)
