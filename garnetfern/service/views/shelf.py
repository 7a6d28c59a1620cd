"""The shelf: every picture of the site with its facts, its looks and where it is used."""

from collections.abc import Callable

from typing_extensions import TypedDict

from ...core.document import Asset, Crop, Site
from ...core.picture.look import Mood, Orientation, hue_name, orientation
from ...core.picture.slots import locked, slot_facts, widest_crop
from .looks import Looks
from .seams import SeamsView, seams_view
from .uses import Use, uses_of


class ColourShare(TypedDict):
    """A main colour, its share and its plain name."""

    colour: str
    share: float
    name: str


class PictureView(TypedDict):
    """A picture on the shelf."""

    asset: str
    name: str
    hash: str
    type: str
    width: int
    height: int
    bytes: int
    duration: float
    orientation: Orientation
    colours: list[ColourShare]
    mood: Mood
    lightness: float
    seamless: bool
    alpha: bool
    seams: SeamsView | None
    uses: list[Use]
    note: str
    credit: str
    intact: bool


class SlotRow(TypedDict):
    """A picture in a slot, cut for it or as it would be."""

    asset: str
    cut: bool
    crop: Crop
    magnification: float
    lost: float
    sentence: str


class SlotView(TypedDict):
    """A slot with all pictures."""

    slot: str
    rows: list[SlotRow]


class CropFacts(TypedDict):
    """The crop with the slot's proportion, and what it costs."""

    crop: Crop
    magnification: float
    lost: float
    sentence: str


def picture_view(site: Site, asset: Asset, looks: Looks, intact: bool) -> PictureView:
    """One picture with its facts."""
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
        "duration": asset.duration,
        "orientation": orientation(asset.width, asset.height),
        "colours": [{"colour": c.colour, "share": round(c.share, 3), "name": hue_name(c.colour)} for c in look.colours],
        "mood": look.mood,
        "lightness": look.lightness,
        "alpha": asset.alpha,
        "seamless": seams is not None and seams.seamless and not known.mark,
        "seams": seams_view(seams) if seams else None,
        "uses": uses_of(site, asset.id),
        "note": asset.note,
        "credit": asset.credit,
        "intact": intact,
    }


def shelf_view(site: Site, looks: Looks, intact: Callable[[str], bool]) -> list[PictureView]:
    """All pictures, in the order in which they came; `intact` tells whether an original is what it was."""
    return [picture_view(site, asset, looks, intact(asset.hash)) for asset in site.assets]


def slot_view(site: Site, slot_id: str) -> SlotView:
    """A slot with every picture put through it, and what each costs; and how others would fare."""
    slot = site.slot(slot_id)
    rows: list[SlotRow] = []
    for asset in site.assets:
        fit = site.fit(slot_id, asset.id)
        crop = locked(asset, slot, fit.crop) if fit else widest_crop(asset, slot)
        facts = slot_facts(asset, slot, crop)
        rows.append(
            {
                "asset": asset.id,
                "cut": fit is not None,
                "crop": crop,
                "magnification": facts.magnification,
                "lost": facts.lost,
                "sentence": facts.sentence,
            }
        )
    return {"slot": slot.id, "rows": rows}


def crop_facts(site: Site, slot_id: str, asset_id: str, crop: Crop) -> CropFacts:
    """A crop brought to the slot's proportion, with its facts."""
    slot, asset = site.slot(slot_id), site.asset(asset_id)
    held = locked(asset, slot, crop)
    facts = slot_facts(asset, slot, held)
    return {"crop": held, "magnification": facts.magnification, "lost": facts.lost, "sentence": facts.sentence}
