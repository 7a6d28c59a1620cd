"""A worker: a process of its own, with limits, that opens somebody's bytes. It ends when its wire does.

Started as `python -m garnetfern.sandbox.worker FD`, FD being its end of a pair of sockets.
"""

import gc
import os
import socket
import sys
from concurrent.futures import ThreadPoolExecutor
from typing import Any

from ..core.processes import stand_back
from . import walls

AFTER, BEHIND = 5, 7
"""How much nicer work is than the application, and how much nicer again what nobody waits for: beside others that want
all of the processors a third, and a fifteenth."""


def _carry_out(header: dict[str, Any], blobs: list[bytes]) -> tuple[dict[str, Any], list[bytes]]:
    from ..core.errors import GarnetfernError
    from .tasks import TASKS
    from .wire import BrokenWireError

    try:
        return TASKS[str(header["task"])](header, blobs)
    except BrokenWireError:
        raise
    except GarnetfernError as error:
        return {"refused": type(error).__name__, "kind": error.kind, "message": error.message, "path": error.path}, []
    except MemoryError:
        return {"failed": "memory"}, []
    except Exception as error:
        return {"failed": "error", "what": type(error).__name__}, []


def _in_its_turn(header: dict[str, Any], blobs: list[bytes]) -> tuple[dict[str, Any], list[bytes]]:
    """Work that somebody waits for at once; what is done in the background (a film is coded by two threads), by a
    thread that stands back: this process goes on to what people wait for afterwards."""
    if header["hurry"]:
        return _carry_out(header, blobs)
    with ThreadPoolExecutor(1, initializer=stand_back, initargs=(BEHIND,)) as behind:
        return behind.submit(_carry_out, header, blobs).result()


def main(number: int) -> None:
    """Serve until the wire ends."""
    wire = socket.socket(fileno=number)
    network = walls.no_network()
    from .tasks import warm
    from .wire import BrokenWireError, receive, send

    warm()
    # somebody may wait for it to be ready; work is done behind the application's own
    os.nice(AFTER)
    gc.freeze()
    walls.bounded()
    files = walls.no_files()
    walls.no_opening()
    try:
        send(wire, {"ready": True, "walls": {"network": network, "files": files}}, [])
        while True:
            header, blobs = receive(wire)
            walls.seconds_left(float(header["seconds"]))
            header["tell"] = lambda share: send(wire, {"told": share}, [])
            answer, found = _in_its_turn(header, blobs)
            if "file" in header:
                os.close(int(header["file"]))
            del blobs
            send(wire, answer, found)
    except BrokenWireError:
        return


if __name__ == "__main__":
    main(int(sys.argv[1]))
