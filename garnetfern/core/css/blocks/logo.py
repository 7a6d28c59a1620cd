"""The words of a logo."""

from ._words import declarations, markup, pointed

__all__ = ["declarations", "markup", "pointed"]
