"""What is handed out shows on each day what the core says, fetches nothing else, and moves nothing."""

from collections.abc import Iterator
from datetime import date
from io import BytesIO

import numpy as np
import pytest
from PIL import Image
from playwright.sync_api import Browser, Page

from garnetfern.core.css import bundle_files
from garnetfern.core.css.choice import CHOOSE_HASH
from garnetfern.core.document import Site, read_site
from garnetfern.core.placement import Occasion, shown
from garnetfern.service.files.memory import MemoryPictures
from tests.conftest import jpeg
from tests.sites import HEADING, document, image_layer, with_picture

WHERE = "http://ferns.test/"
POLICY = (
    f"default-src 'none'; script-src {CHOOSE_HASH}; style-src 'self' 'unsafe-inline'; img-src 'self'; font-src 'self'"
)
KINDS = {"html": "text/html; charset=utf-8", "css": "text/css", "woff2": "font/woff2", "webp": "image/webp"}


def band(name: str, colour: str, *layers: dict) -> dict:
    words = {**HEADING, "wording": name, "level": 2}
    column = {"id": "column", "blocks": [words]}
    return {
        "id": name, "slug": name, "title": name, "loose": True,
        "bands": [{"id": "band", "name": name, "height": {"min": "180px"},
                   "backdrop": {"base": colour, "layers": list(layers)}, "columns": [column]}],
    }  # fmt: skip


@pytest.fixture(scope="module")
def picture() -> bytes:
    return jpeg(600, 400)


@pytest.fixture(scope="module")
def site(picture: bytes) -> Site:
    plain = document(base="#203040")
    plain["pages"] += [
        band("may", "#302010", image_layer()),
        band("saturday", "#103020"),
        band("odd", "#402040"),
        band("always", "#101010"),
    ]
    plain["placed"] = [
        {"page": "may", "rules": [{"kind": "between", "first": "2026-05-04", "last": "2026-05-31"}]},
        {"page": "saturday", "rules": [{"kind": "weekdays", "days": [6]}]},
        {"page": "odd", "rules": [{"kind": "in-turn", "others": ["always"], "by": "day"}]},
        {"page": "always"},
    ]
    plain["zone"] = "Pacific/Auckland"
    return with_picture(plain, picture, "fern.jpg").site


@pytest.fixture(scope="module")
def files(site: Site, picture: bytes, fonts: object) -> dict[str, bytes]:
    pictures = MemoryPictures({asset.hash: picture for asset in site.assets})
    return bundle_files(site, fonts, pictures.file)  # type: ignore[arg-type]


@pytest.fixture
def visitor(browser: Browser, files: dict[str, bytes]) -> Iterator[Page]:
    context = browser.new_context(viewport={"width": 800, "height": 600}, timezone_id="America/New_York")

    def serve(route: object) -> None:
        name = route.request.url.removeprefix(WHERE).split("?")[0] or "index.html"  # type: ignore[attr-defined]
        kind = KINDS[name.rsplit(".", 1)[1]]
        headers = {"content-type": kind, "content-security-policy": POLICY}
        route.fulfill(body=files[name], headers=headers)  # type: ignore[attr-defined]

    context.route(f"{WHERE}**", serve)
    yield context.new_page()
    context.close()


SHIFTS = """() => {
  window.moved = 0;
  const add = (list) => list.getEntries().forEach((entry) => (window.moved += entry.value));
  new PerformanceObserver(add).observe({ type: 'layout-shift', buffered: true });
}"""


