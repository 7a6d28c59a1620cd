"""Patterns of the tiles that ship."""

from collections.abc import Iterator

from ...core.art import TILES
from ...core.css.declarations import data_url
from ...core.document import Page, PatternLayer, Site
from ...core.resolve.pattern import pattern_svg
from ._offer import Offer

ORDER, NAME, TITLE = 3, "pattern", "A pattern"
SHOWN = 22
"""The size of a tile as it is offered, px."""


def offers(_: Site, __: Page) -> Iterator[Offer]:
    """One for each tile, faint and white, as it helps most pictures."""
    for tile in TILES.values():
        image = data_url(pattern_svg(PatternLayer(id="x", name="x", tile=tile.id, size=SHOWN), "#000"))
        layer = {"kind": "pattern", "name": tile.name, "tile": tile.id, "colour": "#ffffff", "opacity": 0.15}
        yield Offer(f"Pattern: {tile.name}", f"background: currentColor; mask-image: {image}", layer)
