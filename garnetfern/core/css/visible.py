"""Where things are to be seen."""

from ..document import Band, Block, Layer
from .declarations import Declarations


def display(item: Layer | Band | Block, value: str) -> Declarations:
    """`display`, where it differs between screens or the thing is hidden."""
    if not item.visible:
        return [("display", "none")]
    varies = any(e.visible is not None for e in getattr(item, "screens", {}).values())
    return [("display", value)] if varies else []
