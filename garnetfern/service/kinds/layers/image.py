"""The pictures on the site's shelf."""

from collections.abc import Iterator

from ....core.document import Asset, ImageLayer, Site
from ._offer import Offer, Place

ORDER, NAME, TITLE = 1, "picture", "A picture"
SIZES = {"cover": "fills", "contain": "whole", "natural": "natural", "stretch": "stretched", "own": "own size"}


def takes(_: Asset) -> bool:
    """Anything on the shelf can be laid as a picture."""
    return True


def laid(asset: Asset, name: str) -> ImageLayer:
    """The layer that shows a picture under an id."""
    return ImageLayer(id=name, name=asset.title, asset=asset.id)


def offers(site: Site, _: Place) -> Iterator[Offer]:
    """One for each picture; where it is laid and how large is found when it is."""
    for asset in site.assets:
        style = f"background: url(/thumbs/{asset.hash[:10]}) center / cover"
        yield Offer(f"The picture {asset.name}", style, {"kind": "image", "name": asset.title, "asset": asset.id})


def aside(layer: ImageLayer) -> str:
    """How large it is, or that it is repeated."""
    return SIZES[layer.size] if set(layer.repeat) == {"no-repeat"} else "tiles"


def ink(_: ImageLayer) -> str:
    """A grey, as a picture has no colour of its own."""
    return "#8a8378"
