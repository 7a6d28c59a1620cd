"""Whole areas mended by one idea: each suffices everywhere, looks like one hand, and its figure says what it costs."""

import itertools

import numpy as np
import pytest

from garnetfern.core.colour.contrast import is_light
from garnetfern.core.colour.mix import distance, from_lch, lch
from garnetfern.core.draw.words import draw_page
from garnetfern.core.reading import situations
from garnetfern.core.remedy import mend as mending
from garnetfern.core.remedy.cost import MEANS, Costs, pictured
from garnetfern.core.remedy.designs import Designs
from garnetfern.core.remedy.distress import AreaTrial, Distress
from garnetfern.core.remedy.draft import Draft
from garnetfern.core.remedy.fills import fill_of
from garnetfern.core.remedy.ideas import IDEAS
from garnetfern.core.remedy.ideas._fade import Span, shade, shared
from garnetfern.core.remedy.mend import MOST_HELPS, Mended, mend, word_by_word
from garnetfern.core.remedy.remedies import no_colours
from garnetfern.core.remedy.tone import CHROMA, DARK, LIGHT, NEAR, NEAR_OF_HUE, shade_tone
from tests.conftest import jpeg
from tests.sampled import sampled
from tests.sites import HEADING, colour_layer, document, image_layer, reader_of, with_picture

from .test_readings import split_picture

BRIGHT = split_picture((150, 150, 150), (220, 215, 200))
HALVES = split_picture((10, 30, 20), (235, 230, 210))
COLOURS = ("#3f5f46", "#c9c0a8")


def colours(_asset):
    return COLOURS


def words(name, size="40px", colour="#ffffff", **more):
    lettering = {"size": size, "colour": colour}
    return {**HEADING, "id": name, "wording": f"{name.capitalize()} under glass", "lettering": lettering, **more}


def joined(header="#ffffff", line="#ffffff", stand="end"):
    """A header and a banner over one picture."""
    plain = document(blocks=[words("title"), words("line", "17px", line)], content={"stand": stand})
    page = plain["pages"][0]
    banner = page["bands"][0]
    banner["backdrop"] = {}
    banner["height"] = {"min": "560px"}
    top = {
        "id": "header",
        "name": "Header",
        "role": "header",
        "columns": [{"id": "names", "blocks": [words("site", "18px", header)]}],
    }
    page["bands"] = [top, banner]
    page["joins"] = [
        {"id": "top", "name": "Top", "first": "header", "last": "banner", "backdrop": {"layers": [image_layer()]}}
    ]
    return plain


def one_band(*layers, blocks=None, **band):
    return document(image_layer(), *layers, blocks=blocks or [words("title"), words("line", "17px")], **band)


def coloured():
    """Words of which one phrase is dark, the others light."""
    phrases = [{"start": 0, "end": 5, "colour": "#17211b", "strong": True}]
    return one_band(colour_layer("#0b1a14", 0.1), blocks=[words("title", phrases=phrases), words("line", "17px")])


SITES = {
    "a phrase is of the other tone": (coloured(), BRIGHT),
    "an overlay that is too weak": (one_band(colour_layer("#0b1a14", 0.1)), BRIGHT),
    "nothing over it": (one_band(), HALVES),
    "words aside on a wide band": (one_band(colour_layer("#000000", 0.1), height={"min": "480px"}), HALVES),
    "dark words": (one_band(blocks=[words("title", colour="#20302a")], base="#101010"), HALVES),
    "header and banner": (joined(), BRIGHT),
    "one block is of the other tone": (joined(line="#17211b"), BRIGHT),
    "only the base fails": (one_band(base="#ffffff"), split_picture((20, 30, 20), (30, 40, 30))),
}


def distress_of(plain, picture):
    file = with_picture(plain, picture, "picture.png")
    designs = Designs(reader_of(file), file.site, file.site.pages[0], colours)
    page = file.site.pages[0]
    area = page.area("top") or page.area("banner")
    return file, Distress(designs.present, area, colours)


def short_on(file, page):
    reader = reader_of(file)
    wanted = situations(file.site, page, None)
    return {r.block for _, rs in reader.reading_of(file.site, page, wanted) for r in rs if r.falls_short}


FOUND = {
    "a phrase is of the other tone": {"deepen", "shade"},
    "an overlay that is too weak": {"deepen", "shade", "veil", "plate", "halo"},
    "words aside on a wide band": {"shade", "deepen"},
    "dark words": {"shade", "plate"},
    "header and banner": {"letters", "shade", "apart"},
    "only the base fails": {"base", "part", "place"},
}
"""Ideas that must be found there, among others."""


@pytest.mark.parametrize("name", sampled(list(SITES), 3))
def test_with_every_draft_all_words_of_the_area_can_be_read_in_every_situation(name):
    file, distress = distress_of(*SITES[name])
    found = set()
    for idea, module in IDEAS.items():
        for draft in module.found(distress):
            assert draft.idea == idea
            assert not short_on(file, draft.page) & set(distress.words), draft.sentence
            assert draft.sentence.endswith(".")
            found.add(idea)
    assert found >= FOUND.get(name, set())
    assert found


