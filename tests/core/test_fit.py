"""What does not fit: a page that has each kind of trouble, and one that is nearly the same and has it not; ways out."""

import pytest

from garnetfern.core.document import read_site
from garnetfern.core.reading.fit import KINDS, fit_in, fit_of, fit_situations
from garnetfern.core.reading.fit._look import Look
from garnetfern.core.reading.fit.focus import changed
from garnetfern.core.reading.fit.torn import torn_at
from garnetfern.core.reading.fit_widths import FitRun
from garnetfern.core.remedy.fitting import WAYS, Trouble, ways_out
from garnetfern.core.resolve.box import Box
from garnetfern.demo.words import words
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.site_file import SiteFile
from garnetfern.service.views.fit import fit_verdict, fit_view
from tests.sites import document, reader_of

LONG = "Bring a basket: pots, spores and divisions of the old collection are given to whoever promises to water them. "
TORN = "Antidisestablishmentarianistically"
PLATE = {"backdrop": {"base": "#204030", "layers": []}, "padding": {"block": "2px", "inline": "4px"}}


def text(name="w", wording="Maidenhair under glass", size="17px", kind="text", **more):
    lettering = more.pop("lettering", {})
    found = words(name, kind, wording, "Hanken Grotesk", size, "#ffffff")
    found["lettering"] |= lettering
    return found | more


def menu(*items, **lettering):
    found = text("w", "", kind="menu", lettering=lettering)
    return found | {"items": [{"wording": item, "link": "#"} for item in items]}


def site_of(*blocks, column=None, **band):
    columns = [{"id": "column", "blocks": list(blocks), **(column or {})}]
    return SiteFile(read_site(document(columns=columns, **band), shipped_fonts().names()), {})


def two_columns(*blocks, **band):
    columns = [{"id": f"column-{n}", "blocks": [block]} for n, block in enumerate(blocks)]
    return SiteFile(read_site(document(columns=columns, layout="row", **band), shipped_fonts().names()), {})


def misfits(file, kind=None):
    """What is found, by kind and situation, of one kind or of all."""
    reader, page = reader_of(file), file.site.pages[0]
    kinds = None if kind is None else (kind,)
    found = fit_in(reader, file.site, page, fit_situations(file.site, page), kinds)
    return {(m.kind, s.id): m for s, all_ in found for m in all_}


def places(file):
    """Every misfit there is: kind, words and situation."""
    found = fit_of(reader_of(file), file.site, file.site.pages[0])
    return {(m.kind, m.block, s.id) for s, all_ in found for m in all_}


TIGHT = {"gap": "0px", "padding": {"block": "0px", "inline": "0px"}}
PRESSED = {**PLATE, "padding": {"block": "9px", "inline": "14px"}}
BUTTON = text("go", "Come to the fair", kind="button", link="#", plate=PRESSED)
CAST = {"down": "-50px", "blur": "0px", "spread": "30px", "colour": "#000000"}
UNDER = text("over", "Fronds", plate={**PLATE, "shadow": CAST})

RED, GREEN = {"lettering": {"colour": "#b00000"}}, {"lettering": {"colour": "#006a00"}}

