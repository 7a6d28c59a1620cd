"""A heading."""

from ._kind import BlockKind

KIND = BlockKind(own={"level": "A heading has a level from 1 to 6, and nothing else has one."}, needed=("level",))
