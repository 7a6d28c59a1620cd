"""Where a picture lies in its area (CSS Backgrounds 3, sections 3.6 and 3.9) and which rendition of it is used."""

import math

from ..document import Asset, ImageLayer
from .lengths import layout_unit
from .records import Box, ImageSheet, Rendition, round_half_up

STEPS = (160, 240, 360, 540, 800, 1200, 1600, 2000, 2560, 3200, 3840)
"""Widths of renditions in px. Neighbours differ by less than a factor of two, so that no browser ever draws a
picture at under half its size: below that, browsers differ in how they shrink."""

LOSSLESS_PIXELS = 512 * 512


def renditions(asset: Asset) -> tuple[Rendition, ...]:
    """All renditions of a picture, narrowest first; the last has the original's size (or the widest step)."""
    lossless = asset.type == "png" and asset.width * asset.height <= LOSSLESS_PIXELS
    if lossless:
        return (Rendition(asset.hash, asset.width, asset.height, True),)
    widths = [w for w in STEPS if w < asset.width] + ([asset.width] if asset.width <= STEPS[-1] else [])
    sizes = ((w, max(1, round(asset.height * w / asset.width))) for w in widths)
    return tuple(Rendition(asset.hash, w, h) for w, h in sizes)


def fitted_size(layer: ImageLayer, width: float, height: float, area: Box) -> tuple[float, float]:
    """The drawn size of a picture of this natural size. Cover and contain differ by one comparison only."""
    if layer.size == "natural" or not area.width or not area.height:
        return width, height
    across, down = area.width / width, area.height / height
    if (across > down) == (layer.size == "cover"):
        return area.width, max(1.0, height * across)
    return max(1.0, width * down), area.height


def choose_rendition(asset: Asset, shown_width: float) -> Rendition:
    """The smallest rendition that is not enlarged when drawn `shown_width` px wide, or the largest there is."""
    options = renditions(asset)
    return next((r for r in options if r.width >= math.floor(shown_width)), options[-1])


def shown_width(layer: ImageLayer, asset: Asset, area: Box) -> float:
    """How wide the whole picture is drawn, CSS px."""
    return fitted_size(layer, asset.width, asset.height, area)[0]


def _placed(start: float, length: float, size: float, share: float) -> tuple[float, float]:
    """Where a tile begins along one axis of its area, and its size there, as the browser snaps them.

    A tile that fits into its area is drawn at whole px. Of a larger one the browser takes the part that the area shows
    and draws that into the snapped area, which stretches it by less than a px.
    """
    free = length - size
    if free >= 0:
        size = round_half_up(size)
        return round_half_up(start + (length - size) * share), size
    first = round_half_up(start)
    stretch = (round_half_up(start + length) - first) / length
    return first + layout_unit(free * share) * stretch, size * stretch


def image_sheet(layer: ImageLayer, asset: Asset, area: Box, rendition: Rendition) -> ImageSheet:
    """Resolve an image layer in its area; `position` in percent is the focal point."""
    box = area.snapped()
    if layer.size == "natural":
        width, height = float(asset.width), float(asset.height)
    else:
        width, height = fitted_size(layer, rendition.width, rendition.height, box)
    left, width = _placed(area.x, area.width, width, layer.focal[0])
    top, height = _placed(area.y, area.height, height, layer.focal[1])
    return ImageSheet(layer.id, box, Box(left, top, width, height), rendition, layer.opacity)
