"""A picture."""

from ...document import ImageLayer
from ..image import image_sheet
from ..sheets import ImageSheet
from ._place import LayerPlace


def resolve(layer: ImageLayer, place: LayerPlace) -> ImageSheet:
    """Its tile in its room."""
    asset, room, rendition = place.picture(layer)
    return image_sheet(layer, asset, room, rendition)
