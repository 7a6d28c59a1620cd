"""Looks and gradients out of another site's file."""

from typing import Any

from ...core.document import Asset, SavedGradient, SavedLook, Site
from ...core.errors import SiteFileError
from .site_file import SiteFile


def _free(stem: str, taken: set[str]) -> str:
    name = next(f"{stem}-{n}" for n in range(1, len(taken) + 2) if f"{stem}-{n}" not in taken)
    taken.add(name)
    return name


def _content(saved: SavedLook | SavedGradient) -> str:
    """What tells one saved thing from another: all but its id."""
    return saved.model_dump_json(exclude={"id"})


def with_looks_of(site: Site, other: SiteFile) -> Site:
    """The site with the looks and gradients of another one, and the pictures they show. Raises SiteFileError where it
    has none. What the site has already under the same name and with the same content is not added twice."""
    if not other.site.looks and not other.site.gradients:
        raise SiteFileError("That site has no saved looks and no gradients of its own. Nothing was changed.")
    by_hash: dict[str, Asset] = {asset.hash: asset for asset in site.assets}
    assets = list(site.assets)
    asset_ids = {asset.id for asset in assets}
    known = set(map(_content, site.looks)) | set(map(_content, site.gradients))
    look_ids, gradient_ids = {x.id for x in site.looks}, {x.id for x in site.gradients}
    looks: list[SavedLook] = []
    for look in other.site.looks:
        backdrop = look.backdrop
        layers = []
        for layer in backdrop.layers:
            update = {}
            for old in layer.assets():
                found = other.site.asset(old)
                if found.hash not in by_hash:
                    by_hash[found.hash] = found.model_copy(update={"id": _free("picture", asset_ids)})
                    assets.append(by_hash[found.hash])
                update = {"asset": by_hash[found.hash].id}
            layers.append(layer.model_copy(update=update))
        backdrop = backdrop.model_copy(update={"layers": tuple(layers)})
        taken = look.model_copy(update={"backdrop": backdrop})
        if _content(taken) not in known:
            looks.append(taken.model_copy(update={"id": _free("look", look_ids)}))
    gradients: list[SavedGradient] = [
        g.model_copy(update={"id": _free("gradient", gradient_ids)})
        for g in other.site.gradients
        if _content(g) not in known
    ]
    added: dict[str, Any] = {"assets": tuple(assets), "looks": (*site.looks, *looks)}
    return site.model_copy(update={**added, "gradients": (*site.gradients, *gradients)})
