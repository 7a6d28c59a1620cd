"""Text."""

from ._flow import natural_width, set_words, targets, wording

__all__ = ["natural_width", "set_words", "targets", "wording"]
