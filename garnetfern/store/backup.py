"""A backup of a data folder as one open file, made while it is in use, and brought back.

A zip: `manifest.json` (format, version, when, revision, every member's size and SHA-256), `garnetfern.sqlite`, the
originals of its pictures, owners' fonts and the files of its releases. What can be made anew (renditions, fitted
files) is left out.
"""

import hashlib
import json
import os
import shutil
import tempfile
import zipfile
from collections.abc import Callable
from contextlib import closing
from pathlib import Path
from typing import Any, NamedTuple

from ..core.limits import MB
from .files import sync_folder
from .migrations import now
from .opening import DATABASE, copy_database, inspect, read_only
from .references import has_fonts
from .releases import released
from .sites import standing
from .trouble import FolderError
from .verify import verify

FORMAT, VERSION = "garnetfern-backup", 1
MANIFEST = "manifest.json"
MAX_MANIFEST = 64 * MB


class Kind(NamedTuple):
    """Files of a backup that are called by the hash of their content: what they are, how one heals, where they lie."""

    what: str
    heal: str
    place: str


KINDS = {
    "originals": Kind("picture", "Bring the same file again to heal it, then make the backup.", "pictures/originals"),
    "fonts": Kind("font", "Bring the same file again to heal it, then make the backup.", "fonts"),
    "releases": Kind("released file", "Put the site live once more, then make the backup.", "releases"),
}
Progress = Callable[[str, float], None]


def _told(revision: int, members: list[dict[str, Any]]) -> bytes:
    manifest = {"format": FORMAT, "version": VERSION, "made": now(), "revision": revision, "members": members}
    return json.dumps(manifest, indent=1).encode()


def _add(archive: zipfile.ZipFile, name: str, file: Path) -> dict[str, Any]:
    """Put a file into the archive as it is read; gives its line of the manifest."""
    digest, size = hashlib.sha256(), 0
    entry = zipfile.ZipInfo(name, (1980, 1, 1, 0, 0, 0))
    entry.compress_type = zipfile.ZIP_DEFLATED if name == DATABASE else zipfile.ZIP_STORED
    entry.external_attr = 0o644 << 16
    with file.open("rb") as source, archive.open(entry, "w", force_zip64=True) as target:
        while chunk := source.read(4 * MB):
            digest.update(chunk)
            size += len(chunk)
            target.write(chunk)
    return {"name": name, "bytes": size, "sha256": digest.hexdigest()}


def _add_kept(archive: zipfile.ZipFile, folder: Path, kind: str, hash_: str) -> dict[str, Any]:
    """Put a file that is called by its hash into the archive. Raises FolderError where it is not what it was."""
    what, heal, place = KINDS[kind]
    try:
        line = _add(archive, f"{kind}/{hash_}", folder / place / hash_[:2] / hash_)
    except OSError as error:
        message = f"The {what} {hash_[:10]} cannot be read ({error.strerror}); no backup was made."
        raise FolderError(message) from error
    if line["sha256"] != hash_:
        message = f"The {what} {hash_[:10]} is damaged on the disk; no backup was made. {heal}"
        raise FolderError(message)
    return line


def backup(folder: Path, target: Path, progress: Progress = lambda _, __: None) -> dict[str, int]:
    """Write a backup of a folder, which may be in use; gives its revision and how many pictures it holds.

    The database is copied first; every picture that the copy knows was on the disk before. Raises FolderError.
    """
    inspect(folder / DATABASE)
    with tempfile.TemporaryDirectory(dir=target.parent, prefix=".part-backup-") as work:
        database, part = Path(work) / DATABASE, Path(work) / "backup.zip"
        copy_database(folder / DATABASE, database)
        with closing(read_only(database)) as db:
            revisions = sum(revision for revision, _ in standing(db).values())
            hashes = [h for (h,) in db.execute("SELECT hash FROM picture ORDER BY hash")]
            fonts = [h for (h,) in db.execute("SELECT hash FROM font ORDER BY hash")] if has_fonts(db) else []
            live = sorted({file.hash for *_, files in released(db) for file in files.values()})
        with zipfile.ZipFile(part, "w", allowZip64=True) as archive:
            members = [_add(archive, DATABASE, database)]
            kept = {"originals": hashes, "fonts": fonts, "releases": live}
            wanted = [(kind, hash_) for kind, hashes_ in kept.items() for hash_ in hashes_]
            for n, (kind, hash_) in enumerate(wanted):
                progress(f"{KINDS[kind].what} {hash_[:10]}", n / len(wanted))
                members.append(_add_kept(archive, folder, kind, hash_))
            archive.writestr(MANIFEST, _told(revisions, members))
        with part.open("rb+") as file_:
            os.fsync(file_.fileno())
        os.replace(part, target)
    sync_folder(target.parent)
    return {"revision": revisions, "pictures": len(hashes)}


