"""A heading."""

from ._kind import PHRASES, BlockKind

LEVEL = {"level": "A heading has a level from 1 to 6, and nothing else has one."}
KIND = BlockKind(own={**LEVEL, **PHRASES}, needed=("level",))
