"""The application on a free port of loopback, in a thread: for tests, benchmarks and screenshots."""

import asyncio
import socket
import threading
import time
from dataclasses import dataclass
from pathlib import Path

import uvicorn

from ..core.cache import Cache
from .app import Guarded, create_app
from .news_routes import END
from .site_routes import Sample

TURNS_TO_ARRIVE = 3
"""Turns of the event loop from taking a connection to its being one: its task, its transport, its protocol."""


class Server(uvicorn.Server):
    """A server that lets open windows go when it ends, instead of waiting for them."""

    def __init__(self, application: Guarded, host: str, port: int) -> None:
        config = uvicorn.Config(application, host=host, port=port, log_level="warning", server_header=False)
        super().__init__(config)
        self._house = application.state.house

    async def shutdown(self, sockets: list[socket.socket] | None = None) -> None:
        """Take no more visitors, end what listens for news, and everything else when it is done."""
        self._close_the_door()
        self._house.tell_all(END, {})
        for _ in range(TURNS_TO_ARRIVE):
            await asyncio.sleep(0)
        await super().shutdown(sockets)

    def _close_the_door(self) -> None:
        """A connection that is taken in the turn in which its server closes is never made and never closed."""
        loop = asyncio.get_running_loop()
        for server in self.servers:
            for listening in server.sockets:
                loop.remove_reader(listening.fileno())


@dataclass
class Running:
    """A running application: its address and its data folder."""

    address: str
    data: Path
    server: uvicorn.Server
    thread: threading.Thread

    def stop(self) -> None:
        """End it and wait until it has ended."""
        self.server.should_exit = True
        self.thread.join(timeout=60)


def run_locally(data: Path, cache: Cache | None = None, sample: Sample | None = None) -> Running:
    """Start the application on a data folder and wait until it answers."""
    return run_application(create_app(data, cache=cache, sample=sample), data)


def run_application(application: Guarded, data: Path) -> Running:
    """Start an application that was made for a data folder, and wait until it answers."""
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        port = probe.getsockname()[1]
    server = Server(application, "127.0.0.1", port)
    thread = threading.Thread(target=server.run, daemon=True)
    thread.start()
    while not server.started and thread.is_alive():
        time.sleep(0.02)
    return Running(f"http://127.0.0.1:{port}/", data, server, thread)
