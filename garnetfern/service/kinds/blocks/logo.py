"""The words of a logo."""

from typing import Any

from ....core.document import Lettering
from ..fresh import Fresh

ORDER, NAME = 3, "Logo"


def made(fresh: Fresh) -> dict[str, Any]:
    """The site's name."""
    lettering = Lettering(font=fresh.heads, size="20px", line=1.4, colour=fresh.colour)
    return {"wording": fresh.site.name[:60], "link": "index.html", "lettering": lettering}
