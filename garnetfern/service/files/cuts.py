"""Copies made from pictures: mended tiles, and files for exact slots."""

from collections.abc import Callable

from ...core.document import Asset, Site
from ...core.errors import NotFoundError, PictureError
from ...core.picture.slots import locked, widest_crop
from ...core.picture.tiles import LARGEST, Mending, Seams
from ...core.resolve.image import MOVING_PICTURES
from ...sandbox import Room
from .fitting import Source

Original = Callable[[str], bytes]


def mended(room: Room, original: Original, asset: Asset, way: Mending) -> tuple[bytes, Seams, Seams]:
    """A mended copy of a tile as a file, and its seams before and after. Raises PictureError for large pictures."""
    if max(asset.width, asset.height) > LARGEST:
        raise PictureError(f"{asset.name} is larger than {LARGEST} px; tiles are smaller. Nothing was mended.")
    return room.mend(original(asset.hash), asset.name, way)


def cut_file(room: Room, source: Source, site: Site, slot_id: str, asset_id: str, kind: str) -> tuple[bytes, str]:
    """A picture cut for a slot, exactly as large as the slot, and a name for the file. Raises NotFoundError."""
    slot = next((s for s in site.slots if s.id == slot_id), None)
    asset = next((a for a in site.assets if a.id == asset_id), None)
    if slot is None or asset is None:
        raise NotFoundError("There is no such slot or picture.")
    fit = site.fit(slot_id, asset_id)
    crop = locked(asset, slot, fit.crop) if fit else widest_crop(asset, slot)
    ending = "jpg" if kind == "jpeg" else "png"
    name = f"{asset.id}-{slot.id}-{slot.width}x{slot.height}.{ending}"
    first = 0.0 if asset.moves and asset.type not in MOVING_PICTURES else None
    return room.slot_file(source(asset.hash, first), slot, crop, kind), name
