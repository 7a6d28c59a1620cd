"""Pictures of an opened site file, in memory: for the command line, where nothing is stored."""

import shutil
from functools import cached_property
from pathlib import Path
from tempfile import mkdtemp
from weakref import finalize

from ...core.cache import Cache
from ...core.document import Footage
from ...core.draw.sample import Picture
from ...core.picture import decode_rendition
from ...core.reading.flashes import Flash
from ...core.resolve.sheets import Rendition
from ...sandbox import shared_room
from ...store import FilmStills


class MemoryPictures:
    """Gives renditions of originals that are held in memory."""

    def __init__(self, originals: dict[str, bytes], cache: Cache | None = None) -> None:
        self._originals, self._cache = originals, cache or Cache()
        self._films: dict[str, tuple[Path, int, int]] = {}
        self._stills = FilmStills(shared_room().films, self._film)

    @property
    def cache(self) -> Cache:
        """Where they are kept: with it a reader keeps what it computes within the same bound."""
        return self._cache

    def pixels(self, rendition: Rendition) -> Picture:
        """The decoded picture, sRGB."""
        return self._cache.get("pixels", rendition, lambda: decode_rendition(self.file(rendition)))

    def frame(self, rendition: Rendition) -> Picture:
        """A frame of a film, sRGB."""
        return self._cache.get("frame", rendition, lambda: self._stills.frame(rendition))

    @cached_property
    def _aside(self) -> Path:
        """A folder for films' files, which goes with this object."""
        folder = mkdtemp(prefix="garnetfern-")
        finalize(self, shutil.rmtree, folder, ignore_errors=True)
        return Path(folder)

    def flash(self, hash_: str, footage: Footage) -> Flash | None:
        """The first moment at which a part of a film flashes too often."""
        return shared_room().films.flash(self._film(hash_)[0], footage, lambda _: None)

    def film_path(self, hash_: str) -> Path:
        """Where a film's file lies for now."""
        return self._film(hash_)[0]

    def _film(self, hash_: str) -> tuple[Path, int, int]:
        """A film's file, written aside for as long as this lives: it is handed over open. Its size in px."""
        if hash_ not in self._films:
            (self._aside / hash_).write_bytes(self._originals[hash_])
            facts, _ = shared_room().films.look_at(self._originals[hash_], "This film")
            self._films[hash_] = (self._aside / hash_, facts.width, facts.height)
        return self._films[hash_]

    def file(self, rendition: Rendition, _: str = "") -> bytes:
        """The bytes of a rendition's file; its address makes no difference."""

        def encoded() -> bytes:
            moment = rendition.at
            source = self._originals[rendition.hash] if moment is None else self._stills.still(rendition.hash, moment)
            return shared_room().rendition(source, rendition)

        return self._cache.get("encoded", rendition, encoded)
