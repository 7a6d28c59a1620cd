"""Text."""

from typing import Any

from ....core.document import Lettering
from ..fresh import Fresh

ORDER, NAME = 1, "Text"


def made(fresh: Fresh) -> dict[str, Any]:
    """A few words."""
    return {"wording": "A few words.", "lettering": Lettering(font=fresh.font, size="17px", colour=fresh.colour)}
