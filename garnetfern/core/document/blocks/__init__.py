"""The kinds of block. A module here is one kind: it holds `KIND`, what blocks of it are made of."""

import sys

from ...registry import entries
from ._kind import BlockKind

BLOCK_KINDS: dict[str, BlockKind] = {name: module.KIND for name, module in entries(sys.modules[__name__]).items()}
"""Every kind by its name."""

__all__ = ["BLOCK_KINDS", "BlockKind"]
