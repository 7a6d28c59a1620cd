"""Packed fonts: how far WOFF (1.0) and WOFF2 files unfold, looked at before anything is unfolded whole."""

import struct
import zlib
from collections.abc import Iterator

import brotli

from ..errors import FontError
from ..limits import FONT_UNFOLDED, MB

PIECE = 1 << 16
WOFF_HEADER, WOFF2_HEADER = 44, 48
TABLE = 20
"""Bytes of a table's entry in a WOFF file: tag, offset, packed and whole length, checksum."""


def refused(name: str, what: str) -> FontError:
    """That a font is not taken, and why."""
    return FontError(f"{name} {what}. It was not taken; nothing was changed.")


def _inflated(data: bytes) -> Iterator[int]:
    """How many bytes each table of a WOFF file unfolds to, piece by piece."""
    (count,) = struct.unpack(">H", data[12:14])
    for n in range(count):
        entry = data[WOFF_HEADER + n * TABLE : WOFF_HEADER + (n + 1) * TABLE]
        if len(entry) < TABLE:
            return
        offset, packed, whole = struct.unpack(">III", entry[4:16])
        if packed >= whole:
            yield packed
            continue
        stream, rest = zlib.decompressobj(), data[offset : offset + packed]
        while rest:
            out = stream.decompress(rest, PIECE)
            yield len(out)
            rest = stream.unconsumed_tail
            if not out:
                break


def _brotli(data: bytes) -> Iterator[int]:
    """The same of the one stream of a WOFF2 file; its directory, whose length is not said, is read by who opens it."""
    (packed,) = struct.unpack(">I", data[20:24])
    end = len(data)
    (meta, private) = struct.unpack(">I", data[28:32])[0], struct.unpack(">I", data[40:44])[0]
    end = min([end, *(place for place in (meta, private) if place)])
    # the stream is followed by padding to four bytes alone
    start = max(WOFF2_HEADER, end - packed - 3)
    for at in range(start, min(start + 4, end)):
        try:
            yield from _streamed(data[at : at + packed])
        except brotli.error:
            continue
        return


def _streamed(packed: bytes) -> Iterator[int]:
    stream = brotli.Decompressor()
    total = [len(stream.process(packed, output_buffer_limit=PIECE))]
    yield total[0]
    while not stream.is_finished():
        out = stream.process(b"", output_buffer_limit=PIECE)
        if not out:
            return
        yield len(out)


def check_packed(data: bytes, name: str) -> None:
    """Raise FontError where a packed font is cut off, is a packed collection, or unfolds too far."""
    if len(data) < WOFF2_HEADER:
        raise refused(name, "ends before its header does")
    if data[:4] == b"wOF2" and data[4:8] == b"ttcf":
        raise refused(name, "is a packed collection, which cannot be opened here; bring its fonts one by one")
    (said,) = struct.unpack(">I", data[16:20])
    if said > FONT_UNFOLDED:
        raise refused(name, f"unfolds to {said / MB:,.0f} MB; {FONT_UNFOLDED // MB} MB are the most")
    unfolded = 0
    try:
        for more in _brotli(data) if data[:4] == b"wOF2" else _inflated(data):
            unfolded += more
            if unfolded > FONT_UNFOLDED:
                raise refused(name, f"unfolds to more than {FONT_UNFOLDED // MB} MB, which are the most")
    except (zlib.error, brotli.error, struct.error) as error:
        raise refused(name, f"is damaged and cannot be unfolded ({type(error).__name__})") from error
