"""Space."""

from ...document import Block
from ..lengths import Scale
from ._place import BlockPlace


def height(block: Block, _: float, place: BlockPlace) -> float:
    """As high as it says."""
    return Scale(place.viewport).px(block.height)
