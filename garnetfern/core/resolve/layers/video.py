"""A film: the frame that is there at its own time, or its still."""

from ...document import VideoLayer
from ..box import Box
from ..film import PHONE_BELOW, cut_of, film_place
from ..image import image_sheet
from ..sheets import FilmSheet, ImageSheet
from ._place import LayerPlace


def resolve(layer: VideoLayer, place: LayerPlace) -> FilmSheet | ImageSheet:
    """Before it plays, under less motion, and on phones that get nothing else, the still."""
    picture = layer.as_picture()
    asset, room, rendition = place.picture(picture)
    still = image_sheet(picture, asset, room, rendition)
    phone = place.viewport.width < PHONE_BELOW
    if place.stands(layer.id) or (phone and layer.phones == "still"):
        return still
    cut = cut_of(layer, asset, phone, 0)
    where = film_place(layer, (cut.width, cut.height), room.area)
    box = room.clip.snapped()
    seen = box.cut(where) or Box(box.x, box.y, 0, 0)
    return FilmSheet(
        layer.id, seen, cut.frame(place.time(layer.id)), where, still, opacity=layer.opacity, blend=layer.blend
    )
