"""Text."""

from typing import Any

from ....core.document import Lettering
from ..fresh import Fresh

ORDER, NAME = 1, "Text"

STANDING_IN = "A few words."
"""What it says until somebody says something else."""


def made(fresh: Fresh) -> dict[str, Any]:
    """A few words."""
    return {"wording": STANDING_IN, "lettering": Lettering(font=fresh.font, size="17px", colour=fresh.colour)}
