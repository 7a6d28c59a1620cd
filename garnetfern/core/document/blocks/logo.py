"""The words that stand for the house."""

from ._kind import PHRASES, BlockKind

KIND = BlockKind(own=PHRASES)