@pytest.mark.parametrize(
    ("moment", "day"),
    [
        ("2026-05-02T00:30:00Z", "2026-05-02"),
        ("2026-05-03T10:00:00Z", "2026-05-03"),
        ("2026-05-02T12:30:00Z", "2026-05-03"),  # Sunday there already, Saturday in the visitor's New York
        ("2026-05-03T12:30:00Z", "2026-05-04"),  # the month's band begins, on the third in New York
        ("2026-05-31T11:59:00Z", "2026-05-31"),
        ("2026-05-31T12:00:00Z", "2026-06-01"),
        ("2026-09-26T13:59:00Z", "2026-09-27"),  # the clocks go forward there on this day
        ("2026-04-04T12:30:00Z", "2026-04-05"),  # and back
        ("2031-01-01T00:00:00Z", "2031-01-01"),
    ],
)
def test_the_day_is_the_site_s(site: Site, visitor: Page, moment: str, day: str):
    asked: list[str] = []
    refused: list[str] = []
    visitor.on("request", lambda r: asked.append(r.url))
    visitor.on("console", lambda m: refused.append(m.text))
    visitor.clock.set_fixed_time(moment)
    visitor.add_init_script(f"({SHIFTS})()")
    visitor.goto(WHERE)
    page = shown(site, site.page("home"), Occasion(date.fromisoformat(day)))
    wanted = [b.wording for b in page.blocks()]
    assert visitor.locator("h1, h2").all_inner_texts() == wanted
    assert visitor.locator("template, noscript:visible").count() == 0
    visitor.wait_for_timeout(200)
    assert any(".webp" in url for url in asked) == ("may" in wanted)
    # a late font moves what it moves; what is chosen moves nothing
    assert visitor.evaluate("window.moved") < 0.02
    assert refused == []


def test_it_is_painted_as_the_page_of_that_day_is(site: Site, visitor: Page, files: dict[str, bytes], picture, fonts):
    visitor.clock.set_fixed_time("2026-05-20T00:00:00Z")
    visitor.goto(WHERE)
    visitor.wait_for_load_state("networkidle")
    found = np.asarray(Image.open(BytesIO(visitor.screenshot())).convert("RGB"))
    plain = shown(site, site.page("home"), Occasion(date(2026, 5, 20)))
    alone = read_site(site.model_copy(update={"pages": (plain,), "placed": ()}).model_dump(mode="json"))
    pictures = MemoryPictures({asset.hash: picture for asset in site.assets})
    files |= {f"alone/{n}": d for n, d in bundle_files(alone, fonts, pictures.file).items()}
    visitor.goto(f"{WHERE}alone/index.html")
    visitor.wait_for_load_state("networkidle")
    wanted = np.asarray(Image.open(BytesIO(visitor.screenshot())).convert("RGB"))
    assert np.array_equal(found, wanted)


def test_in_turn_by_visit(site: Site, browser: Browser, picture: bytes, fonts):
    plain = site.model_dump(mode="json")
    plain["placed"] = [
        {"page": "odd", "rules": [{"kind": "in-turn", "others": ["always", "saturday"], "by": "visit"}]},
        {"page": "always"},
        {"page": "saturday"},
        {"page": "may", "rules": [{"kind": "between", "last": "2000-01-01"}]},
    ]
    turning = read_site(plain)
    pictures = MemoryPictures({asset.hash: picture for asset in site.assets})
    files = bundle_files(turning, fonts, pictures.file)
    context = browser.new_context()
    context.route(
        f"{WHERE}**",
        lambda route: route.fulfill(body=files[route.request.url.removeprefix(WHERE) or "index.html"]),
    )
    seen = []
    for _ in range(4):
        visit = context.new_page()
        visit.goto(WHERE)
        visit.goto(WHERE)  # a second page of the same visit
        seen.append(visit.locator("h2").first.inner_text())
        visit.close()
    home = turning.page("home")
    occasions = [Occasion(date(2026, 5, 1), n) for n in range(4)]
    assert seen == [next(b.wording for b in shown(turning, home, o).blocks()) for o in occasions]
    assert len(set(seen[:3])) == 3
    context.close()


def test_without_script_the_default_stands(browser: Browser, files: dict[str, bytes]):
    context = browser.new_context(java_script_enabled=False)
    context.route(
        f"{WHERE}**",
        lambda route: route.fulfill(body=files[route.request.url.removeprefix(WHERE) or "index.html"]),
    )
    page = context.new_page()
    page.goto(WHERE)
    assert [text for text in page.locator("h1:visible, h2:visible").all_inner_texts() if text] == [
        "always",
        "Ferns under glass",
    ]
    context.close()
