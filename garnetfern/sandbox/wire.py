"""What is said between the application and a worker: a JSON header and blobs, never anything that runs when it is read.

A message is the length of its header (8 bytes, big-endian), the header, and the blobs, whose lengths it tells. An open
file may go with it: whoever hears it can read that file and no other.
"""

import json
import socket
import struct
from typing import Any

from ..core.limits import MB

HEADER = 64 * MB
BLOBS = 700 * MB
"""The greatest header, and the most that all blobs of a message may have together, bytes."""
_LENGTH = struct.Struct(">Q")
Message = tuple[dict[str, Any], list[bytes]]


class BrokenWireError(Exception):
    """The other side has gone, or what it says is no message."""


def send(wire: socket.socket, header: dict[str, Any], blobs: list[bytes], file: int | None = None) -> None:
    """Say something; `file` is the number of an open file. Raises BrokenWireError."""
    text = json.dumps({**header, "blobs": [len(b) for b in blobs]}).encode()
    try:
        start = _LENGTH.pack(len(text))
        if file is None:
            wire.sendall(start)
        elif socket.send_fds(wire, [start], [file]) != len(start):
            raise BrokenWireError("the file was not handed over")
        wire.sendall(text)
        for blob in blobs:
            wire.sendall(blob)
    except OSError as error:
        raise BrokenWireError(str(error)) from error


def _exactly(wire: socket.socket, size: int) -> bytes:
    data = bytearray(size)
    view, have = memoryview(data), 0
    while have < size:
        try:
            got = wire.recv_into(view[have:], min(size - have, 4 * MB))
        except TimeoutError:
            raise
        except OSError as error:
            raise BrokenWireError(str(error)) from error
        if got == 0:
            raise BrokenWireError("the other side has gone")
        have += got
    view.release()
    return bytes(data)


def _start(wire: socket.socket) -> tuple[bytes, list[int]]:
    """The first bytes of a message, with the numbers of the files that came with them."""
    try:
        first, files, _, _ = socket.recv_fds(wire, _LENGTH.size, 1)
    except TimeoutError:
        raise
    except OSError as error:
        raise BrokenWireError(str(error)) from error
    if not first:
        raise BrokenWireError("the other side has gone")
    return first + _exactly(wire, _LENGTH.size - len(first)), files


def receive(wire: socket.socket) -> Message:
    """Hear something; an open file that came with it is `file` in the header, by its number. Raises BrokenWireError,
    or TimeoutError where the wire has a limit and it has passed."""
    start, files = _start(wire)
    (size,) = _LENGTH.unpack(start)
    if size > HEADER:
        raise BrokenWireError("a header that is too large")
    try:
        header = json.loads(_exactly(wire, size))
        sizes = [int(n) for n in header.pop("blobs")]
    except (ValueError, TypeError, KeyError, AttributeError) as error:
        raise BrokenWireError("no message") from error
    if files:
        header["file"] = files[0]
    if min(sizes, default=0) < 0 or sum(sizes) > BLOBS:
        raise BrokenWireError("blobs that are too large")
    return header, [_exactly(wire, n) for n in sizes]
