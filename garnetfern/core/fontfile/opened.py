"""Font files opened by their bytes, and written as WOFF2 (WOFF File Format 2.0)."""

import hashlib
import io
import struct
from collections.abc import Iterator
from dataclasses import dataclass

from fontTools.ttLib import TTCollection, TTFont, TTLibError

from ..errors import FontError
from ..limits import FONT, FONT_MEMBERS, MB
from ..resolve.fonts import unpack_woff2
from .facts import FontFacts, facts_of
from .outlines import check_composites, try_out
from .packed import check_packed, refused

KINDS = "WOFF2, WOFF, TTF and OTF fonts are taken, and collections of them (TTC, OTC)"
SIGNATURES = (b"\x00\x01\x00\x00", b"OTTO", b"true", b"ttcf", b"wOFF", b"wOF2")
NEEDED = ("head", "hhea", "hmtx", "maxp", "OS/2", "name", "cmap")
KEPT = frozenset(
    [
        "head",
        "hhea",
        "hmtx",
        "maxp",
        "OS/2",
        "name",
        "cmap",
        "post",
        "glyf",
        "loca",
        "cvt",
        "fpgm",
        "prep",
        "gasp",
        "CFF",
        "CFF2",
        "VORG",
        "GDEF",
        "GSUB",
        "GPOS",
        "kern",
        "BASE",
        "fvar",
        "avar",
        "gvar",
        "cvar",
        "STAT",
        "HVAR",
        "VVAR",
        "MVAR",
        "vhea",
        "vmtx",
        "meta",
        "VDMX",
        "hdmx",
        "LTSH",
        "PCLT",
        "DSIG",
        "GlyphOrder",
    ]
)
COLOURS = frozenset(("COLR", "CPAL", "SVG", "sbix", "CBDT", "CBLC", "EBDT", "EBLC"))


@dataclass(frozen=True)
class TakenFont:
    """A font ready to be kept: its WOFF2 bytes, and what it says of itself."""

    data: bytes
    facts: FontFacts

    @property
    def hash(self) -> str:
        """SHA-256 of its bytes, hexadecimal."""
        return hashlib.sha256(self.data).hexdigest()


def looks_like_font(data: bytes) -> bool:
    """Whether bytes begin as a font file does."""
    return data[:4] in SIGNATURES


def _fonts(data: bytes, name: str) -> Iterator[TTFont]:
    if data[:4] != b"ttcf":
        yield TTFont(io.BytesIO(data), lazy=True, recalcTimestamp=False)
        return
    (count,) = struct.unpack(">I", data[8:12])
    if count > FONT_MEMBERS:
        raise refused(name, f"is a collection of {count:,} fonts; {FONT_MEMBERS} are the most")
    yield from TTCollection(io.BytesIO(data), lazy=True).fonts


def _written(font: TTFont, data: bytes, alone: bool) -> tuple[bytes, list[str]]:
    """The WOFF2 bytes, and what was left out. A WOFF2 file of which nothing is left out stays as it is."""
    dropped = [tag for tag in font.keys() if tag.strip() not in KEPT]  # noqa: SIM118  (a font is no mapping)
    notes = []
    if any(tag.strip() in COLOURS for tag in dropped):
        notes.append("Its letters come in one colour: what it says of their colours was left out.")
    if alone and data[:4] == b"wOF2" and not dropped:
        return data, notes
    for tag in dropped:
        del font[tag]
    font.flavor = "woff2"
    font.recalcTimestamp = False  # the same file comes to the same bytes, whenever it is brought
    out = io.BytesIO()
    font.save(out, reorderTables=None)
    return out.getvalue(), notes


def _taken(font: TTFont, data: bytes, name: str, notes: list[str]) -> TakenFont:
    missing = [tag for tag in NEEDED if tag not in font]
    if missing:
        raise refused(name, f"is no whole font: it lacks {', '.join(missing)}")
    if not font.getBestCmap():
        raise refused(name, "has no letters that Unicode knows")
    check_composites(font, name)
    written, left_out = _written(font, data, not notes)
    try_out(unpack_woff2(written), name)
    return TakenFont(written, facts_of(font, [*notes, *left_out]))


def take_fonts(data: bytes, name: str) -> list[TakenFont]:
    """The fonts of a file; a collection has several. Raises FontError: nothing of it is taken then."""
    if not data:
        raise FontError(f"{name} is empty (0 bytes). {KINDS}. Nothing was changed.")
    if len(data) > FONT:
        raise refused(name, f"has {len(data) / MB:.1f} MB; fonts have {FONT // MB} MB at the most")
    if not looks_like_font(data):
        raise FontError(f"{name} is no font, whatever it is called. {KINDS}. Nothing was changed.")
    if data[:4] in (b"wOFF", b"wOF2"):
        check_packed(data, name)
    found: list[TakenFont] = []
    try:
        fonts = list(_fonts(data, name))
        for n, font in enumerate(fonts):
            said = [f"Font {n + 1} of the {len(fonts)} in a collection."] if len(fonts) > 1 else []
            found.append(_taken(font, data, name, said))
    except (FontError, MemoryError):
        raise
    except RecursionError as error:
        raise refused(name, "cannot be opened: its tables lead back into themselves") from error
    except (TTLibError, Exception) as error:
        raise refused(name, f"is damaged and cannot be opened ({type(error).__name__})") from error
    return found