CASES = {
    "off_screen": (
        site_of(menu("Everything about the plants on loan from the old collection")),
        site_of(menu("Plants on loan")),
    ),
    "over_edge": (
        site_of(menu("Everything about plants on loan") | {"plate": PLATE, "width": "120px"}),
        site_of(menu("Everything about plants on loan") | {"plate": PLATE}),
    ),
    "on_each_other": (
        site_of(text(wording="Platy gypsy\nfern fjord", size="60px", lettering={"line": 0.6})),
        site_of(text(wording="Platy gypsy\nfern fjord", size="60px", lettering={"line": 1.3})),
    ),
    "on_a_button": (
        two_columns(menu("Everything about the plants on loan from the old collection"), BUTTON),
        two_columns(menu("Plants"), BUTTON),
    ),
    "covered": (
        site_of(text(), UNDER, column=TIGHT),
        site_of(text(), UNDER, column={**TIGHT, "gap": "120px"}),
    ),
    "torn": (site_of(text(wording=TORN, size="60px")), site_of(text(wording=TORN, size="12px"))),
    "narrow": (
        site_of(text(wording="Ferns bring shade under glass houses", width="60px")),
        site_of(text(wording="Ferns bring shade under glass houses", width="300px")),
    ),
    "small": (site_of(text(size="11px")), site_of(text(size="12px"))),
    "close_lines": (
        site_of(text(wording=LONG * 3, lettering={"line": 1.1})),
        site_of(text(wording=LONG * 3, lettering={"line": 1.2})),
    ),
    "long_lines": (
        site_of(text(wording=LONG * 4), content={"width": "1600px"}),
        site_of(text(wording=LONG * 4, width="34em"), content={"width": "1600px"}),
    ),
    "target": (
        site_of(*(menu("One", "Two", line=1.0) | {"id": f"m{n}"} for n in range(3)), column=TIGHT),
        site_of(*(menu("One", "Two", line=1.5) | {"id": f"m{n}"} for n in range(3)), column=TIGHT),
    ),
    "forced": (
        site_of(text(wording="Āgypsy", size="60px", lettering={"line": 0.6})),
        site_of(text(wording="Āgypsy", size="60px", lettering={"line": 1.2})),
    ),
    "by_hue": (
        site_of(text("line", "The ferns are in", **RED), text("way", link="#", **GREEN)),
        site_of(text("line", "The ferns are in", **RED), text("way", link="#", **GREEN, size="24px")),
    ),
    "focus": (
        site_of(BUTTON, UNDER, column=TIGHT),
        site_of(BUTTON, UNDER, column={**TIGHT, "gap": "120px"}),
    ),
}


@pytest.mark.parametrize("kind", CASES)
def test_trouble_is_found_where_it_is_and_nowhere_else(kind):
    bad, good = CASES[kind]
    found = misfits(bad, kind)
    assert found, "the page that has it"
    assert all(m.sentence.endswith(".") and m.boxes and m.figure > 0 for m in found.values())
    assert all(b.width > 0 and b.height > 0 for m in found.values() for b in m.boxes)
    rest = {(k, s) for k, s in misfits(good, kind) if s.endswith(":rest")}
    assert not rest, "the one that has not"


@pytest.mark.parametrize(
    ("line", "way", "told"),
    [
        (RED, GREEN, False),
        # not even another hue
        ({}, {}, False),
        # told by size, by weight, by a plate; nothing that it could be taken for
        (RED, {**GREEN, "size": "24px"}, True),
        (RED, {"lettering": {"colour": "#006a00", "weight": 700}}, True),
        (RED, {**GREEN, "plate": PLATE}, True),
        # told by its light
        ({"lettering": {"colour": "#000000"}}, {"lettering": {"colour": "#8080ff"}}, True),
        ({"kind": "heading", "level": 2}, {}, True),
        ({"link": "#"}, {}, True),
    ],
)
def test_a_link_is_told_from_running_words_beside_it_by_more_than_a_hue(line, way, told):
    file = site_of(text("line", "The ferns are in", **line), text("way", "See them", link="#", **way))
    assert bool(misfits(file, "by_hue")) != told


AMONG = {"start": 8, "end": 12, "link": "#", "underlined": False}


@pytest.mark.parametrize(
    ("phrase", "lettering", "told"),
    [
        ({}, {}, False),
        ({"colour": "#006a00"}, {"colour": "#b00000"}, False),
        ({"underlined": True}, {}, True),
        ({"strong": True}, {}, True),
        ({"strong": True}, {"font": "Young Serif"}, False),
        ({"emphasis": True}, {}, True),
        ({"colour": "#ffffff"}, {"colour": "#404040"}, True),
        # all of the words are the link
        ({"start": 0, "end": 15}, {}, True),
    ],
)
def test_a_link_among_words_is_told_from_them_by_more_than_a_hue(phrase, lettering, told):
    file = site_of(text(wording="Ask the warden.", phrases=[{**AMONG, **phrase}], lettering=lettering))
    found = misfits(file, "by_hue")
    assert bool(found) != told
    if not told:
        assert {m.sentence for m in found.values()} <= {
            "Nothing tells the link 'ward' from the words around it.",
            "Only its hue (1.1 of 3) tells the link 'ward' from the words around it.",
        }
        trouble = Trouble(reader_of(file), file.site, file.site.pages[0], "w", "by_hue")
        ways = list(ways_out(trouble))
        assert [way.way for way in ways] == ["underlined"]
        changed_site = file.site.model_copy(update={"pages": (ways[0].change.page,)})
        assert not misfits(SiteFile(changed_site, {}), "by_hue")


