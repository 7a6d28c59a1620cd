"""The site file: a zip with `site.json` and `pictures/`, checked on the way in."""

import hashlib
import json
from collections.abc import Collection
from dataclasses import dataclass

from ...core.document import Asset, Site, read_site
from ...core.errors import DocumentError, SiteFileError
from ...core.film.facts import FILM_TYPES
from ...core.limits import DOCUMENT, FILM, MB, PICTURE, SITE_FILE
from ...core.plain import read_json
from ...sandbox import Room, shared_room
from .archive import zip_of


@dataclass(frozen=True)
class SiteFile:
    """A site with the original bytes of its pictures by their hash."""

    site: Site
    pictures: dict[str, bytes]


def picture_path(asset: Asset) -> str:
    """Where a picture lies in the file."""
    return f"pictures/{asset.hash}.{asset.type}"


def pack_site_file(file: SiteFile) -> bytes:
    """The bytes of a site file."""
    document = json.dumps(file.site.model_dump(mode="json"), indent=1, ensure_ascii=False)
    files = {"site.json": document.encode()}
    files.update({picture_path(asset): file.pictures[asset.hash] for asset in file.site.assets})
    return zip_of(files)


def _member(members: dict[str, bytes], name: str, most: int) -> bytes:
    if name not in members:
        raise SiteFileError(f"The site file lacks {name}. Nothing was changed.", name)
    if len(members[name]) > most:
        raise SiteFileError(f"{name} unfolds to more than {most // MB} MB. Nothing was changed.", name)
    return members[name]


def _picture(room: Room, members: dict[str, bytes], asset: Asset) -> tuple[Asset, bytes]:
    """The picture's bytes, and its entry with the facts as they were found."""
    name = picture_path(asset)
    film = asset.type in FILM_TYPES
    data = _member(members, name, FILM if film else PICTURE)
    if hashlib.sha256(data).hexdigest() != asset.hash:
        raise SiteFileError(f"{name} is not the picture its name says (its hash differs). Nothing was changed.", name)
    facts = room.films.look_at(data, asset.name)[0] if film else room.examine(data, asset.name)
    if (facts.type, facts.width, facts.height) != (asset.type, asset.width, asset.height):
        raise SiteFileError(f"{name} has another size or type than site.json says. Nothing was changed.", name)
    found = {"bytes": len(data), "alpha": facts.alpha, "duration": facts.duration, "rate": facts.rate}
    return asset.model_copy(update=found), data


def unpack_site_file(data: bytes, fonts: Collection[str], room: Room | None = None) -> SiteFile:
    """Read and check a site file. Raises SiteFileError, DocumentError or PictureError; takes all or nothing."""
    if len(data) > SITE_FILE:
        raise SiteFileError(f"A site file has {SITE_FILE // MB} MB at the most. Nothing was changed.")
    room = room or shared_room()
    members = room.unfold(data)
    try:
        document = read_json(_member(members, "site.json", DOCUMENT))
    except DocumentError as error:
        raise SiteFileError(f"site.json: {error.message} Nothing was changed.", "site.json") from error
    site = read_site(document, fonts)
    wanted = {"site.json", *map(picture_path, site.assets)}
    strange = [name for name in members if name not in wanted]
    if strange:
        message = f"The site file holds {strange[0][:60]!r}, which site.json does not name. Nothing was changed."
        raise SiteFileError(message, strange[0][:60])
    found = [_picture(room, members, asset) for asset in site.assets]
    known = site.model_copy(update={"assets": tuple(asset for asset, _ in found)})
    return SiteFile(known, {asset.hash: picture for asset, picture in found})
