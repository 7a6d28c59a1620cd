"""Writing files so that a crash leaves the old one or the new one, never half of one."""

import hashlib
import os
import tempfile
from pathlib import Path


def sync_folder(folder: Path) -> None:
    """Have the system write down which files a folder holds, so that a rename outlives a power cut."""
    handle = os.open(folder, os.O_RDONLY | os.O_CLOEXEC)
    try:
        os.fsync(handle)
    finally:
        os.close(handle)


def write_whole(target: Path, data: bytes) -> None:
    """Write aside, sync, rename, sync the folder."""
    target.parent.mkdir(parents=True, exist_ok=True)
    handle, name = tempfile.mkstemp(dir=target.parent, prefix=".part-")
    try:
        with os.fdopen(handle, "wb") as file:
            file.write(data)
            file.flush()
            os.fsync(file.fileno())
        os.replace(name, target)
        sync_folder(target.parent)
    except BaseException:
        Path(name).unlink(missing_ok=True)
        raise


class Incoming:
    """A file that comes in by parts: written aside, with its hash, until it is settled or dropped."""

    def __init__(self, folder: Path) -> None:
        folder.mkdir(parents=True, exist_ok=True)
        handle, name = tempfile.mkstemp(dir=folder, prefix=".part-")
        self.path, self.size = Path(name), 0
        self._file, self._digest = os.fdopen(handle, "wb"), hashlib.sha256()

    def write(self, data: bytes) -> None:
        """The next part."""
        self._file.write(data)
        self._digest.update(data)
        self.size += len(data)

    def close(self) -> None:
        """All has come."""
        self._file.flush()
        os.fsync(self._file.fileno())
        self._file.close()

    @property
    def hash(self) -> str:
        """SHA-256 of what has come, hexadecimal."""
        return self._digest.hexdigest()

    def settle(self, target: Path) -> None:
        """Put it where it belongs, in place of what may be there."""
        target.parent.mkdir(parents=True, exist_ok=True)
        os.replace(self.path, target)
        sync_folder(target.parent)

    def drop(self) -> None:
        """Leave nothing of it, unless it was settled."""
        self._file.close()
        self.path.unlink(missing_ok=True)


def sweep(folder: Path) -> int:
    """Remove what an interrupted write left behind; gives how many files that were."""
    found = list(folder.glob("**/.part-*"))
    for file in found:
        file.unlink(missing_ok=True)
    return len(found)
