"""Patterns of the tiles that ship."""

from collections.abc import Iterator

from ....core.colour.contrast import is_light, luminance_of
from ....core.document import PatternLayer, Site
from ..figures import TILES, tile_image
from ._offer import Offer, Place

ORDER, NAME, TITLE = 3, "pattern", "A pattern"


def offers(site: Site, place: Place) -> Iterator[Offer]:
    """One for each tile, faint, and white as it helps most pictures; on a light ground, where white would not be seen,
    in the darkest colour of the site."""
    light = place.ground is not None and is_light(place.ground)
    colour = min(site.palette, key=luminance_of, default="#000000") if light else "#ffffff"
    for tile in TILES.values():
        look = f"background: currentColor; mask-image: {tile_image(tile.id)}"
        layer = {"kind": "pattern", "name": tile.name, "tile": tile.id, "colour": colour, "opacity": 0.15}
        yield Offer(f"Pattern: {tile.name}", look, layer)


def aside(layer: PatternLayer) -> str:
    """How large a tile is."""
    return f"{layer.size:g} px"


def ink(layer: PatternLayer) -> str:
    """Its colour."""
    return layer.colour
