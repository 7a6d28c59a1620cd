"""The site file: a zip with `site.json`, `pictures/` and `fonts/`, checked on the way in."""

import hashlib
import json
from collections.abc import Collection
from dataclasses import dataclass, field

from ...core.document import Asset, FontFile, Site, read_site
from ...core.errors import DocumentError, SiteFileError
from ...core.film.facts import FILM_TYPES
from ...core.limits import DOCUMENT, FILM, FONT, MB, PICTURE, SITE_FILE
from ...core.plain import read_json
from ...core.resolve.book import FontBook
from ...sandbox import Room, shared_room
from .archive import zip_of


@dataclass(frozen=True)
class SiteFile:
    """A site with the original bytes of its pictures, and of its own fonts, by their hash."""

    site: Site
    pictures: dict[str, bytes]
    fonts: dict[str, bytes] = field(default_factory=dict)

    def book(self, shipped: FontBook) -> FontBook:
        """The fonts that there are, with its own."""
        return shipped.with_own(self.fonts.__getitem__)


def picture_path(asset: Asset) -> str:
    """Where a picture lies in the file."""
    return f"pictures/{asset.hash}.{asset.type}"


def font_path(font: FontFile) -> str:
    """Where a font lies in the file."""
    return f"fonts/{font.hash}.woff2"


def pack_site_file(file: SiteFile) -> bytes:
    """The bytes of a site file."""
    document = json.dumps(file.site.model_dump(mode="json"), indent=1, ensure_ascii=False)
    files = {"site.json": document.encode()}
    files.update({font_path(font): file.fonts[font.hash] for font in file.site.fonts})
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


def _font(room: Room, members: dict[str, bytes], font: FontFile) -> tuple[FontFile, bytes]:
    """The font's bytes, and its entry with the facts as they were found."""
    name = font_path(font)
    data = _member(members, name, FONT)
    if hashlib.sha256(data).hexdigest() != font.hash:
        raise SiteFileError(f"{name} is not the font its name says (its hash differs). Nothing was changed.", name)
    found = room.fonts(data, font.name)
    if len(found) != 1 or found[0].data != data:
        raise SiteFileError(f"{name} is no font as it is kept here. Nothing was changed.", name)
    own = {"family": font.family, "category": font.category, "note": font.note}
    return found[0].facts.entry(font.id, font.name, font.hash, len(data)).model_copy(update=own), data


def unpack_site_file(data: bytes, fonts: Collection[str], room: Room | None = None) -> SiteFile:
    """Read and check a site file, all or nothing. Raises SiteFileError, DocumentError, PictureError or FontError."""
    if len(data) > SITE_FILE:
        raise SiteFileError(f"A site file has {SITE_FILE // MB} MB at the most. Nothing was changed.")
    room = room or shared_room()
    members = room.unfold(data)
    try:
        document = read_json(_member(members, "site.json", DOCUMENT))
    except DocumentError as error:
        raise SiteFileError(f"site.json: {error.message} Nothing was changed.", "site.json") from error
    site = read_site(document, fonts)
    wanted = {"site.json", *map(picture_path, site.assets), *map(font_path, site.fonts)}
    strange = [name for name in members if name not in wanted]
    if strange:
        message = f"The site file holds {strange[0][:60]!r}, which site.json does not name. Nothing was changed."
        raise SiteFileError(message, strange[0][:60])
    found = [_picture(room, members, asset) for asset in site.assets]
    lettered = [_font(room, members, font) for font in site.fonts]
    facts = {"assets": tuple(asset for asset, _ in found), "fonts": tuple(font for font, _ in lettered)}
    pictures = {asset.hash: picture for asset, picture in found}
    return SiteFile(site.model_copy(update=facts), pictures, {font.hash: data for font, data in lettered})
