"""The pictures on the site's shelf."""

from collections.abc import Iterator

from ...core.document import Page, Site
from ._offer import Offer

ORDER, NAME, TITLE = 1, "picture", "A picture"


def offers(site: Site, _: Page) -> Iterator[Offer]:
    """One for each picture; where it is laid and how large is found when it is."""
    for asset in site.assets:
        style = f"background: url(/thumbs/{asset.hash[:10]}) center / cover"
        yield Offer(f"The picture {asset.name}", style, {"kind": "image", "name": asset.title, "asset": asset.id})
