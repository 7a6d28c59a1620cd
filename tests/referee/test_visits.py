"""Chromium with its real cache, over five releases: never anything old on what is new, and nothing fetched twice."""

import io
from collections import Counter
from collections.abc import Iterator
from itertools import product
from pathlib import Path
from typing import Any

import numpy as np
import pytest
from PIL import Image
from playwright.sync_api import BrowserContext, Page

from garnetfern.api.app import create_app
from garnetfern.api.local import run_application
from garnetfern.service.workspace.studio import Studio
from tests.conftest import jpeg
from tests.referee.browser import CHROMIUM, FLAGS
from tests.sampled import sampled
from tests.sites import HEADING, colour_layer, document, image_layer, with_assets

BAND = "/pages/0/bands/0"
DESKTOP = {"width": 1280, "height": 800}


class Counting:
    """Notes the path and the status of every answer of visits."""

    def __init__(self, app: Any, answers: list[tuple[str, int]]) -> None:
        self.app, self.answers = app, answers

    async def __call__(self, scope: Any, receive: Any, send: Any) -> None:
        async def sent(message: Any) -> None:
            if message["type"] == "http.response.start" and scope["path"].startswith("/visit/"):
                self.answers.append((scope["path"].removeprefix("/visit/site/"), message["status"]))
            await send(message)

        await self.app(scope, receive, sent)


class Host:
    """The application, and what it has answered to visitors."""

    def __init__(self, data: Path) -> None:
        self.data, self.app = data, create_app(data)
        self.answers: list[tuple[str, int]] = []
        self.app.add_middleware(Counting, answers=self.answers)

    def taken(self) -> list[tuple[str, int]]:
        """The answers since the last time this was asked."""
        found = list(self.answers)
        self.answers.clear()
        return found


def plain_site() -> dict[str, Any]:
    menu = {**HEADING, "id": "way", "kind": "text", "level": None, "wording": "Open on Sundays", "link": "fair.html"}
    plain = document(image_layer(), colour_layer("#000000", 0.4), blocks=[HEADING, menu])
    fair = document(colour_layer("#103020"), blocks=[HEADING])["pages"][0]
    plain["pages"].append({**fair, "id": "fair", "slug": "fair", "title": "Fair"})
    return plain


@pytest.fixture
def host(tmp_path: Path) -> Host:
    made = Host(tmp_path / "data")
    files = [("picture", "fern (1).jpg", jpeg(1600, 400, (40, 80, 60))), ("other", "Gläs.jpg", jpeg(1600, 400))]
    made.app.state.house.first().start(with_assets(plain_site(), *files), "A new site")
    return made


@pytest.fixture
def studio(host: Host) -> Studio:
    found: Studio = host.app.state.house.first()
    return found


@pytest.fixture
def address(host: Host) -> Iterator[str]:
    running = run_application(host.app, host.data)
    yield f"{running.address}visit/site/"
    running.stop()


@pytest.fixture
def visitor(browser: Any, tmp_path: Path) -> Iterator[BrowserContext]:
    """A browser that keeps what it fetched on the disk, as a visitor's does."""
    context = browser.browser_type.launch_persistent_context(
        str(tmp_path / "profile"), executable_path=CHROMIUM, args=FLAGS, viewport=DESKTOP
    )
    yield context
    context.close()


def release(studio: Studio, *steps: tuple[str, Any]) -> None:
    patch = [{"op": "replace", "path": path, "value": value} for path, value in steps]
    if patch:
        studio.change(studio.state().revision, patch, "Change")
    studio.publishing.publish(studio.state().revision, studio.reader, anyway=True)


def seen(page: Page) -> np.ndarray:
    return np.asarray(Image.open(io.BytesIO(page.screenshot())).convert("RGB"))


def opened(page: Page, address: str) -> np.ndarray:
    page.goto(address, wait_until="networkidle")
    page.evaluate("document.fonts.ready")
    return seen(page)


SHADE, PICTURE = f"{BAND}/backdrop/layers/1/opacity", f"{BAND}/backdrop/layers/0/asset"
WORDS = f"{BAND}/columns/0/blocks/0/wording"
FONT = f"{BAND}/columns/0/blocks/0/lettering/font"
RELEASES: list[tuple[tuple[str, Any], ...]] = [
    (),
    ((SHADE, 0.7),),
    ((PICTURE, "other"), (SHADE, 0.5)),
    ((WORDS, "The fern fair"), (FONT, "Literata")),
    ((PICTURE, "picture"), (WORDS, "Ferns under glass"), (FONT, "Young Serif"), (SHADE, 0.4)),
]


def test_five_releases_in_one_cache(host: Host, studio: Studio, address: str, visitor: BrowserContext, browser: Any):
    page = visitor.new_page()
    fetched: Counter[str] = Counter()
    views = []
    for steps in RELEASES:
        release(studio, *steps)
        for name in ("", "fair.html", ""):
            host.taken()
            mine = opened(page, address + name)
            answers = host.taken()
            asked = [(path, status) for path, status in answers if path == name]
            assert len(asked) == 1, "a page is asked about once"
            assert {status for _, status in answers} <= {200, 304}
            fetched.update(path for path, status in answers if status == 200 and path not in ("", "fair.html"))
            stranger = browser.new_context(viewport=DESKTOP)
            assert np.array_equal(mine, opened(stranger.new_page(), address + name)), "something old was seen"
            stranger.close()
        views.append(mine)
    assert not [path for path, times in fetched.items() if times > 1]
    assert np.array_equal(views[0], views[4])
    assert not any(np.array_equal(views[n], views[n + 1]) for n in range(4))
    # back in the state of the first release, a visitor who had that fetches nothing but the pages
    host.taken()
    opened(page, address)
    assert host.taken() == [("", 304)]


def test_a_page_that_is_open_since_yesterday(host: Host, studio: Studio, address: str, visitor: BrowserContext):
    release(studio)
    page = visitor.new_page()
    page.set_viewport_size({"width": 390, "height": 844})
    opened(page, address)
    host.taken()
    release(studio, (PICTURE, "other"), (FONT, "Literata"))
    # it grows, and asks for the larger picture of the release that it came from
    with page.expect_response("**/pictures/**"):
        page.set_viewport_size(DESKTOP)
    answers = host.taken()
    assert len(answers) == 1
    assert (answers[0][0].startswith("pictures/fern-1-"), answers[0][1]) == (True, 200)


VISITS = list(product(["home", "fair"], ["desktop", "tablet", "phone"]))


@pytest.mark.parametrize(("name", "screen"), sampled(VISITS, 2))
def test_what_a_visit_is_said_to_fetch(host: Host, studio: Studio, address: str, browser: Any, screen: str, name: str):
    release(studio)
    live = studio.publishing.live()
    assert live is not None
    said = live.facts["visits"][name][screen]
    one = next(s for s in studio.site().screens if s.id == screen)
    context = browser.new_context(
        viewport={"width": one.width, "height": one.height}, device_scale_factor=2 if one.width < 600 else 1
    )
    opened(context.new_page(), address + ("" if name == "home" else "fair.html"))
    context.close()
    answered = {path or "index.html": status for path, status in host.taken()}
    assert answered == dict.fromkeys(said, 200)
