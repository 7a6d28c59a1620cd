"""Writing files so that a crash leaves the old one or the new one, never half of one."""

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


def sweep(folder: Path) -> int:
    """Remove what an interrupted write left behind; gives how many files that were."""
    found = list(folder.glob("**/.part-*"))
    for file in found:
        file.unlink(missing_ok=True)
    return len(found)
