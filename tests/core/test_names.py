"""Whatever something is called, a rule for it is a rule for it alone."""

import re

import pytest

from garnetfern.core.css import emit_page
from garnetfern.core.css.names import COMMON, named
from garnetfern.core.css.urls import Urls
from garnetfern.core.document import ids_of, read_site
from garnetfern.fonts import shipped_fonts
from tests.sites import HEADING, colour_layer, document, one_banner

FONTS = shipped_fonts()


def classes(text):
    return {name for said in re.findall(r'class="([^"]*)"', text) for name in said.split()}


def test_every_class_of_a_page_is_ours_or_of_something_on_it(demo):
    for page in demo.site.pages:
        emitted = emit_page(demo.site, page, FONTS, Urls())
        own = {named(name) for name in ids_of(page)}
        ours = {f"gf-{name}" for name in COMMON} | {f"gf-pick-{n}" for n in ids_of(page)}
        ours |= {f"gf-phrase-{n}" for block in page.blocks() for n in range(len(block.phrases))}
        assert classes(emitted.body) - own - ours == set()
        said = set(re.findall(r"\.(gf-[\w-]+)", emitted.css))
        assert said - own - ours == set(), page.id


@pytest.mark.parametrize("word", sorted(COMMON))
def test_a_word_of_ours_as_an_id_is_styled_alone(word):
    bands = [{**document()["pages"][0]["bands"][0], "id": f"b{n}", "columns": []} for n in range(2)]
    bands[1] = {**bands[1], "id": word, "height": {"min": "77px"}}
    plain = document()
    plain["pages"][0]["bands"] = bands
    site = read_site(plain, FONTS.names())
    css = emit_page(site, site.pages[0], FONTS, Urls()).css
    assert css.count("77px") == 1
    assert re.search(rf"\.gf-{word}_ \{{[^}}]*77px", css)


@pytest.mark.parametrize("word", ["band", "words", "layer", "column", "content", "behind", "pick-a"])
def test_the_browser_lays_it_out_as_the_core_does(browser, word):
    from garnetfern.core.css import bundle_files
    from garnetfern.core.resolve.lengths import Viewport
    from garnetfern.core.resolve.moment import Moment
    from garnetfern.core.resolve.page import resolve_page
    from garnetfern.service.files.memory import MemoryPictures
    from tests.referee.browser import Opened

    layer = colour_layer("#0b1a14", 0.5, id=f"{word}-2")
    file = one_banner(layer, blocks=[{**HEADING, "id": f"{word}-3"}], padding={"block": "31px", "inline": "17px"})
    plain = file.site.model_dump(mode="json")
    first = plain["pages"][0]["bands"][0]
    first["columns"][0]["id"] = "own-column"
    second = {**first, "id": word, "columns": [], "height": {"min": "90px"}, "backdrop": {"base": "#3f6f46"}}
    plain["pages"][0]["bands"].append(second)
    site = read_site(plain, FONTS.names())
    opened = Opened(browser, bundle_files(site, FONTS, MemoryPictures({}).file)).at(800, 600)
    record = resolve_page(site, site.pages[0], Moment(Viewport(800, 600)), FONTS)
    seen = opened.page.evaluate(
        "[...document.querySelectorAll('.gf-band')].map((e) => { const b = e.getBoundingClientRect();"
        " return [b.x, b.y, b.width, b.height]; })"
    )
    want = [[b.box.x, b.box.y, b.box.width, b.box.height] for b in record.bands]
    assert seen == [pytest.approx(box, abs=0.6) for box in want]
    opened.close()
