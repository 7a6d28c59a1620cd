"""What somebody hands in: stylesheets, pages, pictures, fonts, or a zip of them, told apart, unpacked within limits."""

import io
import zipfile
from collections.abc import Sequence
from dataclasses import dataclass, field
from posixpath import normpath

from .. import limits
from ..errors import StylesheetError
from .sources import text_of

SHEETS, PAGES = (".css",), (".html", ".htm", ".xhtml")
FONTS = (".woff2", ".woff", ".ttf", ".otf", ".ttc", ".otc")
PICTURES = (".jpg", ".jpeg", ".png", ".webp", ".avif", ".gif", ".svg")


@dataclass
class Given:
    """Texts, pictures and fonts by the path that they came with, and what was not looked at."""

    sheets: dict[str, str] = field(default_factory=dict)
    pages: dict[str, str] = field(default_factory=dict)
    pictures: dict[str, bytes] = field(default_factory=dict)
    fonts: dict[str, bytes] = field(default_factory=dict)
    others: list[str] = field(default_factory=list)


def path_of(name: str) -> str:
    """A path as it may be kept: with slashes, leading nowhere else. Raises StylesheetError."""
    path = normpath(name.replace("\\", "/").strip())
    if path.startswith(("/", "../")) or path in ("..", ".") or ":" in path.split("/")[0] or not path.isprintable():
        raise StylesheetError(f"The zip holds {name[:60]!r}, which leads out of it. Nothing was read.")
    return path


def _unpacked(data: bytes, name: str) -> list[tuple[str, bytes]]:
    try:
        archive = zipfile.ZipFile(io.BytesIO(data))
        members = [m for m in archive.infolist() if not m.is_dir()]
    except (zipfile.BadZipFile, ValueError, OSError) as error:
        raise StylesheetError(f"{name} is no zip that can be opened. Nothing was read.") from error
    if len(members) > limits.PAGE_MEMBERS:
        raise StylesheetError(f"{name} holds more than {limits.PAGE_MEMBERS:,} files. Nothing was read.")
    if sum(m.file_size for m in members) > limits.PAGE_UNFOLDED:
        most = limits.PAGE_UNFOLDED // limits.MB
        raise StylesheetError(f"{name} unfolds to more than {most} MB. Nothing was read.")
    found: list[tuple[str, bytes]] = []
    for member in members:
        path = path_of(member.filename)
        if "__MACOSX" in path or path.rpartition("/")[2].startswith("."):
            continue
        try:
            with archive.open(member) as source:
                content = source.read(member.file_size + 1)
        except (zipfile.BadZipFile, RuntimeError, NotImplementedError, OSError, EOFError) as error:
            raise StylesheetError(f"{path} in {name} cannot be unpacked. Nothing was read.") from error
        if len(content) > member.file_size:
            raise StylesheetError(f"{path} in {name} is larger than it says. Nothing was read.")
        found.append((path, content))
    return _without_folder(found)


def _without_folder(found: list[tuple[str, bytes]]) -> list[tuple[str, bytes]]:
    """Without the one folder that everything lies in."""
    firsts = {path.split("/")[0] for path, _ in found}
    if len(firsts) == 1 and all("/" in path for path, _ in found):
        return [(path.partition("/")[2], data) for path, data in found]
    return found


def _take(given: Given, path: str, data: bytes) -> None:
    small = path.lower()
    if small.endswith(SHEETS):
        given.sheets[path] = text_of(data, path)
    elif small.endswith(PAGES):
        given.pages[path] = text_of(data, path)
    elif small.endswith(PICTURES):
        given.pictures[path] = data
    elif small.endswith(FONTS):
        given.fonts[path] = data
    else:
        given.others.append(path)


def given(files: Sequence[tuple[str, bytes]]) -> Given:
    """Files by their names, zips unpacked. Raises StylesheetError where something of it cannot be taken."""
    found = Given()
    for name, data in files:
        if data.startswith(b"PK\x03\x04"):
            for path, content in _unpacked(data, name):
                _take(found, path, content)
        else:
            _take(found, name.replace("\\", "/").lstrip("/"), data)
    texts = sum(len(t) for t in (*found.sheets.values(), *found.pages.values()))
    if texts > limits.STYLESHEET:
        most = limits.STYLESHEET / limits.MB
        raise StylesheetError(f"All stylesheets and pages together have {most:g} MB at the most. Nothing was read.")
    if not found.sheets and not found.pages:
        raise StylesheetError("There is no stylesheet and no page in what was given. Nothing was read.")
    return found
