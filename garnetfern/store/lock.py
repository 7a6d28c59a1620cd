"""One process for each data folder. The lock is the system's and dies with whoever holds it."""

import fcntl
import os
from pathlib import Path

from .migrations import now
from .trouble import FolderError

NAME = "in-use"


class FolderLock:
    """Holds a data folder. Raises FolderError where another process (or another part of this one) does."""

    def __init__(self, folder: Path) -> None:
        file = folder / NAME
        self._handle = os.open(file, os.O_RDWR | os.O_CREAT | os.O_CLOEXEC, 0o644)
        try:
            fcntl.flock(self._handle, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except OSError as error:
            holder = os.pread(self._handle, 200, 0).decode(errors="replace").strip() or "another process"
            os.close(self._handle)
            message = f"{folder} is in use by {holder}. End it first, or give another folder with --data."
            raise FolderError(message) from error
        os.ftruncate(self._handle, 0)
        os.pwrite(self._handle, f"process {os.getpid()}, since {now()}\n".encode(), 0)

    def release(self) -> None:
        """Let go of it."""
        if self._handle >= 0:
            os.ftruncate(self._handle, 0)
            os.close(self._handle)
            self._handle = -1
