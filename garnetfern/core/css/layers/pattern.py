"""A pattern: a colour through an SVG mask; in one rule an SVG picture of that colour."""

from ...colour.notation import parse_colour
from ...document import PatternLayer, Site
from ...resolve.pattern import pattern_svg
from ..declarations import Declarations, data_url
from ._ruling import Background, Ruling


def declarations(layer: PatternLayer, _: Site) -> Declarations:
    """The colour through the figures."""
    mask = data_url(pattern_svg(layer, "#fff"))
    return [("background-color", parse_colour(layer.colour).css()), ("mask-image", mask)]


def backgrounds(layer: PatternLayer, _: Ruling) -> list[Background]:
    """The figures in their colour."""
    colour = parse_colour(layer.colour).faded(layer.opacity)
    return [Background(data_url(pattern_svg(layer, colour.css())), repeat="no-repeat", size="100% 100%")]
