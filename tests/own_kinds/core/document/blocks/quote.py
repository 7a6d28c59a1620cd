"""What somebody has said."""

from ._kind import BlockKind

KIND = BlockKind()