def test_every_idea_is_looked_for_and_has_a_place_among_them_and_a_title():
    assert set().union(*FOUND.values()) == set(IDEAS)
    orders = [module.ORDER for module in IDEAS.values()]
    assert orders == sorted(set(orders))
    assert all(module.TITLE for module in IDEAS.values())


def test_an_area_ends_in_one_tone_and_says_so():
    file, distress = distress_of(*SITES["one block is of the other tone"])
    assert distress.recoloured == 1
    for idea in ("shade", "veil"):
        for draft in IDEAS[idea].found(distress):
            blocks = [b for b in draft.page.blocks() if b.id in distress.words]
            assert len({is_light(fill_of(b)) for b in blocks}) == 1
            assert "One block of words becomes #ffffff" in draft.sentence
            assert draft.recoloured == 1
    assert file.site.pages[0] is distress.page


def test_what_is_to_be_left_alone_is():
    for what, ideas in {"picture": ("deepen", "shade", "veil", "part"), "place": ("place",)}.items():
        blocks = [words("title", keep=[what]), words("line", "17px")]
        _, distress = distress_of(one_band(colour_layer("#000000", 0.1), blocks=blocks), BRIGHT)
        assert [d for idea in ideas for d in IDEAS[idea].found(distress)] == []
    odd = joined(line="#17211b")
    odd["pages"][0]["bands"][1]["columns"][0]["blocks"][1]["keep"] = ["colour"]
    _, distress = distress_of(odd, BRIGHT)
    assert distress.recoloured == 0


def test_a_shade_has_no_edge_that_is_seen():
    """Its strength changes by less than a level and a half from one px to the next, over white."""
    file, distress = distress_of(joined(), jpeg(300, 200, (255, 255, 255)))
    drafts = list(IDEAS["shade"].found(distress))
    assert drafts
    reader = reader_of(file)
    for draft in drafts:
        trial = AreaTrial(reader, file.site, draft.page)
        for situation in distress.rest:
            canvas = pictured(reader, trial.record(situation), "top").astype(int)
            assert np.abs(np.diff(canvas, axis=0)).max() <= 2
            assert np.abs(np.diff(canvas, axis=1)).max() <= 2


@pytest.mark.parametrize("light", [True, False])
@pytest.mark.parametrize("own", [(), ("#ff0000", "#00ff00"), ("#101010",), ("#fefefe",), ("#123456", "#cfe8ff")])
def test_a_tone_is_of_the_picture_and_serves_the_letters(own, light):
    found = shade_tone(own, (), light)
    lightness, chroma, _ = lch(found)
    low, high = DARK if light else LIGHT
    assert low - 0.02 <= lightness <= high + 0.02
    assert chroma <= CHROMA[1] + 0.01
    if own:
        near = from_lch(lightness + 0.01, chroma, lch(found)[2])
        assert shade_tone(own, (near,), light) == near
        assert distance(near, found) <= NEAR
    far = "#7a1f2b"
    assert shade_tone(own, (far,), light) in (found, far)
    assert shade_tone(own, (far,), light) == found or distance(far, found) <= NEAR_OF_HUE


@pytest.mark.parametrize("name", sampled(list(SITES), 3))
def test_designs_are_other_ideas_each_the_least_costly_first(name):
    file = with_picture(SITES[name][0], SITES[name][1], "picture.png")
    designs = Designs(reader_of(file), file.site, file.site.pages[0], colours)
    found = designs.found()
    assert 0 < len(found) <= 3
    assert len({d.idea for d in found}) == len(found)
    assert [d.figure for d in found] == sorted(d.figure for d in found)
    for design in found:
        assert short_on(file, design.page) == set()
        assert len(design.helps) <= MOST_HELPS
        assert design.figure == pytest.approx(
            sum(d.figure for d in design.done) + MEANS * max(0, len(design.helps) - 1)
        )
        reading, situation = designs.short[0]
        after = AreaTrial(designs.reader, file.site, design.page).reading_of(reading.block, situation)
        assert after is None or not after.falls_short


def test_a_base_that_suffices_is_all_that_is_done():
    file = with_picture(*SITES["only the base fails"], "picture.png")
    found = Designs(reader_of(file), file.site, file.site.pages[0], colours).found()
    assert [d.idea for d in found] == ["base"]
    assert found[0].kept == 100


def test_several_areas_are_mended_by_one_idea():
    plain = one_band(colour_layer("#000000", 0.1))
    second = {**plain["pages"][0]["bands"][0], "id": "second", "role": "band"}
    renamed = [words("two"), words("two-line", "17px")]
    second["columns"] = [{"id": "second-column", "blocks": renamed}]
    second["backdrop"] = {
        "base": "#20302a",
        "layers": [image_layer(id="photo-2"), colour_layer("#0b1a14", 0.1, id="o2")],
    }
    plain["pages"][0]["bands"].append(second)
    file = with_picture(plain, BRIGHT, "picture.png")
    found = Designs(reader_of(file), file.site, file.site.pages[0], colours).found()
    assert all(len(d.done) == 2 for d in found)
    for design in found:
        assert short_on(file, design.page) == set()
        if design.idea == "shade":
            assert design.helps == {"shade"}


