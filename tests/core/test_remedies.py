"""Remedies: each kind suffices everywhere, is the least, spares other words, respects what is to be left alone."""

import copy
import math
from fractions import Fraction

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from garnetfern.core.document import read_site
from garnetfern.core.film.coding import coded
from garnetfern.core.reading import situations
from garnetfern.core.remedy import kept as kept_of_pictures
from garnetfern.core.remedy.kinds import KINDS
from garnetfern.core.remedy.mend import mend, short_blocks, word_by_word
from garnetfern.core.remedy.plight import Plight
from garnetfern.core.remedy.remedies import Remedies, in_order, no_colours
from garnetfern.core.remedy.remedy import Remedy
from garnetfern.core.remedy.search import FINE, narrowed
from garnetfern.service.views.remedies import patch_between
from garnetfern.service.workspace.patch import patched
from tests.conftest import jpeg
from tests.sites import HEADING, colour_layer, document, film_layer, image_layer, one_banner, reader_of, with_picture

from .test_readings import split_picture

BRIGHT = split_picture((150, 150, 150), (220, 215, 200))
"""Where white words cannot be read on either side, and worse on the right."""
HALVES = split_picture((10, 30, 20), (235, 230, 210))


def colours(_asset):
    return ("#3f5f46", "#c9c0a8")


def found_for(plain, picture=BRIGHT, block="headline", **site):
    file = with_picture({**plain, **site}, picture, "picture.png")
    page = file.site.pages[0]
    words = next(b for b in page.blocks() if b.id == block)
    return file, Remedies(reader_of(file), file.site, page, words, colours)


def headline(**more):
    return {**HEADING, **more}


def lettered(**lettering):
    return headline(lettering={"size": "40px", "colour": "#ffffff", **lettering})


def all_short(file, page):
    reader = reader_of(file)
    wanted = situations(file.site, page, None)
    return [r for _, rs in reader.reading_of(file.site, page, wanted) for r in rs if r.falls_short]


def turns(*colours, **more):
    """Gradients of one colour that take turns."""
    members = [
        {
            "layer": {
                "kind": "gradient",
                "id": f"turn-{n}",
                "name": f"Turn {n}",
                "gradient": {"stops": [{"colour": c}] * 2},
            }
        }
        for n, c in enumerate(colours)
    ]
    return {"kind": "sequence", "id": "turns", "name": "Turns", "stay": 2, "change": 1, "members": members, **more}


def brightening(bright, count=24):
    """A film that is dark but for a few pictures from one on."""
    frames = [np.full((90, 160, 3), 235 if bright <= n < bright + 6 else 20, dtype=np.uint8) for n in range(count)]
    return coded(lambda: iter(frames), count, Fraction(12), (160, 90), "h264", 10**6, lambda _: None).data


SMALL = lettered(size="16px")
CASES = {
    "strength": (document(image_layer(), colour_layer("#000000", 0.1)), BRIGHT),
    "overlay": (document(image_layer()), BRIGHT),
    "tint": (document(image_layer(), colour_layer("#909090", 0.8)), BRIGHT),
    "scrim": (document(image_layer()), BRIGHT),
    "plate": (document(image_layer()), BRIGHT),
    "shadow": (document(image_layer()), split_picture((110, 110, 110), (150, 150, 150))),
    "filters": (document(image_layer()), BRIGHT),
    "fill": (document(image_layer(), blocks=[lettered(colour="#808080")]), BRIGHT),
    "place": (
        document(image_layer(size="stretch"), content={"align": "end"}, blocks=[SMALL]),
        split_picture((10, 30, 20), (235, 230, 210), share=0.75),
    ),
    "focal": (
        document(image_layer(focal=[1, 0.5]), blocks=[SMALL]),
        split_picture((10, 30, 20), (235, 230, 210), width=2400, height=200),
    ),
    "blur": (
        document(image_layer(size="natural", repeat=["repeat", "repeat"])),
        split_picture((10, 10, 10), (170, 170, 170), width=36, height=36),
    ),
    "leave_out": (document(turns("#101820", "#e0e0d0", "#203040")), HALVES),
    "another_still": (document(film_layer(asset="picture", start=1, still=0)), brightening(0)),
    "base": (document(image_layer(), base="#f4efe4"), split_picture((10, 30, 20), (20, 30, 25))),
}


