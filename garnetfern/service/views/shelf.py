"""The shelf: every picture of the site with its facts, its looks and where it is used."""

from collections.abc import Callable
from dataclasses import asdict
from typing import Any

from ...core.document import Asset, Crop, Site
from ...core.picture.look import hue_name, orientation
from ...core.picture.slots import locked, slot_facts, widest_crop
from .looks import Looks
from .uses import uses_of


def picture_view(site: Site, asset: Asset, looks: Looks, intact: bool) -> dict[str, Any]:
    """One picture as plain data."""
    known = looks.of(asset.hash)
    look, seams = known.look, known.seams
    return {
        "asset": asset.id,
        "name": asset.name,
        "hash": asset.hash,
        "type": asset.type,
        "width": asset.width,
        "height": asset.height,
        "bytes": asset.bytes,
        "orientation": orientation(asset.width, asset.height),
        "colours": [{"colour": c.colour, "share": round(c.share, 3), "name": hue_name(c.colour)} for c in look.colours],
        "mood": look.mood,
        "lightness": look.lightness,
        "seamless": seams.seamless if seams else False,
        "seams": asdict(seams) if seams else None,
        "uses": [asdict(u) for u in uses_of(site, asset.id)],
        "note": asset.note,
        "credit": asset.credit,
        "intact": intact,
    }


def shelf_view(site: Site, looks: Looks, intact: Callable[[str], bool]) -> list[dict[str, Any]]:
    """All pictures, in the order in which they came; `intact` tells whether an original is what it was."""
    return [picture_view(site, asset, looks, intact(asset.hash)) for asset in site.assets]


def slot_view(site: Site, slot_id: str) -> dict[str, Any]:
    """A slot with every picture put through it, and what each costs; and how others would fare."""
    slot = site.slot(slot_id)
    rows = []
    for asset in site.assets:
        fit = site.fit(slot_id, asset.id)
        crop = locked(asset, slot, fit.crop) if fit else widest_crop(asset, slot)
        facts = slot_facts(asset, slot, crop)
        rows.append(
            {
                "asset": asset.id,
                "cut": fit is not None,
                "crop": crop.model_dump(),
                "magnification": facts.magnification,
                "lost": facts.lost,
                "sentence": facts.sentence,
            }
        )
    return {"slot": slot.id, "rows": rows}


def crop_facts(site: Site, slot_id: str, asset_id: str, crop: Crop) -> dict[str, Any]:
    """A crop brought to the slot's proportion, with its facts."""
    slot, asset = site.slot(slot_id), site.asset(asset_id)
    held = locked(asset, slot, crop)
    return {"crop": held.model_dump(), **asdict(slot_facts(asset, slot, held))}
