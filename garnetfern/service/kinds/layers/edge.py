"""Shades along edges, in the site's second colour."""

from collections.abc import Iterator
from typing import Any

from ....core.document import EdgeLayer, Site
from ._offer import Offer, Place

ORDER, NAME, TITLE = 5, "edge shade", "A shade along an edge"
INK = "#1d1d1d"
SHADES: tuple[tuple[str, str, dict[str, Any]], ...] = (
    ("foot", f"linear-gradient(to top, {INK}cc, transparent 60%)", {"edges": ["bottom"], "depth": "60%"}),
    ("top", f"linear-gradient(to bottom, {INK}cc, transparent 60%)", {"edges": ["top"], "depth": "50%"}),
    ("left", f"linear-gradient(to right, {INK}cc, transparent 60%)", {"edges": ["left"], "depth": "60%"}),
    ("all round", f"radial-gradient(transparent 40%, {INK}cc)", {"around": True, "depth": "60%"}),
    (
        "stripe at the foot",
        f"linear-gradient(to top, {INK} 22%, transparent 22%)",
        {"edges": ["bottom"], "depth": "12px", "softness": 0, "opacity": 1},
    ),
)
"""Name, how it looks, and what of the layer is its own."""


def offers(site: Site, _: Place) -> Iterator[Offer]:
    """The ways in which a shade helps words most often."""
    colour = site.palette[1] if len(site.palette) > 1 else "#000000"
    for name, look, own in SHADES:
        layer = {"kind": "edge", "name": f"Shade, {name}", "colour": colour, "opacity": 0.7, **own}
        yield Offer(f"Edge shade: {name}", f"background: {look}", layer)


def aside(layer: EdgeLayer) -> str:
    """Where it lies."""
    return "all round" if layer.around else ", ".join(layer.edges)


def ink(layer: EdgeLayer) -> str:
    """Its colour."""
    return layer.colour
