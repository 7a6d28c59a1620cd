"""The room in which bytes from elsewhere are opened: what can be asked of it, and the sentences when it cannot be."""

import atexit
import os
import threading
from collections.abc import Callable, Sequence
from pathlib import Path
from typing import Any

from ..core import errors
from ..core.document import Crop, Screen, Slot
from ..core.errors import FontError, GarnetfernError, PictureError, SiteFileError, StylesheetError
from ..core.fontfile import TakenFont
from ..core.fontfile.facts import facts_from_plain
from ..core.limits import MB, ROOM_FONT_SECONDS, ROOM_MEMORY, ROOM_SECONDS, ROOM_UPLOAD_SECONDS
from ..core.picture import Facts
from ..core.picture.budget import FileKind
from ..core.picture.known import Known, from_plain, seams_from_plain
from ..core.picture.tiles import Mending, Seams
from ..core.resolve.sheets import Rendition
from ..core.stylesheet import Brought
from ..core.stylesheet.letters import Fonts
from ..core.stylesheet.plain import brought_from_plain
from .films import FilmRoom
from .pool import Asked, OverrunError, Pool
from .wire import Message

REASONS = {
    "time": "takes longer to open than {seconds:g} seconds, which is the most",
    "memory": f"needs more memory to open than {ROOM_MEMORY // MB:,} MB, which is the most",
    "died": "cannot be opened: what reads it breaks down over it",
}

REFUSALS = (PictureError, SiteFileError, StylesheetError, FontError)


def _said(rendition: Rendition) -> dict[str, Any]:
    crop = None if rendition.crop is None else list(rendition.crop)
    return {
        "hash": rendition.hash,
        "width": rendition.width,
        "height": rendition.height,
        "lossless": rendition.lossless,
        "crop": crop,
    }


class Room:
    """Opens, draws and encodes somebody's bytes in processes of their own.

    Every method raises PictureError (or SiteFileError) with a sentence where the bytes cannot be opened within the
    limits, whatever happened to the process, and RoomError where no process can be started.
    """

    def __init__(self, size: int | None = None) -> None:
        self.pool = Pool(size or max(1, (os.cpu_count() or 2) - 1))
        self.films = FilmRoom(self._ask)

    def _ask(
        self,
        task: str,
        said: dict[str, Any],
        blobs: list[bytes],
        name: str = "This picture",
        seconds: float = ROOM_SECONDS,
        hurry: bool = True,
        refusal: type[GarnetfernError] = PictureError,
        path: Path | None = None,
        told: Callable[[float], object] = lambda _: None,
    ) -> Message:
        try:
            answer, found = self.pool.ask(Asked(task, said, blobs, seconds, hurry, path, told))
        except OverrunError as overrun:
            reason = REASONS[overrun.why].format(seconds=seconds)
            raise refusal(f"{name} {reason}. It was not taken; nothing was changed.") from overrun
        if "refused" in answer:
            cls = getattr(errors, str(answer["refused"]), refusal)
            if not (isinstance(cls, type) and issubclass(cls, REFUSALS)):
                cls = refusal
            raise cls(str(answer["message"]), str(answer["path"]))
        if "failed" in answer:
            reason = REASONS["memory"] if answer["failed"] == "memory" else f"cannot be opened ({answer['what']})"
            raise refusal(f"{name} {reason}. It was not taken; nothing was changed.")
        return answer, found

    def examine(self, data: bytes, name: str) -> Facts:
        """Facts of a picture that somebody hands in, found by decoding all of it."""
        answer, _ = self._ask("examine", {"name": name, "look": False}, [data], name, ROOM_UPLOAD_SECONDS)
        return Facts(**answer["facts"])

    def look_at(self, data: bytes, name: str) -> tuple[Facts, Known]:
        """The same, with what the picture looks like."""
        answer, _ = self._ask("examine", {"name": name, "look": True}, [data], name, ROOM_UPLOAD_SECONDS)
        return Facts(**answer["facts"]), from_plain(answer["known"])

    def known(self, data: bytes) -> Known:
        """What a picture looks like that was taken before."""
        return from_plain(self._ask("known", {}, [data])[0]["known"])

    def rendition(self, original: bytes, rendition: Rendition) -> bytes:
        """A WebP file of a picture at a rendition's size."""
        return self._ask("rendition", _said(rendition), [original])[1][0]

    def encode(self, original: bytes, rendition: Rendition, kind: FileKind, quality: int) -> bytes:
        """A rendition encoded at one quality, in the background."""
        said = {**_said(rendition), "kind": kind, "quality": quality}
        return self._ask("encode", said, [original], hurry=False)[1][0]

    def ssim(self, original: bytes, rendition: Rendition, encoded: bytes) -> float:
        """How alike a rendition and a file of it are, in the background."""
        return float(self._ask("ssim", _said(rendition), [original, encoded], hurry=False)[0]["ssim"])

    def mend(self, original: bytes, name: str, way: Mending) -> tuple[bytes, Seams, Seams]:
        """A mended copy of a tile as PNG, and its seams before and after."""
        answer, found = self._ask("mend", {"name": name, "way": way}, [original], name)
        return found[0], seams_from_plain(answer["before"]), seams_from_plain(answer["after"])

    def slot_file(self, original: bytes, slot: Slot, crop: Crop, kind: str) -> bytes:
        """A picture cut for a slot, as a file."""
        said = {"slot": slot.model_dump(), "crop": crop.model_dump(), "kind": kind}
        return self._ask("slot", said, [original])[1][0]

    def unfold(self, data: bytes) -> dict[str, bytes]:
        """The members of a zip by name, checked before anything is unpacked. Raises SiteFileError."""
        answer, found = self._ask("unfold", {}, [data], "The site file", refusal=SiteFileError)
        return dict(zip(answer["names"], found, strict=True))

    def bring(
        self, files: Sequence[tuple[str, bytes]], screens: Sequence[Screen], fonts: Fonts
    ) -> tuple[Brought, dict[str, bytes], dict[str, bytes]]:
        """A stylesheet, or a page with its stylesheets, read; and the pictures and fonts that came with it. Raises
        StylesheetError."""
        said = {
            "names": [name for name, _ in files],
            "screens": [screen.model_dump() for screen in screens],
            "fonts": {"named": dict(fonts.named), "generic": dict(fonts.generic)},
        }
        name = files[0][0] if files else "This"
        answer, found = self._ask("bring", said, [data for _, data in files], name, refusal=StylesheetError)
        names = [*answer["names"], *answer["fonts"]]
        came = list(zip(names, found, strict=True))
        pictures = len(answer["names"])
        return brought_from_plain(answer["read"]), dict(came[:pictures]), dict(came[pictures:])

    def fonts(self, data: bytes, name: str) -> list[TakenFont]:
        """The fonts of a file that somebody brings, tried out and written as WOFF2. Raises FontError."""
        answer, found = self._ask("fonts", {"name": name}, [data], name, ROOM_FONT_SECONDS, refusal=FontError)
        facts = [facts_from_plain(plain) for plain in answer["facts"]]
        return [TakenFont(written, one) for written, one in zip(found, facts, strict=True)]

    def close(self) -> None:
        """End its processes."""
        self.pool.close()


_shared: dict[int, Room] = {}
_making = threading.Lock()


def shared_room() -> Room:
    """The room of this process, made when it is first asked for. After a fork the child has one of its own."""
    with _making:
        here = os.getpid()
        if here not in _shared:
            _shared.clear()
            _shared[here] = Room()
            atexit.register(_shared[here].close)
        return _shared[here]
