"""Where emitted pages find their files."""

import hashlib
import re
from dataclasses import dataclass

from ..document import Asset
from ..resolve.records import Rendition


def rendition_name(asset: Asset, rendition: Rendition) -> str:
    """A file name that tells the picture and its width, and changes whenever the content does."""
    slug = re.sub(r"[^a-z0-9]+", "-", asset.name.rsplit(".", 1)[0].lower()).strip("-")[:40] or "picture"
    return f"{slug}-{rendition.width}-{rendition.hash[:10]}.webp"


def text_hash(text: str) -> str:
    """Ten hexadecimal digits of the text's SHA-256."""
    return hashlib.sha256(text.encode()).hexdigest()[:10]


@dataclass(frozen=True)
class Urls:
    """Prefixes before the names of pictures and fonts, ending in a slash."""

    pictures: str = "pictures/"
    fonts: str = "fonts/"

    def picture(self, asset: Asset, rendition: Rendition) -> str:
        """The address of a rendition."""
        return self.pictures + rendition_name(asset, rendition)

    def font(self, file: str) -> str:
        """The address of a font file."""
        return self.fonts + file
