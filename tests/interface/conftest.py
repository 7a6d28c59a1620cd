"""The real application on a free port, and headless Chromium before it."""

import shutil
import socket
import threading
import time
from collections.abc import Iterator
from dataclasses import dataclass
from pathlib import Path

import pytest
import uvicorn
from playwright.sync_api import Browser, Page

from garnetfern.api.app import WEB, create_app
from garnetfern.service.site_file import SiteFile
from garnetfern.service.studio import Studio
from tests.referee.browser import chromium


@dataclass
class Running:
    """A running application: its address and its data folder."""

    address: str
    data: Path
    server: uvicorn.Server
    thread: threading.Thread

    def stop(self) -> None:
        self.server.should_exit = True
        self.thread.join(timeout=10)


def serve(data: Path) -> Running:
    """Start the application on a data folder, on loopback."""
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        port = probe.getsockname()[1]
    config = uvicorn.Config(create_app(data), host="127.0.0.1", port=port, log_level="warning")
    server = uvicorn.Server(config)
    thread = threading.Thread(target=server.run, daemon=True)
    thread.start()
    while not server.started:
        time.sleep(0.02)
    return Running(f"http://127.0.0.1:{port}/", data, server, thread)


@pytest.fixture(scope="session")
def browser() -> Iterator[Browser]:
    with chromium() as found:
        yield found


@pytest.fixture(scope="session")
def sample(tmp_path_factory: pytest.TempPathFactory, demo: SiteFile) -> Path:
    """A data folder with the sample site, its renditions made."""
    folder = tmp_path_factory.mktemp("sample")
    studio = Studio(folder)
    studio.start(demo, "The sample site")
    studio.warm()
    studio.bundle_files()
    studio.db.close()
    return folder


@pytest.fixture
def running(tmp_path: Path, sample: Path) -> Iterator[Running]:
    assert WEB.is_dir(), "the interface is not built: make setup"
    data = tmp_path / "data"
    shutil.copytree(sample, data)
    found = serve(data)
    yield found
    found.stop()


@pytest.fixture
def bench(running: Running, browser: Browser) -> Iterator[Page]:
    """The bench with the sample site, its readings there. Any error in the page fails the test."""
    context = browser.new_context(viewport={"width": 1280, "height": 800}, accept_downloads=True)
    context.grant_permissions(["clipboard-read", "clipboard-write"])
    page = context.new_page()
    troubles: list[str] = []
    page.on("pageerror", lambda error: troubles.append(str(error)))
    page.goto(running.address)
    page.get_by_text("One block of words falls short on the phone.").wait_for(timeout=20_000)
    page.get_by_role("button", name="Make it").wait_for(timeout=20_000)
    yield page
    context.close()
    assert troubles == []
