"""An empty start in the real interface: each of three ways leads to what can be read on three screens."""

import re
from collections.abc import Iterator

import pytest
from playwright.sync_api import Browser, Page, expect

from garnetfern.api.local import run_locally
from garnetfern.api.site_routes import Sample
from garnetfern.demo.pictures import draw_picture
from garnetfern.service.files.site_file import pack_site_file
from garnetfern.service.workspace.house import House
from tests.sites import colour_layer, document, image_layer, one_banner, with_picture

from .looking import LOOK

SAID = "Ferns for every windowsill"


@pytest.fixture(params=[(1280, 800)], ids=str)
def empty(tmp_path, cache, browser: Browser, request) -> Iterator[Page]:
    house = House(tmp_path / "data")
    house.new("banner")
    house.close()
    sample = [with_picture({**document(image_layer()), "name": "A sample"}, draw_picture("misted-panes"))]
    running = run_locally(tmp_path / "data", cache, Sample("A sample", lambda _: sample))
    context = browser.new_context(viewport=dict(zip(("width", "height"), request.param, strict=True)))
    context.set_default_timeout(60_000)
    page = context.new_page()
    page.goto(running.address)
    page.get_by_role("heading", name="Begin", exact=True).wait_for()
    yield page
    context.close()
    running.stop()


def picture(page: Page) -> None:
    file = {"name": "bench.jpg", "mimeType": "image/jpeg", "buffer": draw_picture("misted-panes")}
    page.get_by_label("A picture", exact=True).set_input_files(file)


def test_a_picture_and_a_line_can_be_read_on_three_screens_in_three_actions(empty: Page):
    together = empty.get_by_role("button", name="Put them together")
    expect(together).to_be_disabled()
    picture(empty)
    empty.get_by_role("textbox", name="What your visitors shall read").fill(SAID)
    together.click()
    expect(empty.get_by_text("Every word can be read on every screen")).to_be_visible()
    expect(empty.get_by_role("heading", name="Build-up")).to_be_visible()
    for screen in ("Desktop", "Tablet", "Phone"):
        expect(empty.get_by_role("list", name=f"Readings on {screen}").get_by_text(SAID)).to_be_visible()
    empty.get_by_role("button", name="Undo").click()
    expect(empty.get_by_role("heading", name="Begin", exact=True)).to_be_visible()
    # what was given is still at hand
    expect(empty.get_by_role("textbox", name="What your visitors shall read")).to_have_value(SAID)
    expect(empty.get_by_role("button", name="bench.jpg: choose another picture")).to_be_visible()


def test_a_picture_that_is_dropped_waits_for_its_words(empty: Page):
    empty.evaluate(
        """() => {
          const data = new DataTransfer();
          const canvas = Object.assign(document.createElement('canvas'), { width: 90, height: 60 });
          return new Promise((done) => canvas.toBlob((blob) => {
            for (const name of ['dropped.png', 'other.png'])
              data.items.add(new File([blob], name, { type: 'image/png' }));
            document.body.dispatchEvent(new DragEvent('drop', { dataTransfer: data, bubbles: true, cancelable: true }));
            done();
          }));
        }"""
    )
    expect(empty.get_by_role("button", name="dropped.png: choose another picture")).to_be_visible()
    expect(empty.get_by_text("Bring the others once you have begun")).to_be_visible()
    empty.get_by_role("textbox", name="What your visitors shall read").fill(SAID)
    empty.keyboard.press("Enter")
    expect(empty.get_by_text("Every word can be read on every screen")).to_be_visible()
    expect(empty.frame_locator("iframe").first.locator("h1")).to_have_text(SAID)


def test_something_that_is_no_picture_is_said(empty: Page):
    file = {"name": "notes.jpg", "mimeType": "image/jpeg", "buffer": b"not a picture"}
    empty.get_by_label("A picture", exact=True).set_input_files(file)
    expect(empty.get_by_role("alert")).to_contain_text("notes.jpg")
    expect(empty.get_by_role("button", name="Put them together")).to_be_disabled()


def test_the_sample_opens_beside_this_site(empty: Page):
    empty.get_by_role("button", name="Open the sample").click()
    expect(empty.get_by_role("button", name="Sites, A sample is open")).to_be_visible()
    empty.get_by_role("button", name="Sites, A sample is open").click()
    expect(empty.get_by_role("button", name="Open My site")).to_be_visible()


def test_what_somebody_has_is_brought(empty: Page):
    empty.get_by_role("button", name="A stylesheet or a page").click()
    expect(empty.get_by_label("CSS or HTML")).to_be_visible()
    empty.get_by_role("navigation", name="Views").get_by_role("button", name="Bench").click()
    file = {"name": "ours.zip", "mimeType": "application/zip"}
    site = one_banner(colour_layer("#101820", 0.9))
    named = site.site.model_copy(update={"name": "Ours"})
    data = pack_site_file(type(site)(named, {}))
    empty.get_by_label("A site file", exact=True).set_input_files({**file, "buffer": data})
    expect(empty.get_by_role("button", name="Sites, Ours is open")).to_be_visible()


def test_the_page_can_be_gone_on_with_as_it_is(empty: Page):
    empty.get_by_role("button", name="Go on with this page as it is").click()
    expect(empty.get_by_role("heading", name="Build-up")).to_be_visible()
    expect(empty.get_by_role("button", name=re.compile("^Bring a picture"))).to_be_visible()


@pytest.mark.parametrize("empty", [(640, 800), (1024, 768), (390, 844)], indirect=True, ids=str)
def test_nothing_is_cut_or_covered(empty: Page):
    empty.wait_for_timeout(600)
    assert empty.evaluate(LOOK) == []
