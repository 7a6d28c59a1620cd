"""Where emitted pages find their files."""

import hashlib
from collections.abc import Mapping
from dataclasses import dataclass, field, replace

from ..document import Asset
from ..resolve.film import Cut
from ..resolve.sheets import Rendition
from .escape import file_part


def slug_of(name: str, otherwise: str = "picture") -> str:
    """A file's name without its ending, as part of a file name."""
    return file_part(name.rsplit(".", 1)[0], otherwise)


def rendition_name(asset: Asset, rendition: Rendition, ending: str = "webp") -> str:
    """A file name that tells the picture, its part and its width, and changes whenever the content does."""
    part = "" if rendition.crop is None else "-c" + "-".join(map(str, rendition.crop))
    part += "" if rendition.at is None else f"-t{rendition.at:g}"
    return f"{slug_of(asset.name)}-{rendition.width}-{rendition.hash[:10]}{part}.{ending}"


def text_hash(text: str) -> str:
    """Ten hexadecimal digits of the text's SHA-256."""
    return data_hash(text.encode())


def data_hash(data: bytes) -> str:
    """Ten hexadecimal digits of the SHA-256: what a file is called that never changes under its name."""
    return hashlib.sha256(data).hexdigest()[:10]


@dataclass(frozen=True)
class File:
    """A picture file: its address, and its media type where browsers have to choose."""

    address: str
    kind: str | None = None


FILM_KINDS = {"av1": 'video/mp4; codecs="av01.0.08M.08"', "h264": 'video/mp4; codecs="avc1.640028"'}
"""The media types of a film's files by codec, the lightest first."""


@dataclass(frozen=True)
class Urls:
    """Prefixes before the names of pictures, fonts and films, ending in a slash; the films that there are files of,
    each file by its codec and the hash of its content; what font files are called, where it is not as their faces."""

    pictures: str = "pictures/"
    fonts: str = "fonts/"
    films: str = "films/"
    coded: Mapping[Cut, tuple[tuple[str, str], ...]] = field(default_factory=dict, kw_only=True)
    lettered: Mapping[str, str] = field(default_factory=dict, kw_only=True)

    def files(self, asset: Asset, rendition: Rendition) -> tuple[File, ...]:
        """The files of a rendition, the best first."""
        return (File(self.pictures + rendition_name(asset, rendition)),)

    def for_page(self) -> "Urls":
        """The same addresses as seen from a page, which lies one folder above the stylesheets of a bundle."""
        folders = {name: getattr(self, name).removeprefix("../") for name in ("pictures", "fonts", "films")}
        return replace(self, **folders)

    def film(self, asset: Asset, cut: Cut) -> tuple[File, ...]:
        """The files of a part of a film, the lightest first; none where they have not been made."""
        return tuple(
            File(f"{self.films}{slug_of(asset.name, 'film')}-{cut.width}-{hash_[:10]}.{codec}.mp4", FILM_KINDS[codec])
            for codec, hash_ in self.coded.get(cut, ())
        )

    def font(self, face: str) -> str:
        """The address of the file of a face, by its id."""
        return self.fonts + self.lettered.get(face, face)
