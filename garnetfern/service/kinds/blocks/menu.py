"""A menu."""

from typing import Any

from ....core.document import Lettering, MenuItem
from ....core.document.addresses import file_of
from ..fresh import Fresh

ORDER, NAME = 4, "Menu"


def made(fresh: Fresh) -> dict[str, Any]:
    """The site's pages."""
    items = tuple(MenuItem(wording=p.title[:80], link=file_of(fresh.site, p.id)) for p in fresh.site.visited[:8])
    return {"items": items, "lettering": Lettering(font=fresh.font, size="16px", line=1.5, colour=fresh.colour)}
