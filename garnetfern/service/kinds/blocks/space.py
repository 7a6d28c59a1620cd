"""Space between blocks."""

from typing import Any

from ..fresh import Fresh

ORDER, NAME = 6, "Space"


def made(_: Fresh) -> dict[str, Any]:
    """As much as space is otherwise."""
    return {}