def test_every_kind_is_tried_here():
    assert set(CASES) | {"paper"} == set(KINDS)


@pytest.mark.parametrize("colour", ["#ffffff", "#fdf6c4", "#808080"])
def test_words_of_any_colour_are_printed_dark(colour):
    more = {"outline": {"width": "2px", "colour": "#ffffff"}, "shadow": {"blur": "9px", "colour": "#ffffff"}}
    file = site_of(
        text(lettering={"colour": colour, **more}, plate=PLATE), text("v", lettering={"hollow": True, **more})
    )
    reader, page = reader_of(file), file.site.pages[0]
    (printed,) = [s for s in fit_situations(file.site, page) if s.kind == "printed"]
    record = reader.resolve(file.site, page, printed)
    ratios = [reader.ratio(record, block) for block in record.blocks()]
    assert ratios == [pytest.approx(21), pytest.approx(21)]
    assert record.height == 1047, "bands are as high as what is in them"
    assert not misfits(file, "paper")


def test_words_that_vanish_on_paper_are_found(monkeypatch):
    monkeypatch.setattr("garnetfern.core.resolve.moment.INK", "#dddddd")
    found = misfits(site_of(text()), "paper")
    assert [s for _, s in found] == ["tablet:printed"]
    assert next(iter(found.values())).grave


def test_small_targets_are_hard_to_press_and_nothing_of_them_is_lost():
    file, _ = CASES["target"]
    assert [m.grave for m in misfits(file, "target").values()] == [False] * len(misfits(file, "target"))
    assert misfits(file, "target")


def test_wider_setting_is_that_of_the_standard():
    file = site_of(text(wording="One two", size="20px"))
    reader, page = reader_of(file), file.site.pages[0]
    situations = {s.id: s for s in fit_situations(file.site, page)}
    rest, wide = (reader.resolve(file.site, page, situations[n]) for n in ("phone:rest", "phone:spaced"))
    (before,), (after,) = (next(r.blocks()).lines for r in (rest, wide))
    assert after.height == 30
    # six letters and a space are 0.12 em wider each, the space 0.16 em more; the last letter's is within the line
    assert after.width - before.width == pytest.approx(7 * 2.4 + 3.2, abs=1.0)


def test_places_where_words_are_torn_are_not_breaks():
    file = site_of(text(wording=f"Half-open {TORN} doors", size="40px"))
    reader, page = reader_of(file), file.site.pages[0]
    (phone,) = [s for s in fit_situations(file.site, page) if s.id == "phone:rest"]
    (block,) = reader.resolve(file.site, page, phone).blocks()
    for at in torn_at(block):
        assert (block.wording[at - 1] + block.wording[at]).isalpha()
    assert torn_at(block)


def test_two_lines_of_which_one_stands_out_are_seen_on_every_ground():
    import numpy as np

    for level in np.linspace(0, 1, 21):
        behind = np.full((60, 100), level, dtype=np.float32)
        box = Box(20, 20, 40, 20)
        assert changed(behind, (0, 0, 100, 60), box, ()) >= 4 * (box.width + box.height)
    assert changed(behind, (0, 0, 100, 60), box, (Box(0, 0, 100, 60),)) == 0


WITH_WAYS = (
    *("over_edge", "on_each_other", "torn", "narrow", "small"),
    *("close_lines", "long_lines", "target", "covered", "by_hue", "focus"),
)


@pytest.mark.parametrize("kind", WITH_WAYS)
def test_ways_out_end_the_trouble_and_bring_no_other(kind):
    file = CASES[kind][0]
    reader, page = reader_of(file), file.site.pages[0]
    before = places(file)
    block = next(b for k, b, _ in sorted(before) if k == kind)
    trouble = Trouble(reader, file.site, page, block, kind)
    found = list(ways_out(trouble))
    assert found
    for way in found:
        assert kind in WAYS[way.way].FOR
        changed_site = file.site.model_copy(update={"pages": (way.change.page,)})
        # as it is kept: read again from its JSON
        read = read_site(changed_site.model_dump(mode="json"), shipped_fonts().names())
        after = places(SiteFile(read, {}))
        assert not any((k, b) == (kind, block) and s in {x.id for x in trouble.situations} for k, b, s in after)
        assert after <= before
        assert way.change.page != page


