"""The library: gradients, tiles, silhouettes, blend modes by what they do, as plain data for the interface."""

from functools import lru_cache
from typing import Any

from ...core.css.declarations import gradient_value
from ...core.document import Gradient
from ...stock.gradients import GRADIENTS
from ..kinds.blocks import block_kinds
from ..kinds.figures import SILHOUETTES, TILES, silhouette_image, tile_image
from ..kinds.layers import kinds

BLENDS: tuple[tuple[str, tuple[str, ...]], ...] = (
    ("lies over", ("normal",)),
    ("darken", ("multiply", "darken", "color-burn")),
    ("lighten", ("screen", "lighten", "color-dodge")),
    ("more contrast", ("overlay", "soft-light", "hard-light")),
    ("turns round", ("difference", "exclusion")),
    ("colour alone", ("hue", "saturation", "color", "luminosity")),
)
"""The standard's modes, by what they do to a picture."""


@lru_cache(maxsize=1)
def library() -> dict[str, Any]:
    """Everything in the library, with a CSS image of each for showing it."""
    gradients = [
        {"id": name, "name": words, "gradient": g, "image": gradient_value(Gradient.model_validate(g))}
        for name, words, g in GRADIENTS
    ]
    tiles = [{"id": t.id, "name": t.name, "image": tile_image(t.id)} for t in TILES.values()]
    silhouettes = [{"id": s.id, "name": s.name, "image": silhouette_image(s.id)} for s in SILHOUETTES.values()]
    blends = [{"does": does, "modes": list(modes)} for does, modes in BLENDS]
    found = {"gradients": gradients, "tiles": tiles, "silhouettes": silhouettes, "blends": blends}
    return {**found, "kinds": kinds(), "blocks": block_kinds()}
