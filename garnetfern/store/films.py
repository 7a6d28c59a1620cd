"""Moments of films as pictures."""

import threading
from collections import OrderedDict
from collections.abc import Callable, Sequence
from pathlib import Path
from typing import Protocol

from ..core.draw.sample import Picture as Pixels
from ..core.errors import PictureError
from ..core.resolve.sheets import Rendition


class FilmOpener(Protocol):
    """What opens films."""

    def still(self, film: Path, at: float, size: tuple[int, int]) -> bytes:
        """One moment, s, as a PNG of a size in px."""
        ...

    def frames(self, film: Path, times: Sequence[float], size: tuple[int, int]) -> list[Pixels]:
        """Several moments, s, rising, at a size in px."""
        ...


class _Nothing:
    """Opens no film."""

    def still(self, film: Path, at: float, size: tuple[int, int]) -> bytes:
        raise PictureError(f"Films are not opened here ({film.name[:10]} at {at} s, {size}).")

    def frames(self, film: Path, times: Sequence[float], size: tuple[int, int]) -> list[Pixels]:
        raise PictureError(f"Films are not opened here ({film.name[:10]}, {len(times)} moments, {size}).")


NO_FILMS: FilmOpener = _Nothing()


class FilmStills:
    """Gives stills and frames; `find` gives a film's file by its hash, and its size in px."""

    STILLS = 6
    """So many stills are kept at hand: one is asked for again for each size and kind of its files."""

    def __init__(self, films: FilmOpener, find: Callable[[str], tuple[Path, int, int]]) -> None:
        self._films, self._find = films, find
        self._stills: OrderedDict[tuple[str, float], bytes] = OrderedDict()
        self._lock = threading.Lock()

    def still(self, hash_: str, at: float) -> bytes:
        """The picture at a moment of a film, s, as a file in the film's size. Raises PictureError, NotFoundError or
        DamagedError."""
        key = (hash_, at)
        with self._lock:
            if key in self._stills:
                self._stills.move_to_end(key)
                return self._stills[key]
        path, width, height = self._find(hash_)
        found = self._films.still(path, at, (width, height))
        with self._lock:
            self._stills[key] = found
            while len(self._stills) > self.STILLS:
                self._stills.popitem(last=False)
        return found

    def frame(self, rendition: Rendition) -> Pixels:
        """A frame at a size."""
        path, _, _ = self._find(rendition.hash)
        return self._films.frames(path, [rendition.at or 0.0], (rendition.width, rendition.height))[0]