def test_the_widths_at_which_words_begin_to_fit_are_those_of_looking_at_every_one():
    file = site_of(
        text(wording=f"Half-open {TORN} doors", size="7vw", kind="heading", level=1),
        {**menu("Plants on loan"), "id": "m"},
    )
    run = FitRun(reader_of(file), file.site, file.site.pages[0])
    shares = []
    found = list(run.run(shares.append))
    assert shares[-1] == 1
    assert shares == sorted(shares)
    here = {c.misfit.kind for c in found if c.width == 320}
    assert {(c.width, c.begins) for c in found if c.misfit.kind == "torn"}
    known = set(run.at(320))
    for width in range(320, 900):
        now = set(run.at(width))
        told = {((c.misfit.kind, c.misfit.block), c.begins) for c in found if c.width == width}
        if width > 320:
            assert told == {(key, True) for key in now - known} | {(key, False) for key in known - now}, width
        known = now
    assert here == {kind for kind, _ in run.at(320)}


def test_a_menu_that_has_no_room_can_be_folded_where_it_has_none():
    file = CASES["off_screen"][0]
    trouble = Trouble(reader_of(file), file.site, file.site.pages[0], "w", "off_screen")
    way = next(w for w in ways_out(trouble) if w.way == "fold")
    (block,) = way.change.page.blocks()
    assert {screen: own.fold for screen, own in block.screens.items()} == {"phone": "closed", "tablet": "closed"}
    assert way.change.sentence == "The menu is folded on the tablet and the phone; a press opens it."


def test_words_whose_place_is_kept_stay():
    file = CASES["off_screen"][0]
    page = file.site.pages[0]
    kept = page.model_copy(update={"bands": page.bands})
    block = kept.bands[0].columns[0].blocks[0].model_copy(update={"keep": ("place",)})
    column = kept.bands[0].columns[0].model_copy(update={"blocks": (block,)})
    kept = page.model_copy(update={"bands": (page.bands[0].model_copy(update={"columns": (column,)}),)})
    trouble = Trouble(reader_of(file), file.site, kept, "w", "off_screen")
    assert not list(WAYS["place"].found(trouble))


def test_a_page_without_words_is_no_pass():
    file = site_of()
    view = fit_view(reader_of(file), file.site, file.site.pages[0])
    assert (view["sentence"], view["good"]) == ("There are no words here yet.", False)
    assert not view["layouts"]


def test_words_whose_letters_are_missing_are_no_pass():
    file = site_of(text(wording="\u6c34 and ferns"))
    view = fit_view(reader_of(file), file.site, file.site.pages[0])
    assert (view["sentence"], view["good"]) == ("All words fit, as far as it could be looked at.", False)


def test_what_it_comes_to_is_said():
    assert fit_verdict([], 13)["good"]
    one, other = {"block": "a", "grave": False}, {"block": "b", "grave": True}
    assert fit_verdict([one, one], 13)["sentence"] == "One block of words does not fit everywhere."
    assert fit_verdict([other], 13)["sentence"] == "One block of words does not fit everywhere: something is lost."
    assert "of 1 something is lost" in fit_verdict([one, other], 13)["sentence"]


def test_every_page_of_the_sample_is_looked_at(demo):
    reader = reader_of(demo)
    for page in demo.site.pages[:2]:
        looked = [s for s, _ in fit_of(reader, demo.site, page)]
        assert {s.kind for s in looked} == {"rest", "enlarged", "plain", "spaced", "printed", "opened"}
        assert not any(m.grave for _, found in fit_of(reader, demo.site, page) for m in found)
        assert Look(reader, demo.site, reader.met(demo.site, page), looked[0]).targets


def test_the_sample_has_a_page_with_trouble_of_every_kind_and_one_with_none(demo):
    reader = reader_of(demo)

    def kinds(name):
        return {m.kind for _, found in fit_of(reader, demo.site, demo.site.page(name)) for m in found}

    assert kinds("noticeboard") | {"paper"} == set(KINDS)
    assert not kinds("fern-book")
