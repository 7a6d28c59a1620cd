"""The open fonts that ship with the application, read from this folder."""

import json
from functools import lru_cache, partial
from pathlib import Path

from ..core.resolve.fonts import Face, Family, FontBook, parse_unicode_range, unpack_woff2

FOLDER = Path(__file__).parent


def font_bytes(file: str) -> bytes:
    """The woff2 bytes of a font file named in the catalogue."""
    return (FOLDER / file).read_bytes()


def _unpacked(file: str) -> bytes:
    return unpack_woff2(font_bytes(file))


def _faces(files: list[dict[str, str]]) -> tuple[Face, ...]:
    return tuple(
        Face(f["file"], partial(_unpacked, f["file"]), f["unicode_range"], parse_unicode_range(f["unicode_range"]))
        for f in files
    )


@lru_cache(maxsize=1)
def shipped_fonts() -> FontBook:
    """All shipped families, ready for shaping. Each file is unpacked when it is first needed."""
    families = []
    for entry in json.loads((FOLDER / "catalogue.json").read_text()):
        faces, italics = _faces(entry["files"]), _faces(entry["italics"])
        least, most = entry["weights"]
        name, category, character = entry["family"], entry["category"], entry["character"]
        families.append(Family(name, category, character, least, most, entry["variable"], faces, italics))
    return FontBook(tuple(families))
