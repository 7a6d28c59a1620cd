"""The kinds of block as people meet them. A module here has the name of its kind:

ORDER, its place among the kinds; NAME, what it is called; `made(fresh)`, what of a new block is its own.
"""

import sys
from types import ModuleType

from typing_extensions import TypedDict

from ....core.document import BLOCK_KINDS, Block, BlockKind, Ids
from ....core.registry import parts
from ..fresh import Fresh


class KindOfBlockView(TypedDict):
    """A kind of block: what it is called, whether it is words that are to be read, whether it is or holds links
    whatever it says, and the fields that only some kinds have."""

    kind: str
    name: str
    lettered: bool
    linked: bool
    own: list[str]


_MODULES = parts(sys.modules[__name__], BLOCK_KINDS)
KINDS: dict[str, ModuleType] = dict(sorted(_MODULES.items(), key=lambda pair: int(pair[1].ORDER)))
"""Every kind by its name, in order."""


def block_kinds() -> list[KindOfBlockView]:
    """What kinds of block there are, what they are called, and what they are made of."""
    return [_said(kind, module.NAME, BLOCK_KINDS[kind]) for kind, module in KINDS.items()]


def _said(kind: str, name: str, made: BlockKind) -> KindOfBlockView:
    return {"kind": kind, "name": name, "lettered": made.lettered, "linked": made.linked, "own": list(made.own)}


def new_block(kind: str, fresh: Fresh, ids: Ids) -> Block:
    """A new block of a kind. Raises NoPictureError."""
    return Block(id=ids.free(kind), kind=kind, **KINDS[kind].made(fresh))


__all__ = ["KINDS", "block_kinds", "new_block"]