def test_a_join_is_taken_apart_only_by_name():
    file = with_picture(joined(), BRIGHT, "picture.png")
    reader, page = reader_of(file), file.site.pages[0]
    mended = mend(reader, file.site, page, colours)
    assert mended.design is not None
    assert "apart" not in {d.draft.idea for d in mended.design.done}
    assert not mended.many
    assert short_on(file, mended.page) == set()


def test_what_a_design_does_not_serve_is_mended_by_itself():
    """A band without any ground stands on the page's own base, which no idea for a picture serves."""
    plain = one_band(colour_layer("#000000", 0.1))
    bare = {"id": "bare", "name": "Bare", "columns": [{"id": "c2", "blocks": [words("pale", "17px", "#c8c8c8")]}]}
    plain["pages"][0]["bands"].append(bare)
    file = with_picture(plain, BRIGHT, "picture.png")
    mended = mend(reader_of(file), file.site, file.site.pages[0], colours)
    assert short_on(file, mended.page) == set()
    assert mended.left == ()


def test_no_further_kind_of_help_is_added_where_there_are_enough(monkeypatch):
    monkeypatch.setattr(mending, "MOST_HELPS", 0)
    monkeypatch.setattr(mending, "MEANS", 0)
    file = with_picture(one_band(), BRIGHT, "picture.png")
    reader, page = reader_of(file), file.site.pages[0]
    mended = word_by_word(reader, file.site, page, colours)
    with_fill = [d for d in mended.done if "The words become" in d.sentence]
    assert len(mended.helps) <= 1 or with_fill
    assert Mended(page, (), (), frozenset("abcd")).many


def test_costs_are_those_of_the_pictures():
    _, distress = distress_of(one_band(colour_layer("#0b1a14", 0.1)), HALVES)
    costs = Costs(distress)

    def cost(opacity):
        layers = distress.area.backdrop.layers
        changed = [x.model_copy(update={"opacity": opacity}) if x.id == "over" else x for x in layers]
        return costs.of(Draft("veil", distress.with_layers(distress.page, changed), "Stronger."))

    assert cost(0.1).of_picture == pytest.approx(0, abs=1e-6)
    strengths = [cost(opacity) for opacity in (0.3, 0.6, 0.9)]
    for one, other in itertools.pairwise(strengths):
        assert one.change < other.change
        assert one.contrast > other.contrast
        assert one.kept > other.kept


def test_without_known_colours_a_shade_is_plain():
    file = with_picture(one_band(), BRIGHT, "picture.png")
    found = Designs(reader_of(file), file.site, file.site.pages[0], no_colours).found()
    assert found


@pytest.mark.parametrize(
    ("gap", "stops", "line"), [(400, 20, True), (200, 20, True), (140, 4, False), (10, 4, False), (0, 4, False)]
)
def test_two_shades_that_are_too_near_go_over_into_one_another(gap, stops, line):
    """Header and banner at the ends of an area: there is a lighter line between them only where it is wide."""
    one, other = Span("start", 0, 80, 200, opens=True), Span("end", -180, -20, 200, closes=True)
    found = shared([(one, 16, 64), (other, 64 + gap, 64 + gap + 130)])
    gradient = shade(found, "#20302a", "down")
    assert len(gradient.stops) == stops
    assert any(stop.colour.endswith("00") and len(stop.colour) == 9 for stop in gradient.stops) == line
    assert all(span.fade <= max(0, gap - 32) / 2 for span in found)


@pytest.mark.parametrize(("height", "stand", "found"), [("900px", "center", True), ("60px", "start", False)])
def test_a_soft_shade_ends_within_its_area(height, stand, found):
    """What lies around a low band would be smeared by it."""
    band = one_band(colour_layer("#0b1a14", 0.1), height={"min": height}, padding={"block": "0px", "inline": "40px"})
    band["pages"][0]["bands"][0]["content"] = {"stand": stand}
    file, distress = distress_of(band, BRIGHT)
    drafts = list(IDEAS["halo"].found(distress))
    assert bool(drafts) == found
    reader = reader_of(file)
    for draft in drafts:
        shown = AreaTrial(reader, file.site, draft.page)
        for situation in distress.rest:
            record = shown.record(situation)
            box = record.area("banner").box
            edges = [whole_row(reader, record, y) for y in (box.y - 1, box.bottom) if 0 <= y < record.height]
            assert all(np.abs(edge - edge[:1]).max() <= 1 for edge in edges)


def whole_row(reader, record, y):
    return draw_page(record, (0, int(y), int(record.width), 1), reader.pictures, reader.glyphs)[0].astype(int)