def _manifest(archive: zipfile.ZipFile, file: Path) -> list[dict[str, Any]]:
    try:
        info = archive.getinfo(MANIFEST)
        if info.file_size > MAX_MANIFEST:
            raise FolderError(f"{file} has a manifest that is too large. Nothing was changed.")
        manifest = json.loads(archive.read(info))
        members = manifest["members"]
        names = [str(m["name"]) for m in members]
        if manifest["format"] != FORMAT or names != [DATABASE, *sorted(n for n in names if n != DATABASE)]:
            raise ValueError
    except FolderError:
        raise
    except Exception as error:
        raise FolderError(f"{file} is no backup of this application. Nothing was changed.") from error
    if manifest["version"] != VERSION:
        raise FolderError(f"{file} is a backup of version {manifest['version']!r}; this program reads {VERSION}.")
    return [dict(m) for m in members]


def _place_of(name: str, folder: Path) -> Path:
    if name == DATABASE:
        return folder / DATABASE
    kind, _, hash_ = name.partition("/")
    if kind not in KINDS or len(hash_) != 64 or not set(hash_) <= set("0123456789abcdef"):
        raise FolderError(f"The backup holds {name[:60]!r}, which is none of its files. Nothing was changed.")
    return folder / KINDS[kind].place / hash_[:2] / hash_


def _extract(archive: zipfile.ZipFile, line: dict[str, Any], folder: Path) -> None:
    target = _place_of(str(line["name"]), folder)
    target.parent.mkdir(parents=True, exist_ok=True)
    digest, size = hashlib.sha256(), 0
    try:
        with archive.open(str(line["name"])) as source, target.open("wb") as file:
            while chunk := source.read(4 * MB):
                size += len(chunk)
                if size > int(line["bytes"]):
                    break
                digest.update(chunk)
                file.write(chunk)
            file.flush()
            os.fsync(file.fileno())
    except OSError:
        raise
    except Exception as error:
        raise FolderError(f"{line['name']} is damaged in the backup. Nothing was changed.") from error
    if size != int(line["bytes"]) or digest.hexdigest() != line["sha256"]:
        raise FolderError(f"{line['name']} is damaged in the backup: its hash differs. Nothing was changed.")


def _free_name(folder: Path) -> Path:
    stamp = now().replace(":", "").replace("-", "")[:15]
    suffixes = ("", *(f"-{n}" for n in range(2, 99)))
    names = (folder.with_name(f"{folder.name}.set-aside-{stamp}{suffix}") for suffix in suffixes)
    return next(name for name in names if not name.exists())


def restore(file: Path, folder: Path, replace: bool, progress: Progress = lambda _, __: None) -> Path | None:
    """Bring a backup back into a folder; gives where what was there has been set aside.

    Everything is unpacked beside the folder and verified before anything is put in place. Raises FolderError.
    """
    there = folder.exists() and any(folder.iterdir())
    if there and not replace:
        said = f"{folder} holds something already, and nothing is written over it."
        raise FolderError(f"{said} Say --replace to set it aside first.")
    folder.parent.mkdir(parents=True, exist_ok=True)
    work = Path(tempfile.mkdtemp(dir=folder.parent, prefix=".part-restore-"))
    try:
        try:
            archive = zipfile.ZipFile(file)
        except (zipfile.BadZipFile, ValueError) as error:
            raise FolderError(f"{file} is no backup that can be read. Nothing was changed.") from error
        with archive:
            members = _manifest(archive, file)
            for n, line in enumerate(members):
                progress(str(line["name"])[:30], n / len(members))
                _extract(archive, line, work)
        grave = [f.what for f in verify(work) if f.grave]
        if grave:
            raise FolderError(f"{file} does not hold a whole site: {grave[0]} Nothing was changed.")
        aside = None
        if there:
            aside = _free_name(folder)
            os.replace(folder, aside)
        elif folder.exists():
            folder.rmdir()
        os.replace(work, folder)
        sync_folder(folder.parent)
        return aside
    except BaseException:
        shutil.rmtree(work, ignore_errors=True)
        raise
