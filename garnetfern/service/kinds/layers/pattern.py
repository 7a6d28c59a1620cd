"""Patterns of the tiles that ship."""

from collections.abc import Iterator

from ....core.document import Page, PatternLayer, Site
from ..figures import TILES, tile_image
from ._offer import Offer

ORDER, NAME, TITLE = 3, "pattern", "A pattern"


def offers(_: Site, __: Page) -> Iterator[Offer]:
    """One for each tile, faint and white, as it helps most pictures."""
    for tile in TILES.values():
        look = f"background: currentColor; mask-image: {tile_image(tile.id)}"
        layer = {"kind": "pattern", "name": tile.name, "tile": tile.id, "colour": "#ffffff", "opacity": 0.15}
        yield Offer(f"Pattern: {tile.name}", look, layer)


def aside(layer: PatternLayer) -> str:
    """How large a tile is."""
    return f"{layer.size:g} px"


def ink(layer: PatternLayer) -> str:
    """Its colour."""
    return layer.colour
