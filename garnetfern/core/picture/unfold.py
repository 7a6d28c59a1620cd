"""Zips from elsewhere: names, sizes and ratios are checked before anything is unpacked (APPNOTE 6.3.10)."""

import io
import zipfile
from typing import NoReturn

from .. import limits
from ..errors import SiteFileError
from ..plain import text_problem

TAKEN = {zipfile.ZIP_STORED, zipfile.ZIP_DEFLATED}
LITTLE = 64 * limits.KB
"""Members up to this size may be packed as tightly as they like."""


def _refuse(message: str, name: str = "$") -> NoReturn:
    raise SiteFileError(f"{message} Nothing was changed.", name)


def _check_name(name: str) -> None:
    parts = name.rstrip("/").split("/")
    plain = text_problem(name) is None and "\\" not in name and ":" not in name and len(name) <= 255
    if not plain or any(part in ("", ".", "..") for part in parts):
        _refuse(f"The site file holds {name[:60]!r}, which is no name that a member may have.", name[:60])


def _check(members: list[zipfile.ZipInfo]) -> None:
    """Everything that the directory says, before anything is believed."""
    if len(members) > limits.SITE_FILE_MEMBERS:
        _refuse(f"A site file has {limits.SITE_FILE_MEMBERS:,} members at the most; this one has {len(members):,}.")
    seen: set[str] = set()
    total = 0
    for member in members:
        name = member.filename
        _check_name(name)
        if name.lower() in seen:
            _refuse(f"{name} is in the site file twice.", name)
        seen.add(name.lower())
        if member.flag_bits & 1:
            _refuse(f"{name} is encrypted; site files are open.", name)
        if member.compress_type not in TAKEN:
            _refuse(f"{name} is packed in a way that is not taken; members are stored or deflated.", name)
        if member.file_size > max(LITTLE, limits.SITE_FILE_RATIO * member.compress_size):
            times = member.file_size // max(1, member.compress_size)
            _refuse(f"{name} unfolds to {times:,} times its size; {limits.SITE_FILE_RATIO} times are the most.", name)
        total += member.file_size
    if total > limits.SITE_FILE_UNFOLDED:
        most = limits.SITE_FILE_UNFOLDED // limits.MB
        _refuse(f"The site file unfolds to {total // limits.MB:,} MB; {most} MB are the most. It was not unfolded.")


def _data(archive: zipfile.ZipFile, member: zipfile.ZipInfo) -> bytes:
    try:
        with archive.open(member) as stream:
            data = stream.read(member.file_size + 1)
    except Exception as error:
        # zlib, struct and zipfile each raise their own; whatever it is, this member is damaged
        message = f"{member.filename} is damaged in the site file. Nothing was changed."
        raise SiteFileError(message, member.filename) from error
    if len(data) != member.file_size:
        _refuse(f"{member.filename} does not unfold to the size it says.", member.filename)
    return data


def unfold(data: bytes) -> dict[str, bytes]:
    """The members by name, folders left out. Raises SiteFileError, whose path is the member's name."""
    try:
        archive = zipfile.ZipFile(io.BytesIO(data))
    except Exception as error:
        raise SiteFileError("This is not a site file: it is no zip that can be read. Nothing was changed.") from error
    with archive:
        members = [m for m in archive.infolist() if not m.is_dir()]
        _check(members)
        return {member.filename: _data(archive, member) for member in members}