@pytest.mark.parametrize("kind", KINDS)
def test_every_kind_is_found_where_it_serves_and_suffices_in_every_situation(kind):
    plain, picture = CASES[kind]
    file, search = found_for(plain, picture)
    assert search.plight.short
    mine = [r for r in search.of_kind(kind) if isinstance(r, Remedy)]
    assert mine, kind
    for remedy in mine:
        assert all_short(file, remedy.page) == []
        assert remedy.worst.verdict == "enough"
        assert 0 <= remedy.kept <= 100
        assert remedy.sentence


@pytest.mark.parametrize("kind", ["strength", "overlay", "filters", "plate"])
def test_what_is_found_is_the_exact_change_and_no_more_than_it_must_be(kind):
    file, search = found_for(*CASES[kind])
    remedy = search.of_kind(kind)[0]
    site = file.site
    patch = patch_between(site, site.pages[0], remedy.page)
    changed = read_site(patched(site.model_dump(mode="json"), patch))
    assert changed.pages[0] == remedy.page
    # by brute force: with a little less something falls short
    assert remedy.worst.ratio / remedy.worst.required < 1.04


def test_an_opacity_is_the_least_to_within_five_thousandths():
    file, search = found_for(*CASES["overlay"])
    remedy = search.of_kind("overlay")[0]
    band = remedy.page.bands[0]
    layer = band.backdrop.layers[-1]
    less = layer.model_copy(update={"opacity": layer.opacity - 0.005})
    backdrop = band.backdrop.model_copy(update={"layers": (*band.backdrop.layers[:-1], less)})
    page = remedy.page.model_copy(update={"bands": (band.model_copy(update={"backdrop": backdrop}),)})
    assert all_short(file, page)


@given(st.floats(0.02, 0.98), st.floats(0.3, 4), st.floats(0.4, 8))
def test_narrowing_down_finds_the_least_that_meets(root, power, steep):
    looks = []

    def far(value):
        looks.append(value)
        return math.exp(steep * math.copysign(abs(value - root) ** power, value - root))

    found = narrowed(far, 0.0, 1.0)
    assert root - 1e-3 <= found <= root + FINE  # far from steep, no figure tells more
    assert len(looks) <= 2 + 2 * math.ceil(math.log2(1 / FINE))


@pytest.mark.parametrize(
    ("keep", "case", "gone"),
    [
        ("colour", "fill", {"fill"}),
        ("place", "place", {"place"}),
        ("picture", "strength", {"strength", "overlay", "filters"}),
        ("picture", "tint", {"tint"}),
        ("picture", "focal", {"focal"}),
        ("picture", "blur", {"blur"}),
    ],
)
def test_what_is_to_be_left_alone_is(keep, case, gone):
    plain, picture = CASES[case]
    plain = copy.deepcopy(plain)
    plain["pages"][0]["bands"][0]["columns"][0]["blocks"][0]["keep"] = [keep]
    search = found_for(plain, picture)[1]
    assert not [r for kind in gone for r in search.of_kind(kind)]
    assert isinstance(search.of_kind("plate")[0], Remedy)


def test_a_plate_that_is_there_becomes_stronger_instead_of_a_shade():
    plate = {"backdrop": {"base": "#10201a20"}, "padding": {"block": "8px", "inline": "8px"}}
    _, search = found_for(document(image_layer(), blocks=[headline(plate=plate)]))
    kinds = {r.kind: r for r in search}
    assert "scrim" not in kinds
    words = next(kinds["plate"].page.blocks())
    assert words.plate.padding.block == "8px"
    assert words.plate.backdrop.base.startswith("#10201a")


def test_where_the_picture_is_missing_the_base_goes_with_every_remedy():
    _, search = found_for(document(image_layer(), base="#f4efe4"))
    remedies = list(search)
    overlay = next(r for r in remedies if r.kind == "overlay")
    assert "The base, seen while the picture is missing" in overlay.sentence
    assert overlay.page.bands[0].backdrop.base != "#f4efe4"
    assert overlay.page.bands[0].backdrop.layers[-1].opacity < 0.7


def test_on_a_plain_ground_the_ground_or_the_words_change():
    file = one_banner(base="#b0b0b0")
    page = file.site.pages[0]
    search = Remedies(reader_of(file), file.site, page, next(page.blocks()), no_colours)
    found = {r.kind: r for r in search}
    assert {"base", "fill"} <= set(found)
    assert all_short(file, found["base"].page) == []
    assert found["fill"].kept == 100


