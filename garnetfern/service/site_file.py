"""The site file: a zip with `site.json` and `pictures/`, checked on the way in."""

import hashlib
import io
import json
import zipfile
from collections.abc import Collection
from dataclasses import dataclass

from ..core.document import Asset, Site, read_site
from ..core.errors import SiteFileError
from ..core.picture import examine
from ..core.picture.decode import MAX_BYTES
from .archive import zip_of

MAX_DOCUMENT = 20 * 1024 * 1024
MAX_FILE = 2 * 1024**3


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


def _entry(archive: zipfile.ZipFile, name: str, most: int) -> bytes:
    try:
        info = archive.getinfo(name)
    except KeyError as error:
        raise SiteFileError(f"The site file lacks {name}. Nothing was changed.", name) from error
    if info.file_size > most:
        raise SiteFileError(f"{name} unfolds to more than {most // 1024 // 1024} MB. Nothing was changed.", name)
    try:
        with archive.open(info) as stream:
            data = stream.read(most + 1)
    except (zipfile.BadZipFile, OSError, EOFError, NotImplementedError, RuntimeError) as error:
        raise SiteFileError(f"{name} is damaged in the site file. Nothing was changed.", name) from error
    if len(data) > most:
        raise SiteFileError(f"{name} unfolds to more than it says. Nothing was changed.", name)
    return data


def _picture(archive: zipfile.ZipFile, asset: Asset) -> bytes:
    name = picture_path(asset)
    data = _entry(archive, name, MAX_BYTES)
    if hashlib.sha256(data).hexdigest() != asset.hash:
        raise SiteFileError(f"{name} is not the picture its name says (its hash differs). Nothing was changed.", name)
    facts = examine(data, asset.name)
    if (facts.type, facts.width, facts.height) != (asset.type, asset.width, asset.height):
        raise SiteFileError(f"{name} has another size or type than site.json says. Nothing was changed.", name)
    return data


def unpack_site_file(data: bytes, fonts: Collection[str]) -> SiteFile:
    """Read and check a site file. Raises SiteFileError, DocumentError or PictureError; takes all or nothing."""
    if len(data) > MAX_FILE:
        raise SiteFileError("A site file has 2 GB at the most. Nothing was changed.")
    try:
        archive = zipfile.ZipFile(io.BytesIO(data))
    except (zipfile.BadZipFile, OSError, ValueError) as error:
        raise SiteFileError("This is not a site file: it is no zip that can be read. Nothing was changed.") from error
    with archive:
        try:
            document = json.loads(_entry(archive, "site.json", MAX_DOCUMENT))
        except (ValueError, RecursionError) as error:
            message = f"site.json is no JSON that can be read ({error}). Nothing was changed."
            raise SiteFileError(message, "site.json") from error
        site = read_site(document, fonts)
        wanted = {"site.json", *map(picture_path, site.assets)}
        strange = [name for name in archive.namelist() if name not in wanted and not name.endswith("/")]
        if strange:
            raise SiteFileError(
                f"The site file holds {strange[0][:60]!r}, which site.json does not name. Nothing was changed.",
                strange[0],
            )
        return SiteFile(site, {asset.hash: _picture(archive, asset) for asset in site.assets})
