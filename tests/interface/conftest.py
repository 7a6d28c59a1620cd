"""The real application on a free port, and headless Chromium before it."""

import shutil
from collections.abc import Iterator
from pathlib import Path

import pytest
from playwright.sync_api import Browser, Page, expect

from garnetfern.api.app import WEB
from garnetfern.api.local import Running, run_locally
from garnetfern.core.cache import Cache
from garnetfern.service.files.site_file import SiteFile
from garnetfern.service.workspace.studio import Studio

expect.set_options(timeout=120_000)


@pytest.fixture(scope="session")
def sample(tmp_path_factory: pytest.TempPathFactory, demo: SiteFile) -> Path:
    """A data folder with the sample site, its renditions made."""
    folder = tmp_path_factory.mktemp("sample")
    studio = Studio(folder)
    studio.start(demo, "The sample site")
    studio.warm()
    studio.bundle_files()
    studio.close()
    return folder


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


@pytest.fixture
def bench(running: Running, browser: Browser) -> Iterator[Page]:
    """The bench with the sample site, its readings there. Any error in the page fails the test."""
    context = browser.new_context(viewport={"width": 1280, "height": 800}, accept_downloads=True)
    context.grant_permissions(["clipboard-read", "clipboard-write"])
    context.set_default_timeout(120_000)
    page = context.new_page()
    troubles: list[str] = []
    page.on("pageerror", lambda error: troubles.append(str(error)))
    page.goto(running.address)
    page.get_by_text("One block of words falls short on the phone.").wait_for(timeout=120_000)
    page.get_by_role("button", name="Make it").wait_for(timeout=120_000)
    yield page
    context.close()
    assert troubles == []
