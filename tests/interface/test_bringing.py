"""A stylesheet of one's own, brought in with the mouse: read, its heading made readable, handed back as one rule."""

import re
from pathlib import Path

from playwright.sync_api import Page, expect

from tests.conftest import jpeg

CSS = ".band { background: url(hall.jpg) center / cover; color: #ffffff; min-height: 340px; padding: 60px }"
HTML = '<link rel="stylesheet" href="own.css"><section class="band"><h1>The reading room</h1></section>'


def test_a_page_is_brought_in_mended_and_handed_back(bench: Page, tmp_path: Path):
    for name, data in {
        "own.css": CSS.encode(),
        "page.html": HTML.encode(),
        "hall.jpg": jpeg(800, 500, (200, 205, 210)),
    }.items():
        (tmp_path / name).write_bytes(data)
    bench.get_by_role("button", name="Bring in", exact=True).click()
    files = bench.get_by_label("Bring stylesheets, pages, pictures, fonts or a zip of them")
    files.set_input_files([tmp_path / n for n in ("hall.jpg", "own.css", "page.html")])
    card = bench.get_by_role("article", name=".band")
    expect(card).to_contain_text("The reading room")
    expect(bench.get_by_text("1 area was read;")).to_be_visible()
    bench.get_by_role("button", name="As a band of its own: .band").click()
    expect(bench.frame_locator("iframe").first.get_by_role("heading", name="The reading room")).to_be_visible()
    expect(bench.get_by_text(re.compile("blocks? of words falls? short"))).to_be_visible()
    bench.get_by_role("button", name="Ways out").click()
    expect(bench.get_by_role("button", name="Stop")).to_have_count(0)
    bench.get_by_role("article").first.get_by_role("button", name="Do this").click()
    expect(bench.get_by_role("button", name="Redo")).to_be_disabled()
    bench.get_by_role("button", name="Take away", exact=True).first.click()
    expect(bench.get_by_label("The rule")).to_contain_text("hall-")


def test_what_cannot_be_read_is_told_and_nothing_is_lost(bench: Page):
    bench.get_by_role("button", name="Bring in", exact=True).click()
    expect(bench.get_by_role("button", name="Read it")).to_be_disabled()
    area = bench.get_by_label("CSS or HTML")
    area.fill(".odd { background: element(#x) }\n.good { background: #123456 }")
    bench.get_by_role("button", name="Read it").click()
    expect(bench.get_by_role("article", name=".good")).to_be_visible()
    expect(bench.get_by_text("element() is not read")).to_be_visible()
    area.fill("{" * 500)
    bench.get_by_role("button", name="Read it").click()
    expect(bench.get_by_role("alert")).to_contain_text("nested deeper")
    expect(bench.get_by_role("article", name=".good")).to_be_visible()
    # it is at hand after another view
    bench.get_by_role("button", name="Shelf", exact=True).click()
    bench.get_by_role("button", name="Bring in", exact=True).click()
    expect(bench.get_by_role("article", name=".good")).to_be_visible()
    bench.get_by_role("button", name="Lay on Banner: .good").click()
    expect(bench.get_by_text("It lies there.")).to_be_visible()
    expect(bench.get_by_role("button", name="Undo", exact=True)).to_be_enabled()
