"""Picture files on disk: originals by the hash of their bytes, renditions made when first asked for.

Hashes are checked when a file is read. A rendition that differs from its own is made anew; an original that does is
never handed out, and heals when the same file is brought again.
"""

import hashlib
import logging
import threading
from collections import OrderedDict
from collections.abc import Callable
from pathlib import Path

from ..core.draw.sample import Picture as Pixels
from ..core.errors import NotFoundError
from ..core.picture import Facts, decode_rendition
from ..core.resolve.sheets import Rendition
from .files import Incoming, write_whole
from .films import NO_FILMS, FilmOpener, FilmStills
from .migrations import now
from .tables import Picture, Tables
from .trouble import DamagedError, refusal_of

log = logging.getLogger("garnetfern")
Draw = Callable[[bytes, Rendition], bytes]
"""Makes the file of a rendition from an original."""


def hash_of(data: bytes) -> str:
    """SHA-256, hexadecimal."""
    return hashlib.sha256(data).hexdigest()


def part_of(rendition: Rendition) -> str:
    """The part of the original that a rendition shows, as part of its name."""
    crop = "" if rendition.crop is None else "-c" + "-".join(map(str, rendition.crop))
    return crop if rendition.at is None else f"{crop}-t{rendition.at:g}"


class PictureFiles:
    """The store of pictures. Also gives decoded renditions to the core (`PictureSource`)."""

    DECODED_BYTES = 400_000_000

    def __init__(self, tables: Tables, folder: Path, draw: Draw, films: FilmOpener = NO_FILMS) -> None:
        self._tables = tables
        self._folder = folder
        self._draw = draw
        self._films = FilmStills(films, self._film)
        self._decoded: OrderedDict[tuple[str, Rendition], Pixels] = OrderedDict()
        self._lock = threading.Lock()
        self._making: dict[str, threading.Lock] = {}
        self._intact: dict[str, tuple[int, int]] = {}

    def original_path(self, hash_: str) -> Path:
        """Where an original lies."""
        return self._folder / "originals" / hash_[:2] / hash_

    def _name(self, rendition: Rendition) -> str:
        return f"{rendition.hash}-{rendition.width}x{rendition.height}{part_of(rendition)}.webp"

    def rendition_path(self, name: str) -> Path:
        """Where a rendition of this name lies."""
        return self._folder / "renditions" / name[:2] / name

    def keep(self, data: bytes, facts: Facts, look: str = "") -> str:
        """Keep an original; gives its hash. The same bytes are kept once. `look` is JSON of its looks."""
        hash_ = hash_of(data)
        target = self.original_path(hash_)
        if not target.exists() or hash_of(target.read_bytes()) != hash_:
            write_whole(target, data)
        self._enter(hash_, len(data), facts, look)
        return hash_

    def keep_file(self, came: Incoming, facts: Facts, look: str = "") -> str:
        """The same of a file that came in by parts."""
        came.settle(self.original_path(came.hash))
        self._enter(came.hash, came.size, facts, look)
        return came.hash

    def _enter(self, hash_: str, size: int, facts: Facts, look: str) -> None:
        with self._tables.db.atomic("IMMEDIATE"):
            row = {name: getattr(facts, name) for name in ("type", "width", "height", "alpha", "duration", "rate")}
            known = self._tables.picture.insert(hash=hash_, bytes=size, added=now(), look=look, **row)
            known.on_conflict_ignore().execute()

    def incoming(self) -> Incoming:
        """A file that comes in by parts, beside the others until it is kept."""
        return Incoming(self._folder / "originals")

    def _film(self, hash_: str) -> tuple[Path, int, int]:
        """A whole film's file, and its size in px. Raises NotFoundError or DamagedError."""
        row = self.find(hash_)
        if row is None or not self.intact(hash_):
            self.original(hash_)
        if row is None:
            raise NotFoundError("There is no such film.")
        return self.original_path(hash_), row.width, row.height

    def film_path(self, hash_: str) -> Path:
        """Where a film's file lies, which is whole. Raises NotFoundError or DamagedError."""
        return self._film(hash_)[0]

    def source(self, hash_: str, at: float | None) -> bytes:
        """What renditions are made from: the original; of a film, the picture at a moment, s."""
        return self.original(hash_) if at is None else self._films.still(hash_, at)

    def first(self, hash_: str) -> bytes:
        """A picture's original, or a film's first moment."""
        row = self.find(hash_)
        return self.source(hash_, 0.0 if row is not None and row.duration else None)

    def original(self, hash_: str) -> bytes:
        """The original bytes. Raises NotFoundError, or DamagedError where they are not what they were."""
        try:
            data = self.original_path(hash_).read_bytes()
        except FileNotFoundError as error:
            raise NotFoundError(f"The picture {hash_[:10]} is not in the store; its file is missing.") from error
        if hash_of(data) != hash_:
            self._intact.pop(hash_, None)
            raise DamagedError(
                f"The file of the picture {hash_[:10]} is damaged on the disk: its bytes are not what they were. "
                "Bring the same file again to heal it. Nothing was changed."
            )
        return data

    def intact(self, hash_: str) -> bool:
        """Whether an original is there and whole. Looked at anew where its file's time or size has changed."""
        try:
            found = self.original_path(hash_).stat()
            stamp = (found.st_mtime_ns, found.st_size)
            if self._intact.get(hash_) != stamp:
                self.original(hash_)
                self._intact[hash_] = stamp
        except (NotFoundError, DamagedError, OSError):
            return False
        return True

    def find(self, prefix: str) -> Picture | None:
        """The row of the picture whose hash begins so."""
        table = self._tables.picture
        row: Picture | None = table.get_or_none(table.hash.startswith(prefix))
        return row

    def set_look(self, hash_: str, look: str) -> None:
        """Keep what was found when a picture was looked at, if that can be kept now."""
        table = self._tables.picture
        self._if_it_can_be_kept(lambda: table.update(look=look).where(table.hash == hash_))

    def _if_it_can_be_kept(self, query: Callable[[], object]) -> None:
        """What can be found anew is not worth an error while the disk refuses to keep it."""
        try:
            with self._tables.db.atomic("IMMEDIATE"):
                query().execute()  # type: ignore[attr-defined]
        except Exception as error:
            if refusal_of(error) is None:
                raise
            log.warning("not kept for now: %s", type(error).__name__)

    def _kept(self, name: str) -> bytes | None:
        """The content of a rendition's file, where it is what it was when it was made."""
        row = self._tables.made.get_or_none(self._tables.made.name == name)
        try:
            data = self.rendition_path(name).read_bytes() if row is not None else b""
        except OSError:
            return None
        return data if row is not None and hash_of(data) == row.hash else None

    def data(self, rendition: Rendition) -> bytes:
        """The content of a rendition's file, made where it is not there or damaged. Given even if it cannot be kept."""
        name = self._name(rendition)
        kept = self._kept(name)
        if kept is not None:
            return kept
        with self._lock:
            making = self._making.setdefault(name, threading.Lock())
        with making:
            kept = self._kept(name)
            if kept is not None:
                return kept
            data = self._draw(self.source(rendition.hash, rendition.at), rendition)
            self._keep_rendition(name, data)
        with self._lock:
            self._making.pop(name, None)
        return data

    def _keep_rendition(self, name: str, data: bytes) -> None:
        try:
            write_whole(self.rendition_path(name), data)
        except OSError as error:
            if refusal_of(error) is None:
                raise
            return
        made = {"name": name, "hash": hash_of(data)}
        self._if_it_can_be_kept(lambda: self._tables.made.insert(**made).on_conflict_replace())

    def pixels(self, rendition: Rendition) -> Pixels:
        """A decoded rendition."""
        return self._at_hand(("picture", rendition), lambda: decode_rendition(self.data(rendition)))

    def frame(self, rendition: Rendition) -> Pixels:
        """A frame of a film."""
        return self._at_hand(("frame", rendition), lambda: self._films.frame(rendition))

    def _at_hand(self, key: tuple[str, Rendition], make: Callable[[], Pixels]) -> Pixels:
        with self._lock:
            if key in self._decoded:
                self._decoded.move_to_end(key)
                return self._decoded[key]
        found = make()
        with self._lock:
            self._decoded[key] = found
            while sum(p.nbytes for p in self._decoded.values()) > self.DECODED_BYTES and len(self._decoded) > 1:
                self._decoded.popitem(last=False)
        return found
