"""A picture among the words."""

from ._kind import BlockKind

KIND = BlockKind(own={"asset": "A picture names its asset, and nothing else does."}, needed=("asset",), lettered=False)
