"""Pictures of an opened site file, in memory: for the command line, where nothing is stored."""

from functools import lru_cache

from ...core.draw.sample import Picture
from ...core.picture import decode_rendition
from ...core.resolve.sheets import Rendition
from ...sandbox import shared_room


class MemoryPictures:
    """Gives renditions of originals that are held in memory."""

    def __init__(self, originals: dict[str, bytes]) -> None:
        self._originals = originals
        self._encoded = lru_cache(maxsize=64)(self._encode)
        self.pixels = lru_cache(maxsize=16)(self._pixels)

    def _encode(self, rendition: Rendition) -> bytes:
        return shared_room().rendition(self._originals[rendition.hash], rendition)

    def _pixels(self, rendition: Rendition) -> Picture:
        return decode_rendition(self._encoded(rendition))

    def file(self, rendition: Rendition, _: str = "") -> bytes:
        """The bytes of a rendition's file; its address makes no difference."""
        return self._encoded(rendition)
