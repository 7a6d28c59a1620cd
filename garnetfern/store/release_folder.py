"""A release as a folder for the owner's own host: written aside as a whole, then put in place.

Beside the files lies `garnetfern-release.json`: which release it is, what was measured of it, and the SHA-256 of every
file. What else lies in the folder, a host's settings say, is the owner's and comes along.
"""

import fcntl
import json
import os
import shutil
import tempfile
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from pathlib import Path
from typing import Any

from ..core.telling import Told, silent
from .exchange import put_in_place, recover
from .files import sync_folder
from .releases import Release, ReleasedFile
from .trouble import FolderError

FORMAT, VERSION = "garnetfern-release", 1
MANIFEST = "garnetfern-release.json"


@dataclass(frozen=True)
class Standing:
    """What a folder holds: the release's manifest (None: there is none), and the owner's own files by their path."""

    manifest: dict[str, Any] | None
    own: tuple[str, ...]


@dataclass(frozen=True)
class Plan:
    """What writing a release into a folder would do: files that come, that go, that stay as they are, and the owner's
    own, which come along."""

    fresh: tuple[str, ...]
    gone: tuple[str, ...]
    same: tuple[str, ...]
    own: tuple[str, ...]


def _paths(folder: Path) -> list[str]:
    return sorted(p.relative_to(folder).as_posix() for p in folder.rglob("*") if p.is_file() or p.is_symlink())


def _manifest(folder: Path) -> dict[str, Any] | None:
    try:
        found = json.loads((folder / MANIFEST).read_bytes())
        return dict(found) if found["format"] == FORMAT and isinstance(found["files"], dict) else None
    except (OSError, ValueError, KeyError, TypeError):
        return None


def standing(folder: Path, site: str) -> Standing:
    """What a folder holds. Raises FolderError where it is none that a release of this site may be written to."""
    if folder.exists() and not folder.is_dir():
        raise FolderError(f"{folder} is no folder. Nothing was written.")
    there = _paths(folder) if folder.is_dir() else []
    manifest = _manifest(folder)
    if there and manifest is None:
        message = f"{folder} holds {there[0]!r}, and no release of this application. Nothing was written. "
        raise FolderError(message + "Give a folder of its own with --to.")
    if manifest is not None and manifest["site"] != site:
        message = f"{folder} holds the site {manifest['site']!r}, not {site!r}. Nothing was written. "
        raise FolderError(message + "Give another folder with --to.")
    ours = {MANIFEST, *manifest["files"]} if manifest else set()
    return Standing(manifest, tuple(path for path in there if path not in ours))


def planned(folder: Path, site: str, files: dict[str, ReleasedFile]) -> Plan:
    """What writing files into a folder would do. Raises FolderError where that cannot be."""
    found = standing(folder, site)
    clash = next((path for path in found.own if path in files), None)
    if clash is not None:
        message = f"{folder / clash} is not of a release, and this one has a file of that name. Nothing was written. "
        raise FolderError(message + "Move it elsewhere first.")
    before: dict[str, str] = found.manifest["files"] if found.manifest else {}
    return Plan(
        tuple(sorted(path for path, file in files.items() if before.get(path) != file.hash)),
        tuple(sorted(path for path in before if path not in files)),
        tuple(sorted(path for path, file in files.items() if before.get(path) == file.hash)),
        found.own,
    )


@contextmanager
def _alone(parent: Path, target: Path) -> Iterator[None]:
    """Nobody else writes into this place meanwhile. Raises FolderError."""
    handle = os.open(parent, os.O_RDONLY | os.O_CLOEXEC)
    try:
        try:
            fcntl.flock(handle, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except OSError as error:
            raise FolderError(f"{target} is being written by another process. Nothing was written.") from error
        yield
    finally:
        os.close(handle)


def _write(target: Path, data: bytes) -> None:
    target.parent.mkdir(parents=True, exist_ok=True)
    with target.open("wb") as file:
        file.write(data)
        file.flush()
        os.fsync(file.fileno())


def write_release(
    target: Path,
    site: str,
    release: Release,
    files: dict[str, ReleasedFile],
    data: Callable[[ReleasedFile], bytes],
    told: Told = silent,
) -> Plan:
    """Write a release into a folder: whatever happens, it holds what it held or the release, never some of each.

    Raises FolderError or OSError; then the folder is as it was.
    """
    target = target.resolve()
    target.parent.mkdir(parents=True, exist_ok=True)
    with _alone(target.parent, target):
        recover(target)
        for left in target.parent.glob(f".part-{target.name}-*"):
            shutil.rmtree(left, ignore_errors=True)
        plan = planned(target, site, files)
        aside = Path(tempfile.mkdtemp(dir=target.parent, prefix=f".part-{target.name}-"))
        try:
            for n, (path, file) in enumerate(files.items()):
                told(path, n / len(files))
                _write(aside / path, data(file))
            for path in plan.own:
                (aside / path).parent.mkdir(parents=True, exist_ok=True)
                shutil.copy2(target / path, aside / path, follow_symlinks=False)
            _write(aside / MANIFEST, _said(site, release, files))
            aside.chmod(target.stat().st_mode & 0o7777 if target.is_dir() else 0o755)
            for folder in (*(p for p in aside.rglob("*") if p.is_dir()), aside):
                sync_folder(folder)
            put_in_place(aside, target)
        except BaseException:
            shutil.rmtree(aside, ignore_errors=True)
            raise
    return plan


def _said(site: str, release: Release, files: dict[str, ReleasedFile]) -> bytes:
    facts = {name: release.facts.get(name) for name in ("sentence", "readings", "short", "unsure")}
    head = {"format": FORMAT, "version": VERSION, "site": site, "release": release.number, "made": release.made}
    listed = {path: file.hash for path, file in sorted(files.items())}
    return json.dumps({**head, **facts, "files": listed}, indent=1).encode()
