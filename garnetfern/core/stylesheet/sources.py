"""What was given: stylesheets and HTML files by their names, found again by the addresses that name them."""

import re
from collections.abc import Mapping
from dataclasses import dataclass, field
from posixpath import normpath
from urllib.parse import unquote, urlsplit

from .. import limits
from ..errors import StylesheetError

_APART = re.compile(r"""/\*.*?(?:\*/|$)|"(?:[^"\\\n]|\\.)*"?|'(?:[^'\\\n]|\\.)*'?|\\.""", re.DOTALL)
_BRACKETS = re.compile(r"[\[{(\])}]")


def depth_of(css: str) -> int:
    """How deep a stylesheet is nested, found without reading it."""
    level = most = 0
    for bracket in _BRACKETS.findall(_APART.sub("", css)):
        level = level + 1 if bracket in "[{(" else max(0, level - 1)
        most = max(most, level)
    return most


def text_of(data: bytes, name: str) -> str:
    """A stylesheet's text (CSS Syntax 3, section 3.2: UTF-8 here, or what its byte order mark says).

    Raises StylesheetError for what is too large, nested too deep, or no text.
    """
    if len(data) > limits.STYLESHEET:
        has, most = len(data) / limits.MB, limits.STYLESHEET / limits.MB
        raise StylesheetError(f"{name} has {has:.1f} MB; a stylesheet has {most:g} MB at the most. Nothing was read.")
    if b"\x00" in data[:4000] and not data.startswith((b"\xff\xfe", b"\xfe\xff")):
        raise StylesheetError(f"{name} is no text. Nothing was read.")
    wide = data.startswith((b"\xff\xfe", b"\xfe\xff"))
    text = data.decode("utf-16" if wide else "utf-8-sig", errors="replace")
    if depth_of(text) > limits.STYLESHEET_DEPTH:
        raise StylesheetError(f"{name} is nested deeper than {limits.STYLESHEET_DEPTH}. Nothing was read.")
    return text


@dataclass(frozen=True)
class Sources:
    """Stylesheets by the path that they came with, in the order in which they apply."""

    sheets: Mapping[str, str]
    apply: tuple[str, ...] = field(default=())
    """Those that apply by themselves; none: all of them."""

    def applied(self) -> tuple[str, ...]:
        """Those that apply by themselves."""
        return self.apply or tuple(self.sheets)

    def sheet(self, address: str, near: str) -> str | None:
        """The stylesheet that another one, or a page, names; None where it did not come with it."""
        return found_among(address, near, tuple(self.sheets))


def is_elsewhere(address: str) -> bool:
    """Whether an address leads away from what was given."""
    parts = urlsplit(address)
    return bool(parts.scheme or parts.netloc)


def found_among(address: str, near: str, names: tuple[str, ...]) -> str | None:
    """The one of some paths that an address means, as seen from a file: its own path first, else its name alone."""
    if is_elsewhere(address):
        return None
    path = unquote(urlsplit(address).path)
    folder = near.rpartition("/")[0]
    whole = normpath(f"{folder}/{path}" if folder and not path.startswith("/") else path).lstrip("/")
    if whole in names:
        return whole
    last = whole.rpartition("/")[2].lower()
    alike = [name for name in names if name.rpartition("/")[2].lower() == last]
    return alike[0] if len(alike) == 1 else None
