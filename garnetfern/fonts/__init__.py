"""The open fonts that ship with the application, read from this folder."""

import json
from functools import lru_cache, partial
from pathlib import Path
from typing import Any

from ..core.resolve.book import FontBook
from ..core.resolve.fonts import Face, Family, parse_unicode_range, unpack_woff2

FOLDER = Path(__file__).parent


def font_bytes(file: str) -> bytes:
    """The woff2 bytes of a font file named in the catalogue."""
    return (FOLDER / file).read_bytes()


def _unpacked(file: str) -> bytes:
    return unpack_woff2(font_bytes(file))


def _faces(files: list[dict[str, Any]], weights: tuple[int, int]) -> tuple[Face, ...]:
    found = []
    for f in files:
        own = tuple(f.get("weights", weights))
        ranges = parse_unicode_range(f["unicode_range"])
        found.append(Face(f["file"], partial(_unpacked, f["file"]), (own[0], own[-1]), f["unicode_range"], ranges))
    return tuple(found)


def _stand_ins() -> dict[str, Family]:
    found = {}
    for kind, entry in json.loads((FOLDER / "stand_ins.json").read_text()).items():
        faces, italics = _faces(entry["files"], (400, 400)), _faces(entry["italics"], (400, 400))
        found[kind] = Family(entry["family"], kind, "stands in", faces, italics)
    return found


@lru_cache(maxsize=1)
def shipped_fonts() -> FontBook:
    """All shipped families, ready for shaping. Each file is unpacked when it is first needed."""
    families = []
    for entry in json.loads((FOLDER / "catalogue.json").read_text()):
        least, most = entry["weights"]
        faces, italics = _faces(entry["files"], (least, most)), _faces(entry["italics"], (least, most))
        families.append(Family(entry["family"], entry["category"], entry["character"], faces, italics))
    return FontBook(tuple(families), font_bytes, _stand_ins())
