"""A picture among the words."""

from ...document import Block
from ..picture import picture_size
from ._place import BlockPlace


def height(block: Block, width: float, place: BlockPlace) -> float:
    """By its proportion."""
    natural = picture_size(place.site, block)
    return width * natural[1] / natural[0]
