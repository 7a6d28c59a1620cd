"""The library: gradients, tiles, silhouettes, blend modes by what they do, as plain data for the interface."""

from functools import lru_cache

from typing_extensions import TypedDict

from ...core.css.declarations import gradient_value
from ...core.document import BlendMode, Gradient
from ...stock.gradients import GRADIENTS
from ..kinds.blocks import KindOfBlockView, block_kinds
from ..kinds.figures import SILHOUETTES, TILES, silhouette_image, tile_image
from ..kinds.layers import KindOfLayer, kinds


class LibraryGradient(TypedDict):
    """A gradient of the library; `image` is a CSS image of it."""

    id: str
    name: str
    gradient: Gradient
    image: str


class LibraryFigure(TypedDict):
    """A tile or a silhouette of the library; `image` is a CSS image of it in black."""

    id: str
    name: str
    image: str


class BlendGroup(TypedDict):
    """Blend modes that do the same kind of thing."""

    does: str
    modes: list[BlendMode]


class Library(TypedDict):
    """Everything that ships for layers; kinds in their order."""

    kinds: list[KindOfLayer]
    blocks: list[KindOfBlockView]
    gradients: list[LibraryGradient]
    tiles: list[LibraryFigure]
    silhouettes: list[LibraryFigure]
    blends: list[BlendGroup]


BLENDS: tuple[tuple[str, tuple[BlendMode, ...]], ...] = (
    ("lies over", ("normal",)),
    ("darken", ("multiply", "darken", "color-burn")),
    ("lighten", ("screen", "lighten", "color-dodge")),
    ("more contrast", ("overlay", "soft-light", "hard-light")),
    ("turns round", ("difference", "exclusion")),
    ("colour alone", ("hue", "saturation", "color", "luminosity")),
)
"""The standard's modes, by what they do to a picture."""


@lru_cache(maxsize=1)
def library() -> Library:
    """Everything in the library, with a CSS image of each for showing it."""
    gradients = [(name, words, Gradient.model_validate(plain)) for name, words, plain in GRADIENTS]
    return {
        "kinds": kinds(),
        "blocks": block_kinds(),
        "gradients": [
            {"id": name, "name": words, "gradient": found, "image": gradient_value(found)}
            for name, words, found in gradients
        ],
        "tiles": [{"id": t.id, "name": t.name, "image": tile_image(t.id)} for t in TILES.values()],
        "silhouettes": [{"id": s.id, "name": s.name, "image": silhouette_image(s.id)} for s in SILHOUETTES.values()],
        "blends": [{"does": does, "modes": list(modes)} for does, modes in BLENDS],
    }
