"""What is slow to make and the same for all workers of a test run is made by the first that needs it."""

import fcntl
import os
from collections.abc import Callable
from pathlib import Path

import pytest


def made_once(temporary: pytest.TempPathFactory, name: str, make: Callable[[Path], None]) -> Path:
    """A folder that `make` has filled, in this worker or in another, which this one then waited for."""
    base = temporary.getbasetemp()
    shared = base.parent if os.environ.get("PYTEST_XDIST_WORKER") else base
    folder = shared / name
    with (shared / f"{name}.lock").open("w") as lock:
        fcntl.flock(lock, fcntl.LOCK_EX)
        if not folder.exists():
            making = shared / f"{name}.part"
            making.mkdir()
            make(making)
            making.rename(folder)
    return folder
