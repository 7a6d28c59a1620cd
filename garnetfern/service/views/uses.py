"""Where a picture is used in a site, and putting another in its place everywhere."""

from dataclasses import dataclass

from ...core.document import Asset, Backdrop, Block, Page, Site, each_backdrop, each_block
from ...core.errors import GarnetfernError
from ...core.picture.slots import widest_crop
from .areas import area_name


class InUseError(GarnetfernError):
    """The picture is used; the message lists the places."""

    kind = "in-use"


@dataclass(frozen=True)
class Use:
    """A place that shows a picture: the page, the area, and the layer, block or slot there."""

    page: str
    area: str
    item: str
    words: str


def uses_of(site: Site, asset_id: str) -> list[Use]:
    """Every place a picture is used in, in the order of the pages."""
    found: list[Use] = []
    for page in site.pages:
        for area in page.areas():
            for layer in area.backdrop.layers:
                if asset_id in layer.assets():
                    words = f"{page.title}: {area_name(page, area.id)}, layer {layer.name}"
                    found.append(Use(page.id, area.id, layer.id, words))
        for band in page.bands:
            words = f"{page.title}: {band.name}, a picture block"
            found += [Use(page.id, band.id, b.id, words) for b in band.blocks() if b.asset == asset_id]
    for look in site.looks:
        if any(asset_id in layer.assets() for layer in look.backdrop.layers):
            found.append(Use("", "", look.id, f"Saved look {look.name}"))
    cut = [site.slot(f.slot) for f in site.fits if f.asset == asset_id]
    return found + [Use("", "", slot.id, f"Slot {slot.name}") for slot in cut]


def _in_backdrop(backdrop: Backdrop, old: str, new: Asset) -> Backdrop:
    layers = tuple(layer.with_asset(old, new.id, new.title) for layer in backdrop.layers)
    return backdrop.model_copy(update={"layers": layers})


def replaced_everywhere(site: Site, old: str, new_id: str) -> Site:
    """The site with one picture in another's place. Crops are undone, as they were made for the other picture."""
    new = site.asset(new_id)

    def block(item: Block) -> Block:
        return item.model_copy(update={"asset": new.id}) if item.asset == old else item

    def page(item: Page) -> Page:
        return each_block(each_backdrop(item, lambda _, backdrop: _in_backdrop(backdrop, old, new)), block)

    taken = {f.slot for f in site.fits if f.asset == new.id}
    fits = []
    for fit in site.fits:
        if fit.asset != old:
            fits.append(fit)
        elif fit.slot not in taken:
            fits.append(fit.model_copy(update={"asset": new.id, "crop": widest_crop(new, site.slot(fit.slot))}))
    looks = tuple(k.model_copy(update={"backdrop": _in_backdrop(k.backdrop, old, new)}) for k in site.looks)
    return site.model_copy(update={"pages": tuple(map(page, site.pages)), "looks": looks, "fits": tuple(fits)})


def without_asset(site: Site, asset_id: str) -> Site:
    """The site without a picture. Raises InUseError, which lists the places, while it is used anywhere."""
    found = uses_of(site, asset_id)
    if found:
        places = "; ".join(u.words for u in found[:6]) + ("; and more" if len(found) > 6 else "")
        name = site.asset(asset_id).name
        raise InUseError(f"{name} is used in {len(found)} places and stays: {places}. Put another in its place first.")
    return site.model_copy(update={"assets": tuple(a for a in site.assets if a.id != asset_id)})
