"""Text."""

from ._words import declarations, markup, pointed

__all__ = ["declarations", "markup", "pointed"]
