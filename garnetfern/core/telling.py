"""How far a piece of work is, told to whoever asked for it."""

from collections.abc import Callable

Told = Callable[[str, float], None]
"""Told what is being done, and which share of the whole is done, 0..1. What it raises ends the work."""


def silent(_: str, __: float) -> None:
    """Told by nobody who listens."""
