"""The application on a free port of loopback, in a thread: for tests, benchmarks and screenshots."""

import socket
import threading
import time
from dataclasses import dataclass
from pathlib import Path

import uvicorn

from .app import create_app


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


def run_locally(data: Path) -> Running:
    """Start the application on a data folder and wait until it answers."""
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        port = probe.getsockname()[1]
    server = uvicorn.Server(uvicorn.Config(create_app(data), host="127.0.0.1", port=port, log_level="warning"))
    thread = threading.Thread(target=server.run, daemon=True)
    thread.start()
    while not server.started and thread.is_alive():
        time.sleep(0.02)
    return Running(f"http://127.0.0.1:{port}/", data, server, thread)
