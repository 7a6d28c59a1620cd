"""What a film file is, judged by its bytes, and what was found when it was looked at."""

from dataclasses import dataclass
from typing import Literal

FilmType = Literal["mp4", "mov", "webm"]
FILM_TYPES: tuple[FilmType, ...] = ("mp4", "mov", "webm")
ENDINGS: dict[FilmType, tuple[str, ...]] = {
    "mp4": (".mp4", ".m4v"),
    "mov": (".mov", ".qt"),
    "webm": (".webm",),
}
KINDS = "MP4, MOV and WebM films, and GIF and WebP pictures that move, are taken"


@dataclass(frozen=True)
class FilmFacts:
    """A film's type, its size in px as it is shown (turned, square px), how long it is, s, how many frames it has in a
    second on the mean, whether parts of it are transparent, and what was noticed."""

    type: FilmType
    width: int
    height: int
    duration: float
    rate: float
    alpha: bool
    note: str


def film_type(data: bytes) -> FilmType | None:
    """The type by the first bytes (ISO/IEC 14496-12, section 4.3; RFC 9559, section 8), or None."""
    if data[4:8] == b"ftyp" and data[8:12] not in (b"avif", b"avis", b"heic", b"heix", b"mif1", b"msf1"):
        return "mov" if data[8:12] == b"qt  " else "mp4"
    if data[4:8] in (b"moov", b"mdat", b"wide", b"free", b"skip"):
        return "mov"
    return "webm" if data[:4] == b"\x1a\x45\xdf\xa3" else None
