"""What somebody has said."""

from typing import Any

from ....core.document import Lettering
from ..fresh import Fresh

ORDER, NAME = 20, "Quotation"


def made(fresh: Fresh) -> dict[str, Any]:
    """In the headings' font."""
    lettering = Lettering(font=fresh.heads, size="24px", colour=fresh.colour)
    return {"wording": "The ferns were here first.", "lettering": lettering}
