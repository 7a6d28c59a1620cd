"""Header and banner in foreign pages: as they are alone, whatever the page says, and nothing of the page changes."""

import io
from collections.abc import Iterator
from pathlib import Path

import numpy as np
import pytest
from PIL import Image
from playwright.sync_api import Browser, Page

from garnetfern.core.css import Urls, bundle_files, emit_page, emit_rule
from garnetfern.core.css.letters import letter_files, lettered
from garnetfern.core.css.snippet import emit_snippet, part_of
from garnetfern.core.document import Site
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.memory import MemoryPictures
from garnetfern.service.files.site_file import SiteFile
from garnetfern.service.files.taken import TakingError, as_inline, as_pictures
from tests.sampled import sampled

FONTS = shipped_fonts()
HOSTS = {
    "a reset of everything": (
        "*, *::before, *::after { box-sizing: border-box; margin: 0; padding: 0; border: 0; font: inherit }"
        "* { color: inherit }"
        "a { color: inherit; text-decoration: none } img, picture { display: block; max-width: 100% }"
    ),
    "a page that shouts": (
        "body { font: italic 30px/3 serif; color: red; letter-spacing: 3px; text-transform: uppercase }"
        "body { text-align: right }"
        "*::before { content: 'x' }"
        "#page h1, h1, h2 { color: lime; margin: 40px; text-shadow: 3px 3px red; font-size: 90px }"
        "p { max-width: 5em; background: pink } a { border-bottom: 5px solid; color: orange; display: block }"
        "div { border: 2px solid blue; max-width: 60% } header, section { padding: 50px; float: left; width: 50% }"
    ),
    "ids on everything": (
        "#page * { opacity: .5; rotate: 1deg; filter: grayscale(1); z-index: 9; min-width: 20px }"
        "#page.page div.x-behind { display: none } #page main section { position: static; visibility: hidden } "
        "#page :not(b) { line-height: 4 }"
    ),
}


PAGE = "<div id=page class=page style='display: block; all: revert'>{}</div>"


@pytest.fixture(scope="module")
def files(demo: SiteFile) -> dict[str, bytes]:
    return bundle_files(demo.site, FONTS, MemoryPictures(demo.pictures).file)


@pytest.fixture
def window(browser: Browser, files: dict[str, bytes], tmp_path: Path) -> Iterator[Page]:
    for name, data in files.items():
        (tmp_path / name).parent.mkdir(parents=True, exist_ok=True)
        (tmp_path / name).write_bytes(data)
    context = browser.new_context(viewport={"width": 1280, "height": 700})
    page = context.new_page()
    yield page
    context.close()


def urls_of(site: Site) -> Urls:
    return lettered(site, Urls(), letter_files(site, site.pages, FONTS))


def seen(window: Page, folder: Path, html: str, what: str) -> np.ndarray:
    (folder / "tried.html").write_text(f"<!doctype html><meta charset=utf-8>{html}")
    window.goto((folder / "tried.html").as_uri(), wait_until="networkidle")
    window.evaluate("document.fonts.ready")
    shot = window.locator(what).first.screenshot(animations="disabled")
    return np.asarray(Image.open(io.BytesIO(shot)).convert("RGB")).astype(int)


@pytest.mark.parametrize("width", [1280, 390])
@pytest.mark.parametrize("host", sampled(list(HOSTS), 3))
def test_it_looks_as_it_does_alone(demo: SiteFile, window: Page, tmp_path: Path, host: str, width: int):
    window.set_viewport_size({"width": width, "height": 700})
    page = demo.site.pages[0]
    snippet = emit_snippet(demo.site, page, FONTS, urls_of(demo.site), "x")
    alone = seen(window, tmp_path, f"<style>body {{ margin: 0 }} {snippet.css}</style>{snippet.html}", ".x-page")
    around = f"<style>{HOSTS[host]} html, body, #page {{ all: revert }} body {{ margin: 0 }}</style>"
    there = seen(window, tmp_path, f"{around}<style>{snippet.css}</style>{PAGE.format(snippet.html)}", ".x-page")
    assert there.shape == alone.shape
    assert np.abs(there - alone).mean() < 0.02


