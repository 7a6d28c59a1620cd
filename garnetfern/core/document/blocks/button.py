"""A button, or a link that looks like one."""

from ._kind import BlockKind

KIND = BlockKind(edged=True, linked=True)
