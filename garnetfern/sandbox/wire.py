"""What is said between the application and a worker: a JSON header and blobs, never anything that runs when it is read.

A message is the length of its header (8 bytes, big-endian), the header, and the blobs, whose lengths it tells.
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


def send(wire: socket.socket, header: dict[str, Any], blobs: list[bytes]) -> None:
    """Say something. Raises BrokenWireError."""
    text = json.dumps({**header, "blobs": [len(b) for b in blobs]}).encode()
    try:
        wire.sendall(_LENGTH.pack(len(text)) + text)
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


def receive(wire: socket.socket) -> Message:
    """Hear something. Raises BrokenWireError, or TimeoutError where the wire has a limit and it has passed."""
    (size,) = _LENGTH.unpack(_exactly(wire, _LENGTH.size))
    if size > HEADER:
        raise BrokenWireError("a header that is too large")
    try:
        header = json.loads(_exactly(wire, size))
        sizes = [int(n) for n in header.pop("blobs")]
    except (ValueError, TypeError, KeyError, AttributeError) as error:
        raise BrokenWireError("no message") from error
    if min(sizes, default=0) < 0 or sum(sizes) > BLOBS:
        raise BrokenWireError("blobs that are too large")
    return header, [_exactly(wire, n) for n in sizes]
