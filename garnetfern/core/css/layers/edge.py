"""A shade along edges: a colour through a mask of gradients, so that the colour can change smoothly."""

from ...colour.notation import parse_colour
from ...document import EdgeLayer, Site
from ...resolve.edge import edge_gradients
from ..declarations import Declarations, gradient_value
from ._ruling import Background, Ruling

BLACK = "#000000"


def declarations(layer: EdgeLayer, _: Site) -> Declarations:
    """The colour through the gradients."""
    masks = edge_gradients(layer.model_copy(update={"colour": BLACK}))
    image = ", ".join(gradient_value(g) for g in reversed(masks))
    return [("background-color", parse_colour(layer.colour).css()), ("mask-image", image)]


def backgrounds(layer: EdgeLayer, ruling: Ruling) -> list[Background]:
    """A gradient for each edge."""
    found = [Background(gradient_value(g, layer.opacity)) for g in edge_gradients(layer)]
    if len(found) > 1 and (layer.opacity < 1 or layer.blend != "normal"):
        ruling.cannot(layer, "where two of its edges meet, one rule lays them over one another; HTML + CSS does not.")
    return found
