"""Putting a folder in the place of another so that at every moment one of the two stands there, whole."""

import ctypes
import errno
import os
import shutil
from pathlib import Path

from .files import sync_folder

AT_FDCWD, RENAME_EXCHANGE = -100, 2
UNABLE = frozenset({errno.ENOSYS, errno.EINVAL, errno.ENOTSUP})
"""What systems and disks say that cannot exchange."""


def _exchange(one: Path, other: Path) -> bool:
    """Exchange two folders at once (Linux, renameat2); gives whether that can be done here."""
    rename = getattr(ctypes.CDLL(None, use_errno=True), "renameat2", None)
    if rename is None:
        return False
    if rename(AT_FDCWD, os.fsencode(one), AT_FDCWD, os.fsencode(other), RENAME_EXCHANGE) == 0:
        return True
    code = ctypes.get_errno()
    if code in UNABLE:
        return False
    raise OSError(code, os.strerror(code), str(other))


def _set_aside(target: Path) -> Path:
    return target.with_name(f".before-{target.name}")


def recover(target: Path) -> None:
    """Where a crash came between two renames, put back what stood there."""
    old = _set_aside(target)
    if old.is_dir():
        if target.exists():
            shutil.rmtree(old)
        else:
            os.rename(old, target)


def put_in_place(fresh: Path, target: Path) -> None:
    """Put a folder in the place of another, which goes. Where the system cannot exchange two folders at once there is a
    moment without either; a crash in it is mended by `recover`."""
    if not target.exists() or not any(target.iterdir()):
        os.replace(fresh, target)
        sync_folder(target.parent)
        return
    if _exchange(fresh, target):
        sync_folder(target.parent)
        shutil.rmtree(fresh)
        return
    old = _set_aside(target)
    os.rename(target, old)
    os.rename(fresh, target)
    sync_folder(target.parent)
    shutil.rmtree(old)
