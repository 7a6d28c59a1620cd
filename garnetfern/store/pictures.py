"""Picture files on disk: originals by the hash of their bytes, renditions made when first asked for."""

import hashlib
import threading
from collections import OrderedDict
from pathlib import Path

from peewee import SqliteDatabase

from ..core.draw.sample import Picture as Pixels
from ..core.errors import NotFoundError
from ..core.picture import Facts, decode_rendition, encode_rendition
from ..core.resolve.records import Rendition
from .database import now
from .files import sweep, write_whole
from .tables import Picture


class PictureFiles:
    """The store of pictures. Also gives decoded renditions to the core (`PictureSource`)."""

    DECODED_BYTES = 400_000_000

    def __init__(self, db: SqliteDatabase, folder: Path) -> None:
        self._db = db
        self._folder = folder
        self._decoded: OrderedDict[Rendition, Pixels] = OrderedDict()
        self._lock = threading.Lock()
        self._making: dict[Path, threading.Lock] = {}
        sweep(folder)

    def _original(self, hash_: str) -> Path:
        return self._folder / "originals" / hash_[:2] / hash_

    def _rendition(self, rendition: Rendition) -> Path:
        part = "" if rendition.crop is None else "-c" + "-".join(map(str, rendition.crop))
        name = f"{rendition.hash}-{rendition.width}x{rendition.height}{part}.webp"
        return self._folder / "renditions" / rendition.hash[:2] / name

    def keep(self, data: bytes, facts: Facts, look: str = "") -> str:
        """Keep an original; gives its hash. The same bytes are kept once. `look` is JSON of its looks."""
        hash_ = hashlib.sha256(data).hexdigest()
        target = self._original(hash_)
        if not target.exists():
            write_whole(target, data)
        with self._db.atomic("IMMEDIATE"):
            row = {"type": facts.type, "width": facts.width, "height": facts.height, "alpha": facts.alpha, "look": look}
            Picture.insert(hash=hash_, bytes=len(data), added=now(), **row).on_conflict_ignore().execute()
        return hash_

    def original(self, hash_: str) -> bytes:
        """The original bytes. Raises NotFoundError."""
        try:
            return self._original(hash_).read_bytes()
        except FileNotFoundError as error:
            raise NotFoundError(f"The picture {hash_[:10]} is not in the store.") from error

    def find(self, prefix: str) -> Picture | None:
        """The row of the picture whose hash begins so."""
        row: Picture | None = Picture.get_or_none(Picture.hash.startswith(prefix))
        return row

    def set_look(self, hash_: str, look: str) -> None:
        """Keep what was found when a picture was looked at."""
        Picture.update(look=look).where(Picture.hash == hash_).execute()

    def file(self, rendition: Rendition) -> Path:
        """The file of a rendition, made when it is not there yet."""
        target = self._rendition(rendition)
        if target.exists():
            return target
        with self._lock:
            making = self._making.setdefault(target, threading.Lock())
        with making:
            if not target.exists():
                write_whole(target, encode_rendition(self.original(rendition.hash), rendition))
        return target

    def pixels(self, rendition: Rendition) -> Pixels:
        """A decoded rendition."""
        with self._lock:
            if rendition in self._decoded:
                self._decoded.move_to_end(rendition)
                return self._decoded[rendition]
        found = decode_rendition(self.file(rendition).read_bytes())
        with self._lock:
            self._decoded[rendition] = found
            while sum(p.nbytes for p in self._decoded.values()) > self.DECODED_BYTES and len(self._decoded) > 1:
                self._decoded.popitem(last=False)
        return found
