"""A silhouette: a colour or gradient through an SVG mask; in one rule an SVG picture of its colour."""

from ...colour.notation import parse_colour
from ...document import ShapeLayer, Site
from ...resolve.silhouette import silhouette_svg
from ..declarations import Declarations, data_url, gradient_value
from ._ruling import Background, Ruling


def _size(layer: ShapeLayer) -> str:
    if layer.side == "whole":
        return "100% 100%"
    return f"100% round({layer.depth}, 1px)" if layer.side in ("top", "bottom") else f"round({layer.depth}, 1px) 100%"


def _position(layer: ShapeLayer) -> str:
    return "top" if layer.side == "whole" else layer.side


def declarations(layer: ShapeLayer, _: Site) -> Declarations:
    """The fill through the silhouette; what is outside is the whole area without it."""
    found: Declarations = [("background-color", parse_colour(layer.colour).css())]
    if layer.gradient is not None:
        found = [("background-image", gradient_value(layer.gradient))]
    image, size, place = data_url(silhouette_svg(layer, "#fff")), _size(layer), _position(layer)
    if layer.outside:
        image, size, place = f"linear-gradient(#fff, #fff), {image}", f"auto, {size}", f"0 0, {place}"
        found.append(("mask-composite", "exclude"))
    return [
        *found,
        ("mask-image", image),
        ("mask-size", size),
        ("mask-position", place),
        ("mask-repeat", "no-repeat"),
    ]


def backgrounds(layer: ShapeLayer, ruling: Ruling) -> list[Background]:
    """The silhouette in its colour."""
    if layer.gradient is not None:
        ruling.cannot(layer, "its gradient takes a mask; it has its plain colour here. HTML + CSS says it.")
    if layer.outside:
        ruling.cannot(layer, "covering what is outside takes a mask, so it is left out. HTML + CSS says it.")
        return []
    colour = parse_colour(layer.colour).faded(layer.opacity).css()
    return [Background(data_url(silhouette_svg(layer, colour)), _position(layer), _size(layer), "no-repeat")]
