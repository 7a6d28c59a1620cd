"""A picture among the words."""

from ._kind import BlockKind

OWN = {
    "asset": "A picture names its asset, and nothing else does.",
    "clear": "Only a picture has clear space.",
    "graphic": "Only a picture is a graphic.",
}
KIND = BlockKind(own=OWN, needed=("asset",), lettered=False)
