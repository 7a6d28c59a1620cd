"""Where a picture lies in its area (CSS Backgrounds 3, sections 3.4 to 3.9), and which rendition of it is used."""

import math
from dataclasses import dataclass

from ..document import Asset, Crop, ImageLayer
from ..limits import PICTURE_SIDE
from .box import Box, round_half_up
from .lengths import Scale, Viewport, layout_unit
from .sheets import ImageSheet, Rendition

STEPS = (160, 240, 360, 540, 800, 1200, 1600, 2000, 2560, 3200, 3840)
"""Widths of renditions in px. Neighbours differ by less than a factor of two, so that no browser ever draws a
picture at under half its size: below that, browsers differ in how they shrink."""

LOSSLESS_PIXELS = 512 * 512
ANY_SIZE = ("svg",)
"""Kinds of picture that are sharp at every size."""
MOVING_PICTURES = ("gif", "webp")
"""Kinds of picture that may move: their first moment is the picture itself, with what is transparent in it."""
BLUR_REACH = 3
"""A blurred picture reaches past its area by this many times its blur."""


def used_size(asset: Asset, crop: Crop | None) -> tuple[int, int]:
    """Width and height in px of the part of a picture that is used."""
    part = crop.px(asset.width, asset.height) if crop else None
    return (part[2], part[3]) if part else (asset.width, asset.height)


def renditions(asset: Asset, crop: Crop | None = None, at: float = 0.0) -> tuple[Rendition, ...]:
    """All renditions of a picture, narrowest first; the last has the original's size (or the widest step). `at` is the
    moment of a film, s."""
    moment = round(at, 3) if asset.moves and (at > 0 or asset.type not in MOVING_PICTURES) else None
    part = crop.px(asset.width, asset.height) if crop else None
    width, height = used_size(asset, crop)
    lossless = asset.type in ("png", "gif", "svg") and width * height <= LOSSLESS_PIXELS
    if lossless and asset.type not in ANY_SIZE:
        return (Rendition(asset.hash, width, height, True, part, moment),)
    if asset.type in ANY_SIZE:
        widths = [*(w for w in STEPS if w > width), width]
        widths.sort()
    else:
        widths = [w for w in STEPS if w < width] + ([width] if width <= STEPS[-1] else [])
    sizes = [(w, max(1, round(height * w / width))) for w in widths]
    fitting = [(w, h) for w, h in sizes if h <= PICTURE_SIDE] or [(width, height)]
    return tuple(Rendition(asset.hash, w, h, lossless, part, moment) for w, h in fitting)


def choose_rendition(asset: Asset, crop: Crop | None, shown_width: float, at: float = 0.0) -> Rendition:
    """The smallest rendition that is not enlarged when drawn `shown_width` px wide, or the largest there is."""
    options = renditions(asset, crop, at)
    return next((r for r in options if r.width >= math.floor(shown_width)), options[-1])


@dataclass(frozen=True)
class Room:
    """Where a layer may lie: `clip` is what it may paint, `area` its positioning area, both in px of the page."""

    clip: Box
    area: Box
    viewport: Viewport


def _fitted(width: float, height: float, box: Box, cover: bool) -> tuple[float, float]:
    """Cover and contain differ by one comparison only."""
    across, down = box.width / width, box.height / height
    if (across > down) == cover:
        return box.width, max(1.0, height * across)
    return max(1.0, width * down), box.height


def layer_room(layer: ImageLayer, box: Box, viewport: Viewport, scroll: float | None = None) -> Room:
    """Where a picture may lie: its area, the viewport where it stays put, or more than its area where it moves slower.

    A slower picture has moved with the page by `rate` times the way; it lies in the middle of its element when its
    area is in the middle of the screen. `scroll` is None where the page does not scroll.
    """
    if layer.attachment == "fixed":
        return Room(box, Box(0, scroll or 0.0, viewport.width, viewport.height), viewport)
    if layer.attachment == "slower":
        lag = 1 - layer.rate
        way = viewport.height + box.height
        extra = lag * way / 2
        behind = 0.0 if scroll is None else lag * (scroll - (box.y + box.height / 2 - viewport.height / 2))
        moved = min(extra, max(-extra, behind))
        return Room(box, Box(box.x, box.y - extra + moved, box.width, box.height + 2 * extra), viewport)
    return Room(box, box.grown(BLUR_REACH * layer.filter.blur), viewport)


def tile_size(layer: ImageLayer, asset: Asset, rendition_size: tuple[float, float], room: Room) -> tuple[float, float]:
    """The size of one tile before rounding to whole tiles, px (section 3.9)."""
    width, height = rendition_size
    area = room.area
    if layer.size in ("cover", "contain"):
        snapped = area.snapped()
        if not snapped.width or not snapped.height:
            return width, height
        return _fitted(width, height, snapped, layer.size == "cover")
    if layer.size == "stretch":
        return area.width, area.height
    if layer.size == "natural" or (layer.width is None and layer.height is None):
        natural = used_size(asset, layer.crop)
        return float(natural[0]), float(natural[1])
    across = None if layer.width is None else layout_unit(Scale(room.viewport, base=area.width).px(layer.width))
    down = None if layer.height is None else layout_unit(Scale(room.viewport, base=area.height).px(layer.height))
    if across is None:
        across = (down or 0.0) * width / height
    if down is None:
        down = across * height / width
    return across, down


