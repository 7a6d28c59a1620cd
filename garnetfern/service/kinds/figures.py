"""Tiles and silhouettes as CSS images in black, for showing what there is."""

from ...core.art import SILHOUETTES, TILES
from ...core.css.declarations import data_url
from ...core.document import PatternLayer, ShapeLayer
from ...core.resolve.pattern import pattern_svg
from ...core.resolve.silhouette import silhouette_svg

TILE_SIZE = 22
"""The size of a tile as it is shown, px."""


def tile_image(tile: str) -> str:
    """A tile by its id."""
    return data_url(pattern_svg(PatternLayer(id="x", name="x", tile=tile, size=TILE_SIZE), "#000"))


def silhouette_image(figure: str) -> str:
    """A silhouette by its id."""
    return data_url(silhouette_svg(ShapeLayer(id="x", name="x", silhouette=figure), "#000"))


__all__ = ["SILHOUETTES", "TILES", "silhouette_image", "tile_image"]
