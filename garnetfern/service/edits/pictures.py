"""Pictures put into areas, everywhere, and away; focal points and advice that the core has computed."""

from typing import Any, Literal

from ...core.document import Asset, Ids, ImageException, ImageLayer, LayerBase, Page, Site, with_backdrop, without
from ...core.errors import AlreadyThereError, NotFoundError
from ..files.assets import renamed
from ..kinds.layers import laid
from ..views.framing import advice_for, focal_for, image_layer
from ..views.looks import Looks
from ..views.uses import replaced_everywhere, without_asset
from .common import (
    Asked,
    Edited,
    page_of,
    with_page,
)


class LayPicture(Asked):
    """Show a picture in an area: in `layer`, or in a new layer at `at` (None: right on the base)."""

    kind: Literal["lay-picture"] = "lay-picture"
    page: str
    area: str
    asset: Asset
    layer: str | None = None
    at: int | None = None


class ShelvePicture(Asked):
    """Put a picture that was handed in onto the shelf, without showing it anywhere."""

    kind: Literal["shelve-picture"] = "shelve-picture"
    asset: Asset


class ReplacePicture(Asked):
    """One picture in another's place, everywhere at once."""

    kind: Literal["replace-picture"] = "replace-picture"
    old: str
    new: str


class RemovePicture(Asked):
    """Take a picture off the shelf; refused while it is used."""

    kind: Literal["remove-picture"] = "remove-picture"
    asset: str


class FollowAdvice(Asked):
    """Set a layer as its picture suits the area best."""

    kind: Literal["follow-advice"] = "follow-advice"
    page: str
    area: str
    layer: str


class BestFocal(Asked):
    """Set the computed focal point, and exceptions only for screens that need one."""

    kind: Literal["best-focal"] = "best-focal"
    page: str
    area: str
    layer: str


def _layer(page: Page, area_id: str, layer_id: str) -> tuple[Any, ImageLayer]:
    area = page.area(area_id)
    if area is None:
        raise NotFoundError(f"There is no area {area_id!r} on this page.")
    return area, image_layer(page, area_id, layer_id)


def with_layer(page: Page, area: Any, layer: ImageLayer) -> Page:
    """The page with one of an area's pictures in another state."""
    layers = tuple(x.with_picture(layer) for x in area.backdrop.layers)
    return with_backdrop(page, area.id, area.backdrop.model_copy(update={"layers": layers}))


def _shelved(site: Site, asset: Asset) -> tuple[Site, Asset]:
    """The site with the picture on its shelf, under an id and a name that nothing else has; equal files are one."""
    known = next((a for a in site.assets if a.hash == asset.hash), None)
    if known is not None:
        return site, known
    found = renamed(site, asset)
    return site.model_copy(update={"assets": (*site.assets, found)}), found


def shelve_picture(site: Site, asked: ShelvePicture) -> Edited:
    """Refused where the same file is there already."""
    changed, asset = _shelved(site, asked.asset)
    if changed is site:
        raise AlreadyThereError(f"{asset.name} is on the shelf already; it was not added twice.")
    return Edited(changed, f"Bring {asset.name}", asset.id)


def _shown(layer: LayerBase, name: str, asset: Asset) -> LayerBase:
    """A layer with another picture or film where it, or what it is made of, has this id."""
    fresh = laid(asset, name)
    if layer.id == name and type(fresh) is not type(layer):
        same = {field: getattr(layer, field) for field in ("visible", "opacity", "blend")}
        return fresh.model_copy(update=same)
    if layer.id == name and layer.films():
        part = fresh.model_dump(include={"asset", "name", "start", "end", "rate", "still"})
        return layer.model_copy(update={**part, "screens": {}})
    picture = next((p for p in layer.pictures() if p.id == name), None)
    if picture is None:
        return layer
    own: dict[str, Any] = {
        "asset": asset.id,
        "name": asset.title,
        "crop": None,
        "position": None,
        "screens": {},
        "at": 0.0,
    }
    return layer.with_picture(picture.model_copy(update=own))


LYING = ("size", "width", "height", "repeat")
"""How a picture lies: what follows from what it is."""


def _lying(advised: dict[str, Any]) -> dict[str, Any]:
    """How a picture is laid at first: repeated where it is advised to be, otherwise filling its area."""
    if set(advised["repeat"]) != {"no-repeat"}:
        return advised
    return {"size": "cover", "width": None, "height": None, "repeat": advised["repeat"], "position": None}


def _plain_picture(page: Page, area_id: str, layer_id: str | None) -> ImageLayer | None:
    """A layer of an area that is one picture by itself."""
    area = page.area(area_id)
    layers = (x for x in area.backdrop.layers if x.id == layer_id) if area else ()
    return next((p for x in layers for p in x.pictures() if p.id == x.id), None)


def _lies_as_advised(site: Site, page: Page, asked: LayPicture, looks: Looks, fonts: Any) -> bool:
    """Whether a layer lies as suits its picture: then another one in its place may lie as suits that."""
    layer = _plain_picture(page, asked.area, asked.layer)
    if layer is None:
        return False
    advice = advice_for(site, page, asked.area, layer.id, looks, fonts)
    wanted = ImageLayer.model_validate({**layer.model_dump(), **_lying(advice.settings)})
    return all(getattr(layer, name) == getattr(wanted, name) for name in LYING)


