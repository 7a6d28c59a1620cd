"""Files encoded to a budget, on disk by the hash of their content, with what is known of them in the database."""

from dataclasses import dataclass
from pathlib import Path

from ..core.picture.budget import Encoded
from ..core.resolve.sheets import Rendition
from .files import write_whole
from .pictures import hash_of
from .tables import Fitted, Tables
from .trouble import DamagedError


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
    part += "" if rendition.at is None else f"t{rendition.at:g}"
    return f"{rendition.hash}/{rendition.width}x{rendition.height}/{part}/{kind}/{budget}"


class FittedFiles:
    """The store of fitted files."""

    def __init__(self, tables: Tables, folder: Path) -> None:
        self._db, self._rows = tables.db, tables.fitted
        self._folder = folder
        self._seen: dict[str, tuple[int, int]] = {}

    def path(self, hash_: str) -> Path:
        """Where a file of this content lies."""
        return self._folder / hash_[:2] / hash_

    def _whole(self, hash_: str) -> bool:
        """Whether a file is there and what it was. Read again only where its time or size has changed."""
        try:
            found = self.path(hash_).stat()
            stamp = (found.st_mtime_ns, found.st_size)
            if self._seen.get(hash_) != stamp:
                if hash_of(self.path(hash_).read_bytes()) != hash_:
                    return False
                self._seen[hash_] = stamp
        except OSError:
            return False
        return True

    def whole_path(self, prefix: str) -> Path | None:
        """Where the file lies whose hash begins so, if it is there and whole."""
        row: Fitted | None = self._rows.get_or_none(self._rows.hash.startswith(prefix))
        return self.path(row.hash) if row is not None and self._whole(row.hash) else None

    def find(self, key: str) -> FittedFile | None:
        """The file made for a key, if it is there."""
        row: Fitted | None = self._rows.get_or_none(self._rows.key == key)
        if row is None or not self._whole(row.hash):
            return None
        return FittedFile(row.hash, row.quality, row.ssim, row.bytes, row.fits)

    def keep(self, key: str, encoded: Encoded) -> FittedFile:
        """Keep a file; the row is written after the file lies whole on disk."""
        return self.keep_data(key, encoded.data, encoded.fits, encoded.quality, encoded.ssim)

    def keep_data(self, key: str, data: bytes, fits: bool, quality: int = 0, ssim: float = 0.0) -> FittedFile:
        """The same of any content; a film's has no one quality."""
        hash_ = hash_of(data)
        write_whole(self.path(hash_), data)
        row = {"hash": hash_, "quality": quality, "ssim": ssim, "bytes": len(data)}
        with self._db.atomic("IMMEDIATE"):
            self._rows.insert(key=key, fits=fits, **row).on_conflict_replace().execute()
        return FittedFile(hash_, quality, ssim, len(data), fits)

    def data(self, file: FittedFile) -> bytes:
        """The bytes of a kept file. Raises DamagedError where they are not what they were; it is made anew then."""
        data = self.path(file.hash).read_bytes()
        if hash_of(data) != file.hash:
            self._seen.pop(file.hash, None)
            self.path(file.hash).unlink(missing_ok=True)
            raise DamagedError("A fitted picture was damaged on the disk and is made anew; fit the pictures again.")
        return data