@pytest.mark.parametrize("host", sampled(list(HOSTS), 3))
def test_a_band_in_a_field_looks_as_on_the_widest_screen(demo: SiteFile, window: Page, tmp_path: Path, host: str):
    window.set_viewport_size({"width": 1440, "height": 900})
    # what a page puts before everything no attribute can take away; it is told
    quiet = HOSTS[host].replace("*::before { content: 'x' }", "")
    site, page, urls = demo.site, demo.site.pages[0], urls_of(demo.site)
    band = page.bands[1]
    whole = emit_page(site, page.model_copy(update={"bands": (band,), "joins": ()}), FONTS, urls)
    fonts = f"<style>{whole.fonts}</style>"
    alone = seen(window, tmp_path, f"{fonts}<style>{whole.css}</style><body class=gf-page>{whole.body}", "section")
    around = f"<style>{quiet} html, body, #page {{ all: revert }} body {{ margin: 0 }}</style>"
    (text,) = as_inline(site, page, band, FONTS, urls).texts
    there = seen(window, tmp_path, f"{fonts}{around}{PAGE.format(text.text)}", "section")
    assert there.shape == alone.shape
    assert np.abs(there - alone).mean() < 0.02


@pytest.mark.parametrize("host", sampled(list(HOSTS), 3))
def test_one_rule_in_a_foreign_stylesheet(demo: SiteFile, window: Page, tmp_path: Path, host: str):
    """What it says of what lies behind the words holds wherever it is put; the rest is the page's own."""
    site, page = demo.site, demo.site.pages[0]
    css = emit_rule(site, page, page.bands[1], ".hall", FONTS, Urls()).css
    height = "<style>.hall { height: 400px; all: unset }</style>"
    one = f"{height}<style>{css} .hall {{ display: block }} body {{ margin: 0 }}</style><div class=hall></div>"
    alone = seen(window, tmp_path, one, ".hall")
    quiet = (
        "html, body { all: revert } body { margin: 0 } .hall, .hall::before { all: revert; content: none !important }"
    )
    there = seen(window, tmp_path, f"<style>{HOSTS[host]} {quiet} {css}</style><div class=hall></div>", ".hall")
    assert np.abs(there - alone).mean() < 0.2


def test_pictures_as_elements(demo: SiteFile, window: Page, tmp_path: Path):
    site, page = demo.site, demo.site.pages[0]
    (text,) = as_pictures(site, page, page.bands[1], FONTS, Urls()).texts
    (tmp_path / "tried.html").write_text(f"<!doctype html><div style='width: 600px'>{text.text}</div>")
    chosen = {}
    for width in (390, 1280):
        window.set_viewport_size({"width": width, "height": 700})
        window.goto((tmp_path / "tried.html").as_uri(), wait_until="networkidle")
        chosen[width] = window.evaluate("document.images[0].currentSrc").rpartition("/")[2]
        assert window.evaluate("document.images[0].complete && document.images[0].naturalWidth") > 0
    assert "-800-" in chosen[390]
    assert "-2000-" in chosen[1280]
    with pytest.raises(TakingError, match="no picture"):
        as_pictures(site, page, page.bands[0], FONTS, Urls())
    with pytest.raises(TakingError, match="Choose a band"):
        as_inline(site, page, page, FONTS, Urls())


def test_nothing_of_the_page_changes(demo: SiteFile, window: Page, tmp_path: Path):
    host = (
        f"<style>{HOSTS['a page that shouts']}</style><div id=page><h1>Host</h1><p>Words <a href=#>link</a></p></div>"
    )
    before = seen(window, tmp_path, host, "#page")
    snippet = emit_snippet(demo.site, demo.site.pages[0], FONTS, urls_of(demo.site), "x")
    after = seen(window, tmp_path, f"{host}<style>{snippet.css}</style>{snippet.html}", "#page")
    assert np.array_equal(before, after)


def test_a_prefix_is_a_name(demo: SiteFile):
    for wrong in ("", "1a", "A", "a b", "gf", "x" * 40, "a;b", "ä"):
        with pytest.raises(ValueError, match="A prefix"):
            emit_snippet(demo.site, demo.site.pages[0], FONTS, Urls(), wrong)
    snippet = emit_snippet(demo.site, demo.site.pages[0], FONTS, Urls(), "fern-house")
    assert "gf-" not in snippet.html + snippet.css
    assert snippet.left_out[0].endswith("only header and banner are in it.")
    assert {b.role for b in part_of(demo.site.pages[0]).bands} == {"header", "banner"}
