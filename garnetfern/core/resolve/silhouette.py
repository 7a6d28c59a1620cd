"""Silhouettes as SVG, and where they lie in their area."""

from ..art import SILHOUETTES
from ..document import ShapeLayer
from .box import Box, round_half_up
from .lengths import Scale, Viewport
from .pattern import XMLNS

TURNS = {
    "bottom": "",
    "whole": "",
    "top": "translate(100 100) rotate(180)",
    "left": "translate(100 0) rotate(90)",
    "right": "translate(0 100) rotate(-90)",
}
"""How a silhouette that stands at the foot is turned to stand at another edge."""


def silhouette_svg(layer: ShapeLayer, colour: str, size: tuple[int, int] | None = None) -> str:
    """The silhouette stretched to its place, as an SVG picture; with a size in px or without one of its own."""
    turn = TURNS[layer.side]
    if layer.flip:
        turn += " translate(100 0) scale(-1 1)"
    how = f' transform="{turn.strip()}"' if turn else ""
    wide = "" if size is None else f' width="{size[0]}" height="{size[1]}"'
    path = SILHOUETTES[layer.silhouette].path
    return (
        f'<svg {XMLNS}{wide} viewBox="0 0 100 100" preserveAspectRatio="none">'
        f'<path fill="{colour}" d="{path}"{how}/></svg>'
    )


def silhouette_place(layer: ShapeLayer, box: Box, viewport: Viewport) -> Box:
    """The part of an area that a silhouette is stretched over, in whole px."""
    if layer.side == "whole":
        return box
    upright = layer.side in ("top", "bottom")
    length = box.height if upright else box.width
    depth = min(20_000, max(0, round_half_up(Scale(viewport, base=length).px(layer.depth))))
    if upright:
        return Box(box.x, box.y if layer.side == "top" else box.bottom - depth, box.width, depth)
    return Box(box.x if layer.side == "left" else box.right - depth, box.y, depth, box.height)
