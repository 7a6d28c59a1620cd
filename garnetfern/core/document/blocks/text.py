"""Text that flows."""

from ._kind import PHRASES, BlockKind

LISTED = {"listed": "Only a text is a list."}
KIND = BlockKind(own={**PHRASES, **LISTED}, running=True)
