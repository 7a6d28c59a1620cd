"""New assets for a site: ids that are free, names that tell which is which."""

import re

from ..core.document import Asset, Site
from ..core.picture import Facts


def _free(wanted: str, taken: set[str]) -> str:
    if wanted not in taken:
        return wanted
    number = next(n for n in range(2, len(taken) + 3) if f"{wanted[:34]}-{n}" not in taken)
    return f"{wanted[:34]}-{number}"


def _shown(wanted: str, names: set[str]) -> str:
    """The name, with a number before its ending where it is taken."""
    stem, dot, ending = wanted.rpartition(".")
    shown, number = wanted, 2
    while shown in names:
        shown = f"{stem or ending} {number}{dot}{ending if stem else ''}"
        number += 1
    return shown


def renamed(site: Site, asset: Asset) -> Asset:
    """The asset with an id and a name that no other picture of the site has."""
    name = _shown(asset.name, {a.name for a in site.assets})
    return asset.model_copy(update={"id": _free(asset.id, {a.id for a in site.assets}), "name": name})


def new_asset(site: Site, name: str, hash_: str, size: int, facts: Facts, credit: str = "") -> Asset:
    """The asset of a kept picture. The same bytes give the asset that is there; an equal name gets a number."""
    known = next((a for a in site.assets if a.hash == hash_), None)
    if known is not None:
        return known
    plain = re.sub(r"[\x00-\x1f\x7f]+", " ", name.replace("\\", "/").rsplit("/", 1)[-1]).strip()[:110] or "picture"
    slug = re.sub(r"[^a-z0-9]+", "-", plain.rsplit(".", 1)[0].lower()).strip("-")
    slug = f"p-{slug}" if not slug[:1].isalpha() else slug
    asset = Asset(
        id=slug[:38].rstrip("-"),
        name=plain,
        hash=hash_,
        type=facts.type,
        width=facts.width,
        height=facts.height,
        bytes=size,
        alpha=facts.alpha,
        note=facts.note,
        credit=credit,
    )
    return renamed(site, asset)
