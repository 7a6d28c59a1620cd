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
from .files import sweep, write_whole
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
    return "" if rendition.crop is None else "-c" + "-".join(map(str, rendition.crop))


class PictureFiles:
    """The store of pictures. Also gives decoded renditions to the core (`PictureSource`)."""

    DECODED_BYTES = 400_000_000

    def __init__(self, tables: Tables, folder: Path, draw: Draw) -> None:
        self._tables = tables
        self._folder = folder
        self._draw = draw
        self._decoded: OrderedDict[Rendition, Pixels] = OrderedDict()
        self._lock = threading.Lock()
        self._making: dict[str, threading.Lock] = {}
        self._intact: dict[str, tuple[int, int]] = {}
        sweep(folder)

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
        with self._tables.db.atomic("IMMEDIATE"):
            row = {"type": facts.type, "width": facts.width, "height": facts.height, "alpha": facts.alpha, "look": look}
            known = self._tables.picture.insert(hash=hash_, bytes=len(data), added=now(), **row)
            known.on_conflict_ignore().execute()
        return hash_

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
            data = self._draw(self.original(rendition.hash), rendition)
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
        with self._lock:
            if rendition in self._decoded:
                self._decoded.move_to_end(rendition)
                return self._decoded[rendition]
        found = decode_rendition(self.data(rendition))
        with self._lock:
            self._decoded[rendition] = found
            while sum(p.nbytes for p in self._decoded.values()) > self.DECODED_BYTES and len(self._decoded) > 1:
                self._decoded.popitem(last=False)
        return found
