"""A menu."""

from typing import Any

from ....core.document import Lettering, MenuItem
from ..fresh import Fresh

ORDER, NAME = 4, "Menu"


def made(fresh: Fresh) -> dict[str, Any]:
    """The site's pages."""
    items = tuple(
        MenuItem(wording=p.title[:80], link="index.html" if n == 0 else f"{p.slug}.html")
        for n, p in enumerate(fresh.site.pages[:8])
    )
    return {"items": items, "lettering": Lettering(font=fresh.font, size="16px", line=1.5, colour=fresh.colour)}
