"""The real application on a free port, and headless Chromium before it."""

import shutil
from collections.abc import Iterator
from pathlib import Path

import pytest
from playwright.sync_api import Browser, Error, Page, expect

from garnetfern.api.app import WEB
from garnetfern.api.local import Running, run_locally
from garnetfern.core.cache import Cache
from garnetfern.service.files.site_file import SiteFile
from garnetfern.service.workspace.house import first_site
from tests.made_once import made_once

expect.set_options(timeout=120_000)


@pytest.fixture(scope="session")
def sample(tmp_path_factory: pytest.TempPathFactory, demo: SiteFile) -> Path:
    """A data folder with the sample site, its renditions made."""

    def make(folder: Path) -> None:
        studio = first_site(folder)
        studio.start(demo, "The sample site")
        studio.warm()
        studio.long.tasks["film"](lambda *_: True)
        studio.bundle_files()
        studio.close()

    return made_once(tmp_path_factory, "sample", make)


@pytest.fixture(scope="session")
def cache() -> Cache:
    """What one application has computed and the next one of these tests need not compute again."""
    return Cache()


@pytest.fixture
def running(tmp_path: Path, sample: Path, cache: Cache) -> Iterator[Running]:
    assert WEB.is_dir(), "the interface is not built: make setup"
    data = tmp_path / "data"
    shutil.copytree(sample, data)
    found = run_locally(data, cache)
    yield found
    found.stop()


READY = """() => ['One block of words falls short on the phone.', 'Make it'].every((words) =>
  document.body.textContent.includes(words))"""
"""Whether the bench has its readings and thumbnails. Looked at more often than a locator does."""
WINDOW = {"width": 1280, "height": 800}


@pytest.fixture(scope="session")
def desk(browser: Browser) -> Iterator[Page]:
    """The window that the benches of one worker are looked at in, one after the other: a window is slow to open."""
    context = browser.new_context(viewport=WINDOW, accept_downloads=True)
    context.grant_permissions(["clipboard-read", "clipboard-write"])
    context.set_default_timeout(120_000)
    yield context.new_page()
    context.close()


def _cleared(page: Page) -> None:
    """The window as it was: nothing of the last test is left in it."""
    for other in page.context.pages:
        if other is not page:
            other.close()
    page.unroute_all()
    page.evaluate("localStorage.clear()")
    page.goto("about:blank")
    page.set_viewport_size(WINDOW)
    page.emulate_media(media="null", color_scheme="null", reduced_motion="null", forced_colors="null")


@pytest.fixture
def bench(running: Running, desk: Page) -> Iterator[Page]:
    """The bench with the sample site, its readings there. Any error in the page fails the test."""
    troubles: list[str] = []

    def trouble(error: Error) -> None:
        troubles.append(str(error))

    desk.on("pageerror", trouble)
    desk.goto(running.address)
    desk.wait_for_function(READY, timeout=120_000, polling=30)
    yield desk
    _cleared(desk)
    desk.remove_listener("pageerror", trouble)
    assert troubles == []
