"""Words put beside what matters in the picture behind them, on each screen where it is calm."""

import math
from itertools import product
from typing import Any, Literal

import numpy as np

from ...core.colour.spaces import lightness, luminance
from ...core.document import Align, Area, Asset, Band, ImageLayer, Page, Screen, Site, without
from ...core.document.model import BandException
from ...core.errors import GarnetfernError
from ...core.picture.beside import Behind, Costs, Standing, around_focal, of_parts
from ...core.resolve.box import Box
from ...core.resolve.layout import lay_out_page
from ...core.resolve.lengths import Viewport
from ..views.framing import Shown, focal_for, shown_on_screens
from ..views.looks import Looks
from .common import Asked, Edited, band_of, page_of, with_band, with_page

PLACES: tuple[Align, ...] = ("start", "center", "end")
FURTHER = 0.01
"""What each step away from where the words stand costs: of places that are as good the nearest is taken."""
OWN = 0.04
"""A screen gets a place of its own where the common one costs so much more."""
MOVED = 0.002
"""A focal point that is further from the computed one than this, in fractions, is somebody's word."""
Place = tuple[Align, Align]


class BesideError(GarnetfernError):
    """Words that cannot be put beside what matters in a picture."""

    kind = "beside"


class BesideSubject(Asked):
    """Put a band's words beside what matters in the picture behind them, on each screen where it is calm."""

    kind: Literal["beside-subject"] = "beside-subject"
    page: str
    band: str


def _pictured(site: Site, page: Page, band: Band, fonts: Any) -> tuple[str, ImageLayer, list[Shown]]:
    """The uppermost picture that fills the band, or a join that it belongs to: its area's id, and how it is seen."""
    order = [b.id for b in page.bands]
    joins = [j for j in page.joins if order.index(j.first) <= order.index(band.id) <= order.index(j.last)]
    areas: tuple[Area, ...] = (band, *joins)
    for area in areas:
        for layer in reversed([p for x in area.backdrop.layers if x.visible for p in x.pictures()]):
            shown = shown_on_screens(site, page, area.id, layer.id, fonts)
            if shown and all(s.window.bare < 0.02 and s.window.tiles == (1.0, 1.0) for s in shown):
                return area.id, layer, shown
    raise BesideError(f"There is no picture that fills {band.name}, so its words cannot be put beside anything in it.")


def _costs(site: Site, page: Page, area: str, layer: ImageLayer, looks: Looks, fonts: Any) -> Costs:
    asset: Asset = site.asset(layer.asset)
    look = looks.of(asset.hash).look
    found = focal_for(site, page, area, layer.id, looks, fonts)
    if asset.parts:
        return Costs(of_parts([p.box for p in asset.parts]).tolist(), look.detail, look.light)
    if found.sureness != "doubtful":
        return Costs(look.subject, look.detail, look.light)
    if math.dist(layer.focal, found.focal) < MOVED:
        raise BesideError(
            "What matters in this picture is not certain. Tap it in the picture's settings first; then the words can "
            "be put beside it."
        )
    return Costs(around_focal(layer.focal).tolist(), look.detail, look.light)


def _standing(band: Band, place: Place) -> Band:
    content = band.content.model_copy(update={"align": place[0], "stand": place[1]})
    return band.model_copy(update={"content": content, "screens": without(band.screens, "content")})


def _words(site: Site, page: Page, band: Band, screen: Screen, fonts: Any) -> list[Standing]:
    """The lines of a band's words on a screen."""
    shown, record = lay_out_page(site, page, Viewport(screen.width, screen.height), fonts)
    plated = {b.id for b in shown.blocks() if b.plate is not None}
    laid = next((b for b in record.bands if b.id == band.id), None)
    found = []
    for block in laid.blocks if laid else ():
        light = None if block.id in plated else float(lightness(luminance(np.array(block.fill.rgb, dtype=np.float32))))
        found += [Standing(Box(ln.x, ln.top, ln.width, ln.height), light) for ln in block.lines]
    return found


def _steps(place: Place, now: Place) -> int:
    return sum(abs(PLACES.index(a) - PLACES.index(b)) for a, b in zip(place, now, strict=True))


def beside_subject(site: Site, asked: BesideSubject, looks: Looks, fonts: Any) -> Edited:
    """One place for all screens, and one of its own for each where that costs the picture much more."""
    page = page_of(site, asked.page)
    _, band = band_of(page, asked.band)
    area, layer, shown = _pictured(site, page, band, fonts)
    costs = _costs(site, page, area, layer, looks, fonts)
    now: Place = (band.content.align, band.content.stand)
    seen: dict[str, dict[Place, float]] = {s.screen.id: {} for s in shown}
    for place in product(PLACES, PLACES):
        tried = with_band(page, _standing(band, place))
        for one in shown:
            words = _words(site, tried, band, one.screen, fonts)
            cost = costs.of(words, Behind(one.window, one.box))
            seen[one.screen.id][place] = cost + FURTHER * _steps(place, now)
    common = min(product(PLACES, PLACES), key=lambda p: sum(found[p] for found in seen.values()))
    new = _standing(band, common)
    screens = dict(new.screens)
    for screen, found in seen.items():
        own = min(found, key=lambda p: found[p])
        if found[own] < found[common] - OWN:
            content = new.content.model_copy(update={"align": own[0], "stand": own[1]})
            screens[screen] = screens.get(screen, BandException()).model_copy(update={"content": content})
    new = new.model_copy(update={"screens": screens})
    if new == band:
        raise BesideError(f"The words of {band.name} stand where they cover least of what matters already.")
    return Edited(with_page(site, with_band(page, new)), f"The words of {band.name} beside what matters", band.id)
