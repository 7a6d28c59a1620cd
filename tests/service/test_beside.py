"""Words put beside what matters in the picture behind them."""

import pytest

from garnetfern.core.css import bundle_files
from garnetfern.core.document import read_site
from garnetfern.core.picture.beside import CALM, Behind, Costs, Standing, of_parts
from garnetfern.core.picture.known import Known
from garnetfern.core.picture.look import Look
from garnetfern.core.resolve.box import Box
from garnetfern.core.resolve.layout import lay_out_page
from garnetfern.core.resolve.lengths import Viewport
from garnetfern.fonts import shipped_fonts
from garnetfern.service.edits.beside import BesideError, BesideSubject, beside_subject
from garnetfern.service.files.memory import MemoryPictures
from garnetfern.service.views.framing import shown_on_screens

FONTS = shipped_fonts()
ASKED = {"kind": "beside-subject", "page": "home", "band": "banner"}
LEFT = {"x": 0.0, "y": 0.1, "width": 0.4, "height": 0.8}
RIGHT = {"x": 0.6, "y": 0.1, "width": 0.4, "height": 0.8}
NOWHERE = tuple((1,) * 24 for _ in range(24))


class Plain:
    """Looks of pictures that show nothing in particular."""

    def of(self, _):
        return Known(Look((), 50.0, 1.0, ((1.0,),), NOWHERE, 0.0, ((0.0,),)), None, ("#808080", "#808080"), 0.0)


def banner(site):
    return site.pages[0].area("banner")


def beside(site):
    """The words put beside it, on a picture that is as light and as busy everywhere."""
    return beside_subject(site, BesideSubject(page="home", band="banner"), Plain(), FONTS)


def changed(site, part=None, focal=None, least="", **content):
    """The sample with its banner's words elsewhere or the banner higher, a part of the picture marked, or another focal
    point."""
    plain = site.model_dump(mode="json")
    boxes = [] if part is None else part if isinstance(part, list) else [part]
    plain["assets"][0]["parts"] = [{"id": f"it-{n}", "name": "It", "box": box} for n, box in enumerate(boxes)]
    band = next(b for b in plain["pages"][0]["bands"] if b["id"] == "banner")
    band["content"] |= content
    band["height"] |= {"min": least} if least else {}
    if focal is not None:
        band["backdrop"]["layers"][0]["focal"] = focal
    return read_site(plain)


def without_joins(site):
    return site.model_copy(update={"pages": tuple(p.model_copy(update={"joins": ()}) for p in site.pages)})


def covered(site):
    """The share of the marked part in sight that the banner's words lie on, by screen."""
    page, found = site.pages[0], {}
    costs = Costs(of_parts([p.box for p in site.assets[0].parts]).tolist(), [[1.0]], [[50.0]])
    for one in shown_on_screens(site, page, "banner", "dawn", FONTS):
        _, record = lay_out_page(site, page, Viewport(one.screen.width, one.screen.height), FONTS)
        band = next(b for b in record.bands if b.id == "banner")
        words = [Standing(Box(ln.x, ln.top, ln.width, ln.height), None) for block in band.blocks for ln in block.lines]
        found[one.screen.id] = costs.of(words, Behind(one.window, one.box)) - CALM
    return found


@pytest.mark.parametrize(("part", "away"), [(LEFT, "end"), (RIGHT, "start")], ids=["on the left", "on the right"])
def test_words_leave_what_matters_in_sight(demo, part, away):
    site = changed(demo.site, part, align="center")
    edited = beside(site)
    done, chosen = edited.site, edited.chosen
    before, after = covered(site), covered(done)
    assert (banner(done).content.align, chosen) == (away, "banner")
    assert after["desktop"] < 0.02 < before["desktop"]
    assert all(after[screen] <= before[screen] + 0.01 for screen in before)
    with pytest.raises(BesideError, match="already"):
        beside(done)


@pytest.mark.parametrize(("colour", "light"), [("#fffaf0", False), ("#101c16", True)])
def test_words_stand_where_their_colour_can_be_told_from_the_picture(edit, demo, colour, light):
    """The sample's picture is dark at the foot on the left and light at the top on the right."""
    plain = demo.site.model_dump(mode="json")
    band = next(b for b in plain["pages"][0]["bands"] if b["id"] == "banner")
    for block in band["columns"][0]["blocks"]:
        block["lettering"]["colour"] = colour
    band["content"] |= {"align": "center", "stand": "center"}
    content = banner(edit(ASKED, site=read_site(plain))[0]).content
    assert (content.stand == "end") is not light


def test_it_is_carried_out_as_an_edit(edit, demo):
    done, chosen = edit(ASKED, site=changed(demo.site, align="end", stand="start"))
    assert chosen == "banner"
    assert (banner(done).content.align, banner(done).content.stand) != ("end", "start")


def test_a_screen_has_a_place_of_its_own_where_the_common_one_costs_more(edit, demo):
    """A wide screen has room above what lies at the foot on both sides; a phone shows only what is between them."""
    between = {"x": 0.5, "y": 0.0, "width": 0.3, "height": 0.35}
    sides = [{"x": x, "y": 0.4, "width": wide, "height": 0.6} for x, wide in ((0.0, 0.48), (0.82, 0.18))]
    done = beside(changed(demo.site, [between, *sides], least="100vh")).site
    own = [screen for screen, other in banner(done).screens.items() if other.content]
    assert len(own) == 1
    alike, _ = edit({"kind": "same-everywhere", "page": "home", "item": "banner", "field": "content"}, site=done)
    assert banner(alike).screens == {}
    assert covered(done)[own[0]] < covered(alike)[own[0]] - 0.02
    assert max(covered(done).values()) < 0.06


def test_words_differ_on_a_screen_in_what_is_emitted(demo):
    plain = demo.site.model_dump(mode="json")
    band = next(b for b in plain["pages"][0]["bands"] if b["id"] == "banner")
    band["screens"] = {"phone": {"content": {**band["content"], "align": "end", "stand": "end"}}}
    style = bundle_files(read_site(plain), FONTS, MemoryPictures(demo.pictures).file)
    text = next(data.decode() for name, data in style.items() if name.endswith(".css"))
    assert "text-align: end" in text[text.index("@media") :]


def test_where_it_is_not_certain_what_matters_somebody_says_it_first(demo):
    middle = changed(demo.site, focal=[0.5, 0.5], align="center")
    with pytest.raises(BesideError, match="not certain"):
        beside(middle)
    tapped = changed(demo.site, focal=[0.2, 0.5], align="start")
    assert banner(beside(tapped).site).content.align != "start"


def test_a_band_without_a_picture_says_so(edit, demo):
    bare = next(b.id for b in demo.site.pages[0].bands if not any(x.assets() for x in b.backdrop.layers))
    with pytest.raises(BesideError, match="no picture that fills"):
        edit({**ASKED, "band": bare}, site=without_joins(demo.site))