def _as_advised(site: Site, page: Page, area_id: str, layer_id: str, looks: Looks, fonts: Any) -> Page:
    """The page with a picture lying as suits it: a seamless tile repeated, a strip along its side, others filling."""
    layer, area = _plain_picture(page, area_id, layer_id), page.area(area_id)
    if layer is None or area is None:
        return page
    advice = advice_for(site, page, area_id, layer_id, looks, fonts)
    changed = ImageLayer.model_validate({**layer.model_dump(), **_lying(advice.settings), "screens": {}})
    page = with_layer(page, area, changed)
    if advice.base is None or area.backdrop.base is not None:
        return page
    area = page.area(area_id) or area
    return with_backdrop(page, area_id, area.backdrop.model_copy(update={"base": advice.base}))


def lay_picture(site: Site, asked: LayPicture, looks: Looks, fonts: Any) -> Edited:
    """The picture comes onto the shelf where it is not there yet. It lies as suits it, in the place of another where
    that one did; unless it lies from a corner then, it gets the focal point that suits all screens, and those that a
    screen needs for itself."""
    suits = asked.layer is None or _lies_as_advised(site, page_of(site, asked.page), asked, looks, fonts)
    site, asset = _shelved(site, asked.asset)
    page = page_of(site, asked.page)
    area = page.area(asked.area)
    if area is None:
        raise NotFoundError(f"There is no area {asked.area!r} on this page.")
    if asked.layer is not None:
        chosen = _layer(page, asked.area, asked.layer)[1].id
        layers = tuple(_shown(x, chosen, asset) for x in area.backdrop.layers)
    else:
        chosen = Ids(page).free("picture")
        at = 0 if asked.at is None else max(0, min(asked.at, len(area.backdrop.layers)))
        layers = (*area.backdrop.layers[:at], laid(asset, chosen), *area.backdrop.layers[at:])
    page = with_backdrop(page, area.id, area.backdrop.model_copy(update={"layers": layers}))
    site = with_page(site, page)
    if suits:
        page = _as_advised(site, page, asked.area, chosen, looks, fonts)
        site = with_page(site, page)
    if _layer(page, asked.area, chosen)[1].position is None:
        page = focused(site, page, asked.area, chosen, looks, fonts)
    name = getattr(area, "name", None) or page.title
    return Edited(with_page(site, page), f"Put {asset.name} behind {name}", chosen)


def replace_picture(site: Site, asked: ReplacePicture) -> Edited:
    """Focal points stay, crops go."""
    for asset_id in (asked.old, asked.new):
        if not any(a.id == asset_id for a in site.assets):
            raise NotFoundError(f"There is no picture {asset_id!r} on the shelf.")
    label = f"{site.asset(asked.new).name} instead of {site.asset(asked.old).name}"
    return Edited(replaced_everywhere(site, asked.old, asked.new), label, asked.new)


def remove_picture(site: Site, asked: RemovePicture) -> Edited:
    """Its file is kept, so that undo brings it back."""
    if not any(a.id == asked.asset for a in site.assets):
        raise NotFoundError(f"There is no picture {asked.asset!r} on the shelf.")
    return Edited(without_asset(site, asked.asset), f"Remove {site.asset(asked.asset).name}")


def follow_advice(site: Site, asked: FollowAdvice, looks: Looks, fonts: Any) -> Edited:
    """Exceptions go, as they were made for other settings."""
    page = page_of(site, asked.page)
    area, layer = _layer(page, asked.area, asked.layer)
    advice = advice_for(site, page, asked.area, asked.layer, looks, fonts)
    changed = ImageLayer.model_validate({**layer.model_dump(), **advice.settings, "screens": {}})
    page = with_layer(page, area, changed)
    if advice.base is not None:
        area = page.area(asked.area)
        assert area is not None
        page = with_backdrop(page, asked.area, area.backdrop.model_copy(update={"base": advice.base}))
    return Edited(with_page(site, page), f"{layer.name}: as suits it", layer.id)


def focused(site: Site, page: Page, area_id: str, layer_id: str, looks: Looks, fonts: Any) -> Page:
    """The page with the computed focal point of a picture, and with one of its own for screens that need it; those
    that do not need theirs any more lose it."""
    area, layer = _layer(page, area_id, layer_id)
    found = focal_for(site, page, area_id, layer_id, looks, fonts)
    screens = without(layer.screens, "focal", "position")
    for screen, focal in found.others.items():
        screens[screen] = screens.get(screen, ImageException()).model_copy(update={"focal": focal})
    return with_layer(page, area, layer.model_copy(update={"focal": found.focal, "position": None, "screens": screens}))


def best_focal(site: Site, asked: BestFocal, looks: Looks, fonts: Any) -> Edited:
    """Screens whose exception is not needed any more lose it."""
    page = page_of(site, asked.page)
    layer = _layer(page, asked.area, asked.layer)[1]
    page = focused(site, page, asked.area, asked.layer, looks, fonts)
    return Edited(with_page(site, page), f"Best focal point of {layer.name}", layer.id)
