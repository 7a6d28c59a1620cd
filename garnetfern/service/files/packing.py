"""Taking the whole site away: its files made one by one, telling how far it is, and the zip of the last packing."""

import threading
from collections.abc import Callable
from dataclasses import dataclass
from datetime import date

from ...core.css import Urls, bundle_files
from ...core.css.letters import letter_files, lettered
from ...core.document import Site
from ...core.resolve.book import FontBook
from ...core.telling import Told, silent
from ...sandbox import Room
from .archive import zip_of
from .cuts import cut_file
from .films import Films
from .fitting import Fitting

LOOKED, FOUND, MADE, CUT = 0.1, 0.3, 0.7, 0.85
"""How far the work is when originals are looked at, pictures found, files made, slots cut; the rest is the zip."""

WORTH_KEEPING = 64 * 1024 * 1024
"""A zip of more bytes is not kept in memory between being packed and being fetched, but packed again."""


@dataclass(frozen=True)
class Packed:
    """A packing: its number, the files by path with their weight in bytes, and the zip."""

    number: int
    weights: dict[str, int]
    data: bytes


class Packing:
    """Packs a site; the last zip waits to be fetched."""

    def __init__(
        self, room: Room, check: Callable[[str], object], fitting: Fitting, films: Films, fonts: FontBook
    ) -> None:
        self._room, self._check, self._fitting, self._films, self._fonts = room, check, fitting, films, fonts
        self._last: Packed | None = None
        self._count = 0
        self._lock = threading.Lock()

    def visited(self, site: Site, told: Told = silent, since: date | None = None) -> tuple[dict[str, bytes], Urls]:
        """Pages, stylesheets, pictures and fonts of the whole site, by their path, and the addresses of the last three;
        fitted pictures where there are. `since`: what rules show before that day is left out.

        Raises DamagedError where an original is not what it was: it is not handed out.
        """
        for n, asset in enumerate(site.assets):
            told(asset.name, LOOKED * n / len(site.assets))
            self._check(asset.hash)

        def looking(name: str, share: float) -> None:
            told(name, LOOKED + (FOUND - LOOKED) * share)

        def making(name: str, share: float) -> None:
            told(name, FOUND + (MADE - FOUND) * share)

        urls, picture = self._fitting.sources(site, self._fonts, self._films.coded(site), looking)
        files = bundle_files(site, self._fonts, picture, urls, making, self._films.data, since)
        return files, lettered(site, urls, letter_files(site, site.pages, self._fonts))

    def files(self, site: Site, told: Told = silent) -> dict[str, bytes]:
        """The same, and beside them every picture that was put through a slot."""
        files, _ = self.visited(site, told)
        for n, fit in enumerate(site.fits):
            told(fit.slot, MADE + (CUT - MADE) * n / len(site.fits))
            data, name = cut_file(self._room, self._fitting.source, site, fit.slot, fit.asset, "jpeg")
            files[f"slots/{name}"] = data
        return files

    def pack(self, site: Site, told: Told = silent) -> Packed:
        """Pack a site that opens from disk. Raises DamagedError; what `told` raises ends it, and nothing is left."""
        files = self.files(site, told)
        told("the zip", CUT)
        data = zip_of(files)
        with self._lock:
            self._count += 1
            packed = Packed(self._count, {name: len(files[name]) for name in sorted(files)}, data)
            self._last = packed if len(data) <= WORTH_KEEPING else None
        return packed

    def waiting(self, number: int | None) -> bytes | None:
        """The zip of the packing of this number, while it waits."""
        last = self._last
        return last.data if last is not None and last.number == number else None
