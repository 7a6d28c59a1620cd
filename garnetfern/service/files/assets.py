"""New assets for a site: ids that are free, names that tell which is which."""

from collections.abc import Callable
from typing import Any

from ...core.css.urls import slug_of
from ...core.document import Asset, Site
from ...core.errors import DocumentError, NotFoundError, Problem
from ...core.picture import Facts
from ...core.plain import tidied


def free(wanted: str, taken: set[str]) -> str:
    """An id that no other has."""
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


FACTS = ("type", "width", "height", "bytes", "alpha", "duration", "rate")


def check_facts(site: Site, before: Site | None, find: Callable[[str], Any]) -> None:
    """Facts about a picture belong to the store: Raises DocumentError where the document says others.

    `find` gives what the store knows of a hash, with the attributes of FACTS, or None. `before` is the site that was
    changed; a picture of it keeps its hash.
    """
    known = {} if before is None else {a.id: a for a in before.assets}
    for n, asset in enumerate(site.assets):
        old, path = known.get(asset.id), f"$.assets[{n}]"
        if old is not None and old.hash == asset.hash and all(getattr(old, f) == getattr(asset, f) for f in FACTS):
            continue
        if old is not None and old.hash != asset.hash:
            message = f"The bytes of {old.name!r} cannot be exchanged by a change; replace the picture instead."
            raise DocumentError([Problem("facts", f"{message} Nothing was changed.", f"{path}.hash")])
        row = find(asset.hash)
        if row is None:
            raise NotFoundError(f"The picture {asset.name!r} is not in the store; hand it in first.", path)
        for fact in FACTS:
            if getattr(row, fact) != getattr(asset, fact):
                message = (
                    f"{asset.name!r} has the {fact} {getattr(row, fact)!r}, found when it came in, which cannot be "
                    f"changed. Received: {getattr(asset, fact)!r}. Nothing was changed."
                )
                raise DocumentError([Problem("facts", message, f"{path}.{fact}")])


def renamed(site: Site, asset: Asset) -> Asset:
    """The asset with an id and a name that no other picture of the site has."""
    name = _shown(asset.name, {a.name for a in site.assets})
    return asset.model_copy(update={"id": free(asset.id, {a.id for a in site.assets}), "name": name})


def new_asset(site: Site, name: str, hash_: str, size: int, facts: Facts, credit: str = "") -> Asset:
    """The asset of a kept picture. The same bytes give the asset that is there; an equal name gets a number."""
    known = next((a for a in site.assets if a.hash == hash_), None)
    if known is not None:
        return known
    plain = tidied(name.replace("\\", "/").rsplit("/", 1)[-1], 110, "picture")
    slug = slug_of(plain)
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
        duration=facts.duration,
        rate=facts.rate,
        note=facts.note,
        credit=credit,
    )
    return renamed(site, asset)
