"""Pictures that a stylesheet names, found by their names among those that there are."""

import re
import unicodedata
from collections.abc import Mapping
from dataclasses import dataclass
from urllib.parse import unquote, urlsplit

from .sources import is_elsewhere


@dataclass(frozen=True)
class Match:
    """The name of the picture that was found (None: none was), and what was forgiven, in words."""

    name: str | None
    forgiven: str = ""


def _last(address: str) -> str:
    return unquote(urlsplit(address).path).replace("\\", "/").rstrip("/").rpartition("/")[2]


_ADDED = re.compile(r"([\s_-]*\(\d+\)|[\s_-]+copy|[_-]\d{2,4}x\d{2,4})+$", re.IGNORECASE)
"""What is added to a name where a file is saved once more, or in another size."""


def _plain(name: str, bare_of: re.Pattern[str] | None = None) -> str:
    """A name without its ending, in small letters and digits alone: what people and hosts change in names."""
    stem = name.rpartition(".")[0] or name
    stem = bare_of.sub("", stem) if bare_of else stem
    bare = unicodedata.normalize("NFKD", stem.lower())
    return re.sub(r"[^a-z0-9]+", "", bare)


def match(address: str, names: Mapping[str, object]) -> Match:
    """The picture that an address means: of that very name, else of one that is alike but for endings, spaces, signs
    and capitals, else of one that is so but for the number of a copy or a size as well, if there is just one."""
    wanted = _last(address)
    if address.startswith("data:"):
        return Match(None, "it is written in the stylesheet itself")
    lasts = {name: _last(name) for name in names}
    same = [name for name, last in lasts.items() if last == wanted]
    if same:
        elsewhere = f"{address[:60]} lies elsewhere; the one of that name was taken" if is_elsewhere(address) else ""
        return Match(same[0], elsewhere)
    alike: list[str] = []
    for bare_of in (None, _ADDED):
        plain = _plain(wanted, bare_of)
        alike = alike or [name for name, last in lasts.items() if plain and _plain(last, bare_of) == plain]
    if len(alike) == 1:
        return Match(alike[0], f"{wanted} is called {lasts[alike[0]]} here")
    if is_elsewhere(address):
        return Match(None, f"{address[:60]} lies elsewhere, and nothing is fetched")
    if alike:
        return Match(None, f"{len(alike)} pictures could be {wanted}")
    return Match(None, f"there is no picture {wanted or address[:40]}")
