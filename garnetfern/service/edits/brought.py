"""Laying what was read of a stylesheet: on an area, or as a band of its own with its words."""

from collections.abc import Sequence

from ...core.document import Area, Asset, Backdrop, Band, Block, Ids, Page, Site, with_backdrop
from ...core.document.ids import renamed_band
from .common import Edited, page_of, with_band, with_page


def _with_assets(site: Site, assets: Sequence[Asset]) -> Site:
    known = {a.id for a in site.assets}
    return site.model_copy(update={"assets": (*site.assets, *(a for a in assets if a.id not in known))})


def lay_on(site: Site, page_id: str, area: Area, band: Band, assets: Sequence[Asset]) -> Edited:
    """What lies behind an area becomes what was read; of a band also its height, its padding and what differs on
    single screens. Words stay as they are."""
    page = page_of(site, page_id)
    ids = Ids(page)
    layers = tuple(layer.with_ids(ids.free) for layer in band.backdrop.layers)
    backdrop = Backdrop(base=band.backdrop.base, layers=layers)
    if isinstance(area, Block):
        backdrop = backdrop.model_copy(update={"over": area.backdrop.over})
    page = with_backdrop(page, area.id, backdrop)
    if isinstance(area, Band):
        mine = next(b for b in page.bands if b.id == area.id)
        update = {"height": band.height, "padding": band.padding, "screens": band.screens}
        page = with_band(page, mine.model_copy(update=update))
    return Edited(with_page(_with_assets(site, assets), page), f"Bring in {band.name}"[:200], area.id)


def lay_as_band(site: Site, page_id: str, after: str | None, band: Band, assets: Sequence[Asset]) -> Edited:
    """A band of its own, with its words, below another one; at the foot where that is none."""
    page: Page = page_of(site, page_id)
    fresh = renamed_band(band.model_copy(update={"id": "band"}), Ids(page).free)
    order = [b.id for b in page.bands]
    at = order.index(after) + 1 if after in order else len(order)
    bands = (*page.bands[:at], fresh, *page.bands[at:])
    changed = with_page(_with_assets(site, assets), page.model_copy(update={"bands": bands}))
    return Edited(changed, f"Bring in {band.name}"[:200], fresh.id)
