"""What a block is said within."""

from dataclasses import dataclass

from ...document import Band, Site
from ...resolve.book import FontBook


@dataclass(frozen=True)
class BlockContext:
    """The site, the band around the block, and the fonts."""

    site: Site
    band: Band
    fonts: FontBook
