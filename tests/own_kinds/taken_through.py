"""The kinds of this folder, taken through document, setting, drawing, emission, readings, edits, API and bench."""

from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest
from playwright.sync_api import Browser, expect

from garnetfern.api.app import create_app
from garnetfern.api.local import run_locally
from garnetfern.core.document import LAYER_KINDS, read_site
from garnetfern.core.errors import DocumentError
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.site_file import SiteFile
from garnetfern.service.workspace.house import first_site
from tests.api.own import OwnClient
from tests.referee.banners import Sample
from tests.referee.compare import compare
from tests.sites import HEADING, document, reader_of

VEIL = {"kind": "veil", "id": "veil", "name": "Veil", "colour": "#0b1a14", "opacity": 0.8, "share": 0.5}
QUOTE = {**HEADING, "id": "said", "kind": "quote", "level": None, "wording": "Water them,\nthen wait."}


def site_file(**veil: Any) -> SiteFile:
    plain = document({**VEIL, **veil}, blocks=[HEADING, QUOTE], base="#c9d8b0")
    return SiteFile(read_site(plain, shipped_fonts().names()), {})


@pytest.fixture
def client(tmp_path: Path) -> Iterator[OwnClient]:
    app = create_app(tmp_path)
    app.state.house.first().start(site_file(), "A new site")
    with OwnClient(app, raise_server_exceptions=False) as found:
        yield found


def test_they_are_read_written_and_refused_by_the_document():
    file = site_file()
    assert "veil" in LAYER_KINDS
    assert read_site(file.site.model_dump(mode="json")) == file.site
    with pytest.raises(DocumentError):
        site_file(share=3)


def test_the_browser_agrees_with_where_they_are_and_what_they_look_like(browser):
    outcomes = list(compare(browser, Sample(site_file().site, {})))
    assert len(outcomes) == 3
    for outcome in outcomes:
        assert outcome.box <= 0.1, outcome.name
        assert outcome.lines_equal == outcome.lines_total > 0, outcome.name
        assert outcome.mean <= 0.6, outcome.name
        for block, core, seen, _ in outcome.readings:
            assert core == pytest.approx(seen, rel=0.04), f"{outcome.name}, {block}"


def test_their_readings_follow_them():
    faint, strong = (site_file(opacity=opacity, share=1) for opacity in (0.1, 0.9))
    ratios = []
    for file in (faint, strong):
        pairs = reader_of(file).read_page(file.site, file.site.pages[0])
        ratios.append(min(r.ratio for _, readings in pairs for r in readings if r.block == "said"))
    assert ratios[0] < 2 < 8 < ratios[1]


def test_they_are_offered_laid_in_and_shown_by_the_api(client):
    library = client.get("/api/library").json()
    assert library["kinds"][-1]["name"] == "veil"
    assert library["blocks"][-1] == {"kind": "quote", "name": "Quotation", "lettered": True, "linked": False, "own": []}
    asked = {"revision": 1, "patch": [], "page": "home"}
    offers = client.get("/api/offers?page=home").json()[-1]["offers"]
    assert offers[0]["layer"]["kind"] == "veil"
    cards = client.post("/api/build-up", json={**asked, "area": "banner"}).json()["cards"]
    assert [(c["id"], c["aside"]) for c in cards][1] == ("veil", "50 % wide")
    live = client.post("/api/live", json=asked).text
    assert "<blockquote" in live.replace("\\u003c", "<")
    overlay = client.post("/api/overlay", json={**asked, "area": "banner", "layer": "veil"}).json()
    assert overlay["layer"] == "veil"


def test_they_are_added_copied_and_taken_away_by_edits(client):
    edits = [
        {"kind": "add-block", "page": "home", "column": "column", "block": "quote"},
        {"kind": "add-plate", "page": "home", "block": "said"},
        {"kind": "copy-layer", "page": "home", "area": "banner", "layer": "veil", "to": "said"},
        {"kind": "duplicate-block", "page": "home", "block": "said"},
        {"kind": "remove-block", "page": "home", "block": "said"},
    ]
    for n, edit in enumerate(edits):
        answer = client.post("/api/edit", json={"revision": n + 1, "edit": edit})
        assert answer.status_code == 200, answer.text
    bands = client.get("/api/state").json()["document"]["pages"][0]["bands"]
    blocks = bands[0]["columns"][0]["blocks"]
    assert [b["kind"] for b in blocks] == ["heading", "quote", "quote"]
    assert blocks[1]["plate"]["backdrop"]["layers"][0]["kind"] == "veil"


def test_the_bench_shows_and_sets_them(tmp_path: Path, browser: Browser):
    studio = first_site(tmp_path)
    studio.start(site_file(), "A new site")
    studio.close()
    running = run_locally(tmp_path)
    page = browser.new_page()
    try:
        page.goto(f"{running.address}?area=banner&card=veil")
        card = page.get_by_role("button", name="Veil", exact=True)
        expect(card).to_be_visible()
        expect(page.get_by_title("50 % wide")).to_be_visible()
        card.click()
        strength = page.get_by_role("textbox", name="Strength")
        strength.fill("95")
        strength.press("Enter")
        expect(page.get_by_title("Strength: 95 %")).to_be_visible()
        page.get_by_role("button", name="Words", exact=True).click()
        page.get_by_label("Block of words").select_option("said")
        page.get_by_role("button", name="Add a block").click()
        page.get_by_role("menuitem", name="Quotation").click()
        expect(page.get_by_label("Block of words").locator("option")).to_have_count(3)
    finally:
        page.close()
        running.stop()
