"""A heading."""

from typing import Any

from ....core.document import Lettering
from ..fresh import Fresh

ORDER, NAME = 0, "Heading"

STANDING_IN = "A heading"
"""What it says until somebody says something else."""


def made(fresh: Fresh) -> dict[str, Any]:
    """A second heading."""
    lettering = Lettering(font=fresh.heads, size="28px", line=1.2, colour=fresh.colour)
    return {"level": 2, "wording": STANDING_IN, "lettering": lettering}
