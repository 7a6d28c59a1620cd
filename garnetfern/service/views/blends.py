"""What every blend mode does to the very picture: small true pictures."""

from dataclasses import replace
from typing import get_args

from typing_extensions import TypedDict

from ...core.document import Area, BlendMode, Page, Site
from ...core.draw.paint import blank, paint_area
from ...core.errors import NotFoundError
from ...core.reading import Reader
from ...core.resolve.lengths import Viewport
from ...core.resolve.moment import Moment
from ...core.resolve.page import resolve_page
from .build_up import data_url, shown_window


class BlendLook(TypedDict):
    """The picture of an area with a layer in one blend mode."""

    mode: BlendMode
    picture: str


class BlendLooks(TypedDict):
    """All of them; none where the layer is not to be seen."""

    looks: list[BlendLook]


SMALL = (116, 72)


def blend_looks(reader: Reader, site: Site, page: Page, area: Area, layer_id: str) -> BlendLooks:
    """The area with one layer in each of the sixteen modes, on the widest screen, without what lies above it."""
    if all(layer.id != layer_id for layer in area.backdrop.layers):
        raise NotFoundError(f"There is no layer {layer_id!r} on this area.")
    screen = max(site.screens, key=lambda s: s.width)
    record = resolve_page(site, page, Moment(Viewport(screen.width, screen.height)), reader.fonts)
    found = record.area(area.id)
    if found is None or found.box.height < 1 or all(s.id != layer_id for s in found.sheets):
        return {"looks": []}
    at = record.areas.index(found)
    region = shown_window(record, found)
    below = blank(record, region)
    for lower in record.areas[:at]:
        paint_area(below, lower, lower.sheets, region, reader.pictures)
    order = [s.id for s in found.sheets]
    sheets = found.sheets[: order.index(layer_id) + 1]
    looks: list[BlendLook] = []
    for mode in get_args(BlendMode):
        canvas = below.copy()
        stack = (*sheets[:-1], replace(sheets[-1], blend=mode))
        paint_area(canvas, found, stack, region, reader.pictures)
        looks.append({"mode": mode, "picture": data_url(canvas, SMALL)})
    return {"looks": looks}
