"""Menus that fold and pictures with clear space, in the browser: where all stands, and that no script is needed."""

import pytest

from garnetfern.core.css import bundle_files
from garnetfern.core.document import read_site
from garnetfern.core.reading import Reader, situations
from garnetfern.demo.pictures import draw_picture
from garnetfern.demo.site import asset
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.memory import MemoryPictures
from tests.sampled import sampled
from tests.sites import colour_layer, document

from .banners import Sample
from .browser import Opened
from .compare import compare

ITEMS = [
    {"wording": w, "link": f"#{n}"}
    for n, w in enumerate(("Visit", "Plants on loan from the old collection of the house, by the pot", "Fern fair"))
]
PLATE = {"backdrop": {"base": "#10201a"}, "padding": {"block": "8px", "inline": "14px"}}
WAYS = [
    (align, plate, fold)
    for align in ("start", "center", "end")
    for plate in (None, PLATE)
    for fold in ("closed", "open")
]


def sample_of(align="end", plate=None, fold="closed", **more):
    lettering = {"font": "Karla", "size": "17.5px", "colour": "#ffffff", "align": align}
    menu = {"id": "menu", "kind": "menu", "items": ITEMS, "lettering": lettering, "plate": plate}
    menu["screens"] = {"phone": {"fold": fold}, "tablet": {"size": "23px"}}
    below = {"id": "below", "kind": "text", "wording": "Ferns under glass"}
    plain = document(colour_layer("#7a1f2b", 0.4), blocks=[{**menu, **more}, below], height={"min": "40px"})
    return Sample(read_site(plain, shipped_fonts().names()), {})


@pytest.mark.parametrize(("align", "plate", "fold"), sampled(WAYS, 3))
def test_folded_entries_stand_where_the_browser_has_them(browser, align, plate, fold):
    for outcome in compare(browser, sample_of(align, plate, fold), with_readings=False):
        assert outcome.box <= 1 / 32, outcome.name
        assert outcome.lines_equal == outcome.lines_total, outcome.name
        assert outcome.mean <= 0.1, outcome.name


@pytest.mark.parametrize("link", [None, "index.html"])
def test_clear_space_of_a_picture_stands_where_the_browser_has_it(browser, link):
    data = draw_picture("fern-close")
    logo = {"kind": "picture", "asset": "fern-close", "clear": "23.5px", "link": link}
    blocks = [{"id": "one", **logo, "width": "40%"}, {"id": "two", **logo}]
    plain = document(blocks=blocks, content={"align": "center"})
    plain["assets"] = [asset("fern-close", data)]
    sample = Sample(read_site(plain, shipped_fonts().names()), {plain["assets"][0]["hash"]: data})
    reader = Reader(shipped_fonts(), MemoryPictures(sample.originals))
    opened = Opened(browser, bundle_files(sample.site, reader.fonts, MemoryPictures(sample.originals).file))
    for situation in (s for s in situations(sample.site, sample.site.pages[0]) if s.kind == "rest"):
        view = situation.moment.viewport
        seen = opened.at(int(view.width), int(view.height)).boxes()
        (band,) = reader.resolve(sample.site, sample.site.pages[0], situation).bands
        for name, box in band.pictures:
            assert (box.x, box.y, box.width, box.height) == pytest.approx(seen[name], abs=1 / 32), situation.name
        assert band.box.height == pytest.approx(seen["banner"][3], abs=1 / 32)
    opened.close()


def test_keyboard_and_press_open_it_and_what_is_not_shown_is_not_reached(browser):
    sample = sample_of(wording="Pages")
    files = bundle_files(sample.site, shipped_fonts(), MemoryPictures({}).file)
    assert b"<script" not in files["index.html"]
    opened = Opened(browser, files).at(390, 844)
    page = opened.page
    summary, entry = page.get_by_text("Pages", exact=True), page.get_by_role("link", name="Fern fair")
    assert entry.count() == 0
    page.keyboard.press("Tab")
    assert page.evaluate("document.activeElement.tagName") == "SUMMARY"
    page.keyboard.press("Enter")
    assert entry.is_visible()
    for _ in ITEMS:
        page.keyboard.press("Tab")
    assert page.evaluate("document.activeElement.textContent") == "Fern fair"
    summary.click()
    assert entry.count() == 0
    # beside each other there is nothing to open
    opened.at(1200, 800)
    assert (summary.is_visible(), entry.count()) == (False, 1)
    page.keyboard.press("Tab")
    assert page.evaluate("document.activeElement.textContent") == "Visit"
    opened.close()
