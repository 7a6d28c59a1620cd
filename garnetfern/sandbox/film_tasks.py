"""What a worker can do with somebody's film. It reads the one file that was handed to it, and opens none."""

import io
import os
from collections.abc import Callable, Iterator
from contextlib import closing, suppress
from dataclasses import asdict
from fractions import Fraction
from typing import Any, BinaryIO, cast

import cv2
import numpy as np
from PIL import Image

from ..core.colour.spaces import to_linear
from ..core.document.footage import Footage
from ..core.errors import PictureError
from ..core.film import Leaves, Reel, opened
from ..core.film.coding import CODECS, carried, coded, scaled
from ..core.film.colour import Rgb
from ..core.picture.known import known_of, to_plain
from ..core.reading.flashes import Light, flash_of

Said = dict[str, Any]
Answer = tuple[Said, list[bytes]]

SIDE = 96
"""What flashes is looked for at so many px across."""
SHOWN = 1280.0
"""As wide a film is shown when its flashes are judged, CSS px."""


class Handed(io.RawIOBase):
    """A file that was handed over open, by its number; it is read from any place and never written."""

    def __init__(self, number: int) -> None:
        self._number, self._place = number, 0
        self._size = os.fstat(number).st_size

    def readable(self) -> bool:
        """It is."""
        return True

    def seekable(self) -> bool:
        """It is."""
        return True

    def tell(self) -> int:
        """Where it is read next."""
        return self._place

    def seek(self, offset: int, whence: int = 0) -> int:
        """Go to another place."""
        self._place = max(0, offset + (0, self._place, self._size)[whence])
        return self._place

    def readinto(self, buffer: Any) -> int:
        """Read on."""
        data = os.pread(self._number, len(buffer), self._place)
        buffer[: len(data)] = data
        self._place += len(data)
        return len(data)


def _file(said: Said, blobs: list[bytes]) -> BinaryIO:
    if blobs:
        return io.BytesIO(blobs[0])
    return cast(BinaryIO, io.BufferedReader(Handed(said["file"]), 1 << 18))


def _reel(said: Said, blobs: list[bytes]) -> "closing[Reel | Leaves]":
    return closing(opened(_file(said, blobs), said["name"]))


def _examine(said: Said, blobs: list[bytes]) -> Answer:
    """Facts of a film, and what its first moment looks like."""
    with closing(Reel(_file(said, blobs), said["name"])) as reel:
        facts = reel.examined()
        first = Image.fromarray(next(reel.frames([0.0])))
    return {"facts": asdict(facts), "known": to_plain(known_of(first))}, []


def moving_facts(data: bytes, name: str) -> dict[str, Any]:
    """How long a picture moves, s, and how many pictures it has in a second; nothing of one that does not move, or
    cannot be read to its end: it is a picture all the same."""
    with suppress(PictureError), closing(Leaves(io.BytesIO(data), name)) as leaves:
        if leaves.rate * leaves.duration > 1.5:
            return {"duration": round(leaves.duration, 3), "rate": round(leaves.rate, 3)}
    return {}


def _still(said: Said, blobs: list[bytes]) -> Answer:
    """One moment as a picture, lossless and in square px."""
    with _reel(said, blobs) as reel:
        frame = scaled(next(reel.frames([said["at"]])), tuple(said["size"]))
    out = io.BytesIO()
    Image.fromarray(frame).save(out, "PNG", compress_level=1)
    return {}, [out.getvalue()]


def _strip(said: Said, blobs: list[bytes]) -> Answer:
    """Several moments side by side, as one WebP picture."""
    size = tuple(said["size"])
    with _reel(said, blobs) as reel:
        whole = np.concatenate([scaled(frame, size) for frame in reel.frames(said["times"])], axis=1)
    out = io.BytesIO()
    Image.fromarray(whole).save(out, "WEBP", quality=75, method=2)
    return {}, [out.getvalue()]


_held: dict[tuple[int, ...], "tuple[Reel | Leaves, int]"] = {}
"""The film that was asked for last, and the number of its file: the next moment is often a little further on."""


def _frames(said: Said, _: list[bytes]) -> Answer:
    """Several moments, rising, as files for visitors show them: plain rows of RGB."""
    known = os.fstat(said["file"])
    key = (known.st_dev, known.st_ino, known.st_size, known.st_mtime_ns)
    if key not in _held:
        for reel, number in list(_held.values()):
            reel.close()
            os.close(number)
        _held.clear()
        number = os.dup(said["file"])
        _held[key] = opened(cast(BinaryIO, io.BufferedReader(Handed(number), 1 << 18)), said["name"]), number
    size = tuple(said["size"])
    return {}, [carried(frame, size).tobytes() for frame in _held[key][0].frames(said["times"])]


def _footage(said: Said) -> Footage:
    return Footage(said["start"], said["count"], Fraction(*said["rate"]))


def _code(said: Said, blobs: list[bytes]) -> Answer:
    """A part of a film as a file of one codec."""
    footage = _footage(said)

    def frames() -> Iterator[Rgb]:
        with _reel(said, blobs) as reel:
            yield from reel.frames(footage.moments())

    size = (int(said["size"][0]), int(said["size"][1]))
    told: Callable[[float], None] = said["tell"]
    found = coded(frames, footage.count, footage.rate, size, said["codec"], said["budget"], told)
    return {"fits": found.fits}, [found.data]


def _flashes(said: Said, blobs: list[bytes]) -> Answer:
    """The first moment of a part, gone through twice as it begins anew, at which it flashes too often."""
    footage = _footage(said)

    def lit() -> Iterator[tuple[float, Light]]:
        with _reel(said, blobs) as reel:
            lights = []
            for n, frame in enumerate(reel.frames(footage.moments())):
                small = (SIDE, max(1, round(SIDE * frame.shape[0] / frame.shape[1])))
                levels = np.asarray(cv2.resize(frame, small, interpolation=cv2.INTER_AREA))
                lights.append(to_linear(levels.astype(np.float32)))
                yield float(n / footage.rate), lights[-1]
                said["tell"]((n + 1) / footage.count)
            early = lights[: int(footage.rate) + 1]
            yield from ((float((footage.count + n) / footage.rate), light) for n, light in enumerate(early))

    found = flash_of(lit(), SHOWN / SIDE)
    return {"flash": None if found is None else asdict(found)}, []


FILM_TASKS: dict[str, Callable[[Said, list[bytes]], Answer]] = {
    "film": _examine,
    "still": _still,
    "frames": _frames,
    "strip": _strip,
    "code": _code,
    "flashes": _flashes,
}


def warm_films() -> None:
    """Make and read a film of a few frames, so that nothing has to be opened later on."""
    frames = [np.full((64, 64, 3), n * 20, dtype=np.uint8) for n in range(8)]
    for codec in CODECS:
        found = coded(lambda: iter(frames), 8, Fraction(25), (64, 64), codec, 1_000_000, lambda _: None)
        _examine({"name": "f.mp4"}, [found.data])