def shown_width(layer: ImageLayer, asset: Asset, room: Room) -> float:
    """How wide the whole picture is drawn, CSS px."""
    width, height = used_size(asset, layer.crop)
    return tile_size(layer, asset, (width, height), room)[0]


def _offset(layer: ImageLayer, axis: int, free: float, viewport: Viewport) -> float:
    """Where the tile begins in its positioning area along an axis, px (section 3.6)."""
    position = layer.position
    if position is None:
        return free * layer.focal[axis]
    text = position.down if axis else position.across
    offset = Scale(viewport, base=free).px(text)
    far = position.end == "bottom" if axis else position.side == "right"
    return free - offset if far else offset


def _single(
    start: float, length: float, size: float, layer: ImageLayer, axis: int, vp: Viewport
) -> tuple[float, float]:
    """Where one tile begins along an axis, and its size there, as the browser snaps them.

    A tile that fits into its area is drawn at whole px. Of a larger one the browser takes the part that the area shows
    and draws that into the snapped area, which stretches it by less than a px.
    """
    free = length - size
    if free >= 0:
        size = round_half_up(size)
        return round_half_up(start + _offset(layer, axis, length - size, vp)), size
    first = round_half_up(start)
    stretch = (round_half_up(start + length) - first) / length if length else 1.0
    return first + layout_unit(_offset(layer, axis, free, vp)) * stretch, size * stretch


@dataclass(frozen=True)
class _Axis:
    start: float
    size: float
    period: float | None


def _axis(start: float, length: float, size: float, first: float, layer: ImageLayer, axis: int, vp: Viewport) -> _Axis:
    """One axis of the tiles: `size` after rounding to whole tiles, `first` before, from which the browser positions."""
    style = layer.repeat[axis]
    if layer.size == "contain" and style != "no-repeat":
        first = max(1.0, round_half_up(first))
        size = size if style == "round" else max(1.0, round_half_up(size))
    if style == "space" and size > 0:
        count = math.floor(length / size)
        if count > 1:
            gap = layout_unit((length - count * size) / (count - 1))
            return _Axis(round_half_up(start), size, size + gap)
        # one alone that is larger than its area lies where it is said to, to the layout unit
        if size > length:
            return _Axis(round_half_up(start) + layout_unit(_offset(layer, axis, length - first, vp)), size, None)
    if style in ("repeat", "round") and size > 0:
        return _Axis(round_half_up(start) + layout_unit(_offset(layer, axis, length - first, vp)), size, size)
    if size != first:
        begin = round_half_up(start) + layout_unit(_offset(layer, axis, length - first, vp))
        return _Axis(round_half_up(begin), round_half_up(size), None)
    begin, drawn = _single(start, length, size, layer, axis, vp)
    return _Axis(begin, drawn, None)


def _auto(layer: ImageLayer, length: str | None) -> bool:
    """Whether a side follows from the other one."""
    return layer.size in ("cover", "contain") or (layer.size == "own" and length is None)


def _rounded(layer: ImageLayer, size: tuple[float, float], area: Box) -> tuple[float, float]:
    """Tiles resized so that a whole number of them fits (section 3.4, round)."""
    width, height = size
    lengths = (area.width, area.height)
    if layer.repeat[0] == "round" and width > 0:
        new = layout_unit(lengths[0] / max(1, round_half_up(lengths[0] / width)))
        if _auto(layer, layer.height) and layer.repeat[1] != "round":
            height *= new / width
        width = new
    if layer.repeat[1] == "round" and height > 0:
        new = layout_unit(lengths[1] / max(1, round_half_up(lengths[1] / height)))
        if _auto(layer, layer.width) and layer.repeat[0] != "round":
            width *= new / height
        height = new
    return width, height


def image_sheet(layer: ImageLayer, asset: Asset, room: Room, rendition: Rendition) -> ImageSheet:
    """Resolve an image layer in its room."""
    area = room.area
    size = tile_size(layer, asset, (rendition.width, rendition.height), room)
    width, height = _rounded(layer, size, area)
    across = _axis(area.x, area.width, width, size[0], layer, 0, room.viewport)
    down = _axis(area.y, area.height, height, size[1], layer, 1, room.viewport)
    tile = Box(across.start, down.start, across.size, down.size)
    return ImageSheet(
        layer.id,
        room.clip.snapped(),
        tile,
        rendition,
        (across.period, down.period),
        layer.filter,
        opacity=layer.opacity,
        blend=layer.blend,
    )
