"""Pictures of an opened site file, in memory: for the command line, where nothing is stored."""

from ...core.cache import Cache
from ...core.draw.sample import Picture
from ...core.picture import decode_rendition
from ...core.resolve.sheets import Rendition
from ...sandbox import shared_room


class MemoryPictures:
    """Gives renditions of originals that are held in memory."""

    def __init__(self, originals: dict[str, bytes], cache: Cache | None = None) -> None:
        self._originals, self._cache = originals, cache or Cache()

    def pixels(self, rendition: Rendition) -> Picture:
        """The decoded picture, sRGB."""
        return self._cache.get("pixels", rendition, lambda: decode_rendition(self.file(rendition)))

    def file(self, rendition: Rendition, _: str = "") -> bytes:
        """The bytes of a rendition's file; its address makes no difference."""

        def encoded() -> bytes:
            return shared_room().rendition(self._originals[rendition.hash], rendition)

        return self._cache.get("encoded", rendition, encoded)
