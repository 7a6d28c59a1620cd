"""Files encoded to a budget, on disk by the hash of their content, with what is known of them in the database."""

import hashlib
from dataclasses import dataclass
from pathlib import Path

from peewee import SqliteDatabase

from ..core.picture.budget import Encoded
from ..core.resolve.records import Rendition
from .files import sweep, write_whole
from .tables import Fitted


@dataclass(frozen=True)
class FittedFile:
    """A kept file: the hash of its content, quality, SSIM, weight in bytes, and whether it fits its budget."""

    hash: str
    quality: int
    ssim: float
    bytes: int
    fits: bool


def fitted_key(rendition: Rendition, kind: str, budget: int) -> str:
    """What a fitted file was made from."""
    part = "" if rendition.crop is None else "-".join(map(str, rendition.crop))
    return f"{rendition.hash}/{rendition.width}x{rendition.height}/{part}/{kind}/{budget}"


class FittedFiles:
    """The store of fitted files."""

    def __init__(self, db: SqliteDatabase, folder: Path) -> None:
        self._db = db
        self._folder = folder
        sweep(folder)

    def _path(self, hash_: str) -> Path:
        return self._folder / hash_[:2] / hash_

    def find(self, key: str) -> FittedFile | None:
        """The file made for a key, if it is there."""
        row: Fitted | None = Fitted.get_or_none(Fitted.key == key)
        if row is None or not self._path(row.hash).exists():
            return None
        return FittedFile(row.hash, row.quality, row.ssim, row.bytes, row.fits)

    def keep(self, key: str, encoded: Encoded) -> FittedFile:
        """Keep a file; the row is written after the file lies whole on disk."""
        hash_ = hashlib.sha256(encoded.data).hexdigest()
        write_whole(self._path(hash_), encoded.data)
        row = {"hash": hash_, "quality": encoded.quality, "ssim": encoded.ssim, "bytes": len(encoded.data)}
        with self._db.atomic("IMMEDIATE"):
            Fitted.insert(key=key, fits=encoded.fits, **row).on_conflict_replace().execute()
        return FittedFile(hash_, encoded.quality, encoded.ssim, len(encoded.data), encoded.fits)

    def data(self, file: FittedFile) -> bytes:
        """The bytes of a kept file."""
        return self._path(file.hash).read_bytes()
