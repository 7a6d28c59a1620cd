"""What can be asked of the room about films."""

from collections.abc import Callable, Sequence
from pathlib import Path
from typing import Any

import numpy as np

from ..core.document import Footage
from ..core.draw.sample import Picture
from ..core.film import FilmFacts
from ..core.film.coding import Codec, Coded
from ..core.limits import ROOM_CODING_SECONDS, ROOM_FILM_SECONDS
from ..core.picture.known import Known, from_plain
from ..core.reading.flashes import Flash
from ..core.resolve.film import Cut
from .wire import Message

Told = Callable[[float], object]
Ask = Callable[..., Message]
"""How the room is asked (`Room._ask`)."""


def _said(footage: Footage) -> dict[str, Any]:
    return {"start": footage.start, "count": footage.count, "rate": footage.rate.as_integer_ratio()}


class FilmRoom:
    """Opens, shows and codes somebody's films in processes of their own, as the room does with pictures.

    A film is given by the path of its file, which the process gets open; it can open nothing else. Every method raises
    PictureError with a sentence, or RoomError.
    """

    def __init__(self, ask: Ask) -> None:
        self._ask = ask

    def look_at(self, film: Path | bytes, name: str) -> tuple[FilmFacts, Known]:
        """Facts of a film that somebody hands in, and what its first moment looks like."""
        path, blobs = (None, [film]) if isinstance(film, bytes) else (film, [])
        answer, _ = self._ask("film", {"name": name}, blobs, name, seconds=ROOM_FILM_SECONDS, path=path)
        return FilmFacts(**answer["facts"]), from_plain(answer["known"])

    def still(self, film: Path, at: float, size: tuple[int, int]) -> bytes:
        """One moment, s, as a PNG of a size in px."""
        return self._ask("still", {"name": "This film", "at": at, "size": size}, [], path=film)[1][0]

    def frames(self, film: Path, times: Sequence[float], size: tuple[int, int]) -> list[Picture]:
        """Several moments, s, rising, at a size in px: RGB."""
        said = {"name": "This film", "times": list(times), "size": size}
        found = self._ask("frames", said, [], path=film)[1]
        return [np.frombuffer(data, dtype=np.uint8).reshape(size[1], size[0], 3) for data in found]

    def strip(self, film: Path, times: Sequence[float], size: tuple[int, int]) -> bytes:
        """Several moments, s, rising, side by side, each at a size in px: a WebP picture."""
        return self._ask("strip", {"name": "This film", "times": list(times), "size": size}, [], path=film)[1][0]

    def code(self, film: Path, cut: Cut, codec: Codec, told: Told) -> Coded:
        """A file of a part of a film, in the background. What `told` raises ends it."""
        said = {**_said(cut.footage), "name": "This film", "codec": codec, "budget": cut.budget}
        said["size"] = (cut.width, cut.height)
        how: dict[str, Any] = {"seconds": ROOM_CODING_SECONDS, "hurry": False, "told": told}
        answer, found = self._ask("code", said, [], path=film, **how)
        return Coded(found[0], codec, bool(answer["fits"]))

    def flash(self, film: Path, footage: Footage, told: Told) -> Flash | None:
        """The first moment at which a part of a film flashes too often, in the background."""
        said = {**_said(footage), "name": "This film"}
        how: dict[str, Any] = {"seconds": ROOM_CODING_SECONDS, "hurry": False, "told": told}
        answer, _ = self._ask("flashes", said, [], path=film, **how)
        return None if answer["flash"] is None else Flash(**answer["flash"])
