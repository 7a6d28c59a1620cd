"""What the disk or the database refuses, in words; and folders that are not ours or not whole.

StoreError
├─ FolderError     a data folder that cannot be opened: damaged, newer, not ours, in use
├─ DamagedError    a file whose content is not what it was
└─ RefusedError    the disk or the system refuses: full, read-only, no rights, too many open files
"""

import errno
import sqlite3

from peewee import PeeweeException

from ..core.errors import GarnetfernError


class StoreError(GarnetfernError):
    """Something about what is kept on disk."""

    kind = "store"


class FolderError(StoreError):
    """The data folder cannot be opened; nothing in it was touched."""

    kind = "folder"


class DamagedError(StoreError):
    """A file is not what it was when it was kept."""

    kind = "damaged"


class RefusedError(StoreError):
    """The system refuses to keep or to read something. What was kept before is safe."""

    kind = "disk"


KEPT = "What was kept before is safe; this was not kept. It goes on as soon as the cause is gone."
_BY_NUMBER = {
    errno.ENOSPC: "The disk is full.",
    errno.EDQUOT: "The disk's quota is used up.",
    errno.EFBIG: "The system does not let files grow any larger.",
    errno.EROFS: "The data folder is on a disk that can only be read.",
    errno.EACCES: "The application has lost the right to use its data folder.",
    errno.EPERM: "The application has lost the right to use its data folder.",
    errno.EMFILE: "Too many files are open.",
    errno.ENFILE: "Too many files are open on this machine.",
    errno.ENOMEM: "The machine has no memory left.",
    errno.EIO: "The disk cannot be read or written.",
    errno.ENOENT: "A file or folder of the data folder is missing.",
}
_BY_TEXT = (
    ("full", "The disk is full."),
    ("readonly", "The data folder can only be read."),
    ("read-only", "The data folder can only be read."),
    ("locked", "The database is busy for longer than it should be."),
    ("unable to open", "The database cannot be opened."),
    ("malformed", "The database is damaged; run `garnetfern verify`."),
    ("not a database", "The database is damaged; run `garnetfern verify`."),
    ("disk i/o", "The disk cannot be read or written."),
)


def refusal_of(error: BaseException) -> RefusedError | None:
    """The system's refusal in words; None where the error is none of the disk's or the database's."""
    if isinstance(error, MemoryError):
        return RefusedError(f"{_BY_NUMBER[errno.ENOMEM]} {KEPT}")
    if isinstance(error, PeeweeException | sqlite3.Error):
        text = str(error).lower()
        said = next((words for part, words in _BY_TEXT if part in text), None)
        return RefusedError(f"{said} {KEPT}") if said else None
    if isinstance(error, OSError) and error.errno in _BY_NUMBER:
        return RefusedError(f"{_BY_NUMBER[error.errno]} {KEPT}")
    return None
