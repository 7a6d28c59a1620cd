"""Where emitted pages find their files."""

import hashlib
from dataclasses import dataclass, replace

from ..document import Asset
from ..resolve.sheets import Rendition
from .escape import file_part


def slug_of(name: str, otherwise: str = "picture") -> str:
    """A file's name without its ending, as part of a file name."""
    return file_part(name.rsplit(".", 1)[0], otherwise)


def rendition_name(asset: Asset, rendition: Rendition, ending: str = "webp") -> str:
    """A file name that tells the picture, its part and its width, and changes whenever the content does."""
    part = "" if rendition.crop is None else "-c" + "-".join(map(str, rendition.crop))
    return f"{slug_of(asset.name)}-{rendition.width}-{rendition.hash[:10]}{part}.{ending}"


def text_hash(text: str) -> str:
    """Ten hexadecimal digits of the text's SHA-256."""
    return hashlib.sha256(text.encode()).hexdigest()[:10]


@dataclass(frozen=True)
class File:
    """A picture file: its address, and its media type where browsers have to choose."""

    address: str
    kind: str | None = None


@dataclass(frozen=True)
class Urls:
    """Prefixes before the names of pictures and fonts, ending in a slash."""

    pictures: str = "pictures/"
    fonts: str = "fonts/"

    def files(self, asset: Asset, rendition: Rendition) -> tuple[File, ...]:
        """The files of a rendition, the best first."""
        return (File(self.pictures + rendition_name(asset, rendition)),)

    def for_page(self) -> "Urls":
        """The same addresses as seen from a page, which lies one folder above the stylesheets of a bundle."""
        return replace(self, pictures=self.pictures.removeprefix("../"), fonts=self.fonts.removeprefix("../"))

    def font(self, file: str) -> str:
        """The address of a font file."""
        return self.fonts + file
