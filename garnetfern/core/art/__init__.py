"""Drawings of the library as vector paths: tiles that meet themselves, and silhouettes."""

from .silhouettes import SILHOUETTES, Silhouette
from .tiles import TILES, Tile

__all__ = ["SILHOUETTES", "TILES", "Silhouette", "Tile"]