def test_a_remedy_that_makes_other_words_fall_short_is_not_offered():
    dark = headline(id="dark", lettering={"size": "40px", "colour": "#000000"})
    _, search = found_for(document(image_layer(), blocks=[headline(), dark]), requirement="AAA")
    found = {r.kind for r in search if r.meets}
    assert "overlay" not in found
    assert "scrim" in found


def test_what_would_cost_other_words_is_the_nearest_where_nothing_else_is_left():
    dark = headline(id="dark", lettering={"size": "40px", "colour": "#000000"})
    plain = document(image_layer(), blocks=[headline(keep=["colour", "place"]), dark])
    _, search = found_for(plain, requirement="AAA")
    failed = [p for p in search.of_kind("overlay") if not isinstance(p, Remedy)]
    assert failed
    assert search._failed(failed[0]).sentence.endswith("Other words of the page would fall short then.")


def test_words_that_can_be_read_need_nothing():
    _, search = found_for(document(image_layer()), jpeg(colour=(20, 30, 25)))
    assert not search.plight.short
    assert list(search) == []


def test_where_nothing_suffices_the_nearest_is_shown_alone():
    words = lettered(size="16px", colour="#808080")
    keep = [{**words, "keep": ["colour"]}]
    _, search = found_for(document(image_layer(), blocks=keep), requirement="AAA")
    remedies = list(search)
    assert len(remedies) == 1
    assert not remedies[0].meets
    assert remedies[0].worst.ratio > search.plight.worst[0].ratio


def test_those_that_keep_most_stand_first_and_how_much_agrees_with_the_whole_picture(monkeypatch):
    _, search = found_for(document(image_layer(), colour_layer("#000000", 0.1)))
    ordered = in_order(list(search))
    kept = [r.kept for r in ordered]
    assert kept == sorted(kept, reverse=True)
    by_kind = {r.kind: r for r in ordered}
    # a shade behind the words alone touches less of the picture than an overlay
    assert by_kind["scrim"].kept > by_kind["overlay"].kept
    assert by_kind["overlay"].kept < 90
    # every third pixel each way tells what all of them do
    monkeypatch.setattr(kept_of_pictures, "STRIDE", 1)
    for remedy in ordered:
        assert search.kept(search.plight.trial(remedy.page)) == pytest.approx(remedy.kept, abs=0.5)


def test_a_page_is_mended_as_a_whole():
    plain = document(image_layer(), blocks=[headline(), lettered(size="16px") | {"id": "small"}])
    file = with_picture(plain, BRIGHT, "picture.png")
    page = file.site.pages[0]
    reader = reader_of(file)
    assert len(short_blocks(reader, file.site, page)) == 2
    told = []
    mended = mend(reader, file.site, page, colours, lambda words, share: told.append((words, share)))
    assert all_short(file, mended.page) == []
    assert mended.left == ()
    assert mended.done
    assert len(mended.helps) == 1
    shares = [share for _, share in told]
    assert shares == sorted(shares)
    assert 0 < shares[0] < 0.1
    assert shares[-1] > 0.5
    told.clear()
    alone = word_by_word(reader, file.site, page, colours, lambda words, share: told.append((words, share)))
    assert all_short(file, alone.page) == []
    assert ("Ferns under glass", 0.1) in told


def test_words_that_nothing_helps_are_named_and_the_rest_is_mended():
    hopeless = headline(id="grey", keep=["colour"], lettering={"size": "16px", "colour": "#808080"})
    plain = document(image_layer(), blocks=[headline(), hopeless]) | {"requirement": "AAA"}
    file = with_picture(plain, BRIGHT, "picture.png")
    mended = mend(reader_of(file), file.site, file.site.pages[0], colours)
    assert [b.id for b in mended.left] == ["grey"]
    assert [done.what for done in mended.done] == ["Ferns under glass"]
    assert mended.design is None


def test_hidden_words_have_no_plight():
    file = one_banner(blocks=[headline(visible=False)])
    page = file.site.pages[0]
    plight = Plight(reader_of(file), file.site, page, next(page.blocks()), no_colours)
    assert plight.worst is None
    assert not plight.short
