"""The words that stand for the house."""

from ._kind import BlockKind

KIND = BlockKind()
