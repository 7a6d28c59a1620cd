"""Links side by side."""

from ._kind import BlockKind

KIND = BlockKind(own={"items": "Only a menu has entries."}, linked=True)
