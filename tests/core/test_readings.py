"""Readings: exact on plain grounds, honest on busy ones, and monotonous where they must be."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from garnetfern.core.colour.notation import parse_colour
from garnetfern.core.colour.spaces import luminance
from garnetfern.core.document import Site
from garnetfern.core.draw.glyphs import Mask
from garnetfern.core.reading import situations
from garnetfern.core.reading.letters import busyness_of, ratio_map
from garnetfern.core.reading.ring import (
    LEVELS,
    NOWHERE,
    enough_pixels,
    figures,
    grown,
    patch_side,
    reached,
    ring_radius,
)
from garnetfern.core.remedy.overlay import least_opacity
from garnetfern.demo.words import words
from garnetfern.service.views.check import floored, reading_view, sentence
from tests.conftest import encoded
from tests.referee.measure import figure
from tests.sites import HEADING, colour_layer, document, image_layer, one_banner, reader_of, with_picture


def readings(file):
    reader = reader_of(file, busy=True)
    return [r for _, found in reader.read_page(file.site, file.site.pages[0]) for r in found]


def split_picture(left=(20, 20, 20), right=(235, 235, 235), width=1200, height=400, share=0.5):
    """A picture whose left half (or another share of it) is of one colour and the rest of another."""
    import io

    from PIL import Image

    pixels = np.full((height, width, 3), left, dtype=np.uint8)
    pixels[:, int(width * share) :] = right
    out = io.BytesIO()
    Image.fromarray(pixels).save(out, "PNG")
    return out.getvalue()


@pytest.mark.parametrize(
    ("base", "fill", "ratio"),
    [
        ("#000000", "#ffffff", 21),
        ("#767676", "#ffffff", 4.542),
        ("#ffffff", "#777777", 4.478),
        ("#ffffff", "#ffffff", 1),
    ],
)
def test_on_a_plain_ground_a_reading_is_the_contrast_of_the_two_colours(base, fill, ratio):
    block = words("w", "text", "Open from ten", "Hanken Grotesk", "17px", fill)
    for reading in readings(one_banner(base=base, blocks=[block])):
        assert reading.ratio == pytest.approx(ratio, rel=1e-3)
        assert reading.busyness == pytest.approx(0, abs=1e-3)
        assert reading.verdict == ("enough" if ratio >= 4.5 else "short")


def test_translucent_letters_are_judged_as_they_look():
    block = words("w", "text", "Ferns", "Hanken Grotesk", "17px", "#ffffff80")
    found = readings(one_banner(base="#000000", blocks=[block]))[0]
    assert found.ratio == pytest.approx(5.3, abs=0.1)


def test_the_worst_letter_is_the_one_on_the_light_half():
    block = words("w", "text", "left" + "\u00a0" * 60 + "right", "Hanken Grotesk", "40px", "#ffffff")
    plain = document(image_layer(), blocks=[block], padding={"block": "40px", "inline": "40px"})
    rest = [r for r in readings(with_picture(plain, split_picture(), "picture.png")) if r.situation == "desktop:rest"]
    (reading,) = rest
    assert reading.worst.word.endswith("right")
    assert {letter.character for letter in reading.short} == set("right")
    assert reading.share == pytest.approx(4 / 9)
    assert reading.verdict == "short"
    assert reading.busyness < 5


def test_missing_pictures_are_situations_of_their_own():
    plain = document(image_layer(), base="#ffffff")
    found = readings(with_picture(plain, encoded(60, 40, (0, 0, 0), "PNG"), "picture.png"))
    assert {r.situation: r.verdict == "enough" for r in found} == {
        "desktop:rest": True,
        "desktop:missing": False,
        "tablet:rest": True,
        "tablet:missing": False,
        "phone:rest": True,
        "phone:missing": False,
    }


def test_without_a_picture_there_is_nothing_to_miss(demo):
    file = one_banner(colour_layer("#000000", 0.4))
    assert [s.id for s in situations(file.site, file.site.pages[0])] == ["desktop:rest", "tablet:rest", "phone:rest"]
    names = [s.name for s in situations(demo.site, demo.site.pages[0])]
    assert names[:2] == ["Desktop", "Desktop, picture missing"]


def test_no_letters_no_trouble():
    found = readings(one_banner(blocks=[{**HEADING, "wording": ""}]))[0]
    assert (found.ratio, found.verdict, found.share) == (None, "unread", 0)


def test_a_missing_glyph_is_not_vouched_for():
    found = readings(one_banner(blocks=[{**HEADING, "wording": "fern 蕨"}]))[0]
    assert not found.vouched
    assert "蕨" in found.doubts[0]
    assert sentence(found).startswith("Cannot be vouched for")


def test_the_definition_in_numbers():
    assert (ring_radius(10), ring_radius(50)) == (1, 4)
    assert [patch_side(s) for s in (8, 12, 16, 20, 40)] == [3, 3, 5, 5, 11]


def test_a_few_bad_pixels_do_not_decide_but_a_tenth_does():
    values = np.full(1000, 5, dtype=np.float32)
    for bad, told in ((50, 5), (100, 3), (150, 1)):
        values[:bad] = 1
        assert reached(values) == pytest.approx(told, rel=1e-5)


ratios = st.floats(1, 21, width=32)
pixels = st.lists(st.tuples(ratios, st.integers(1, LEVELS)), min_size=1, max_size=80)


def figure_of(pairs, fill_up=0):
    row = np.array([[r for r, _ in pairs] + [NOWHERE] * fill_up], dtype=np.float32)
    levels = np.array([[n for _, n in pairs] + [0] * fill_up], dtype=np.uint8)
    return float(figures(row, levels, levels.sum(axis=1).astype(np.float32), row.shape[1])[0])


@given(pixels, st.integers(0, 9))
def test_the_figure_is_that_of_its_definition_whatever_fills_the_row(pairs, fill_up):
    told = figure(np.array([r for r, _ in pairs]), np.array([n / LEVELS for _, n in pairs]))
    assert figure_of(pairs, fill_up) == pytest.approx(told, rel=1e-5)


@given(pixels, st.data())
def test_the_figure_lies_among_the_ratios_and_never_falls_when_one_rises(pairs, data):
    now = figure_of(pairs)
    assert min(r for r, _ in pairs) * 0.99999 <= now <= max(r for r, _ in pairs) * 1.00001
    at = data.draw(st.integers(0, len(pairs) - 1))
    higher = data.draw(st.floats(pairs[at][0], 21, width=32))
    assert figure_of([*pairs[:at], (higher, pairs[at][1]), *pairs[at + 1 :]]) >= now * 0.99999


@pytest.mark.parametrize("peak", [1.0, 0.3, 0.02])
def test_thin_letters_have_a_ring_like_any_other(peak):
    cover = np.zeros((5, 5), dtype=np.float32)
    cover[1:4, 2] = peak * np.array([1, 0.4, 0.1])
    left, top, ring = grown(Mask(3, 7, cover), 1.0)
    assert (left, top, ring.shape) == (2, 6, (7, 7))
    assert ring.max() == LEVELS
    assert ring[2, 2:5].tolist() == [LEVELS] * 3
    assert ring[4, 3] == LEVELS * 3 // 5, "what is dilated is the grey level"


def test_what_covers_nothing_has_no_ring():
    assert not grown(Mask(0, 0, np.zeros((4, 4), dtype=np.float32)), 2.0)[2].any()


def test_luminance_is_averaged_in_linear_light():
    checks = (np.indices((40, 40)).sum(axis=0) % 2 * 255).astype(np.float32)
    ground = np.repeat(checks[:, :, None], 3, axis=2)
    ratios = ratio_map(ground, luminance(ground), parse_colour("#000000"), 60)
    assert float(ratios[20, 20]) == pytest.approx((0.5 + 0.05) / 0.05, rel=0.02)


def test_busyness_is_told_where_it_is_asked_for():
    file = one_banner(base="#000000")
    page = file.site.pages[0]
    plain = [r for _, found in reader_of(file).read_page(file.site, page) for r in found]
    assert plain
    assert {r.busyness for r in plain} == {None}


def test_busyness_ignores_what_changes_slowly():
    ramp = np.repeat(np.linspace(0, 255, 300, dtype=np.float32)[None, :, None], 3, axis=2).repeat(60, axis=0)
    noise = ramp + np.random.default_rng(1).normal(0, 30, ramp.shape[:2])[..., None].astype(np.float32)
    inside = np.zeros(ramp.shape[:2], dtype=bool)
    inside[20:40, 60:240] = True
    ring = np.flatnonzero(inside).astype(np.int32)
    assert busyness_of(luminance(ramp), ring, 20) < 0.5
    assert busyness_of(luminance(np.clip(noise, 0, 255)), ring, 20) > 5


@settings(max_examples=12, deadline=None)
@given(st.floats(0, 0.9), st.floats(0.01, 0.1), st.sampled_from(["#000000", "#0b1a14", "#20302a"]))
def test_more_of_a_dark_overlay_never_lowers_the_reading_of_white_words(opacity, more, colour):
    data = split_picture((60, 90, 70), (220, 215, 200))
    one, other = (
        min(r.ratio for r in readings(with_picture(document(image_layer(), colour_layer(colour, o)), data, "p.png")))
        for o in (opacity, opacity + more)
    )
    assert other >= one - 1e-3


@pytest.mark.parametrize(("ratio", "said"), [(4.4999, "4.4"), (4.5, "4.5"), (2.999999, "2.9"), (21, "21.0")])
def test_ratios_are_never_rounded_up(ratio, said):
    assert floored(ratio) == said


def test_a_reading_is_said_in_plain_words(demo):
    reader = reader_of(demo)
    found = reader.read_page(demo.site, demo.site.pages[0])
    views = [reading_view(r, s) for s, all_ in found for r in all_]
    short = [v for v in views if v["verdict"] == "short"]
    assert {(v["block"], v["screen"], v["missing"]) for v in short} == {("headline", "phone", False)}
    assert "falls short: 2." in short[0]["sentence"]
    assert short[0]["short"]


def overlay_case(*layers, fill="#ffffff", picture=None):
    plain = document(image_layer(), *layers, blocks=[{**HEADING, "lettering": {"size": "40px", "colour": fill}}])
    file = with_picture(plain, picture or split_picture((150, 150, 150), (220, 215, 200)), "picture.png")
    page = file.site.pages[0]
    band = page.bands[0]
    return file.site, least_opacity(reader_of(file), file.site, page, band, band.backdrop.layers[1]), file


def with_overlay(site: Site, opacity: float) -> Site:
    page = site.pages[0]
    band = page.bands[0]
    layers = (band.backdrop.layers[0], band.backdrop.layers[1].model_copy(update={"opacity": opacity}))
    band = band.model_copy(update={"backdrop": band.backdrop.model_copy(update={"layers": layers})})
    return site.model_copy(update={"pages": (page.model_copy(update={"bands": (band,)}),)})


@pytest.mark.parametrize("colour", ["#000000", "#0b1a14", "#4a1020"])
def test_the_least_opacity_is_the_least(colour):
    site, found, file = overlay_case(colour_layer(colour, 0.1))
    reader = reader_of(file)

    def all_meet(opacity):
        changed = with_overlay(site, opacity)
        return not any(r.falls_short for _, rs in reader.read_page(changed, changed.pages[0]) for r in rs)

    assert all_meet(found.opacity)
    assert not all_meet(found.opacity - 0.015)
    assert found.worst.verdict == "enough"
    assert 0 < found.kept < 100


def test_where_no_opacity_suffices_the_nearest_is_said():
    _, found, _ = overlay_case(colour_layer("#9a9a9a", 0.1))
    assert found.opacity is None
    assert found.worst.falls_short
    assert found.nearest == 1


def test_where_all_is_well_none_is_needed():
    _, found, _ = overlay_case(colour_layer("#000000", 0.4), picture=split_picture((5, 5, 5), (30, 30, 30)))
    assert found.opacity == 0


def test_dark_words_want_a_light_overlay():
    _, found, _ = overlay_case(
        colour_layer("#ffffff", 0.0), fill="#20302a", picture=split_picture((60, 60, 60), (90, 90, 90))
    )
    assert found.opacity is not None
    assert 0.1 < found.opacity < 0.9


def test_letters_that_cover_hardly_anything_are_read_too():
    block = words("w", "text", "I will", "Hanken Grotesk", "5px", "#ffffff")
    block["lettering"]["weight"] = 100
    found = readings(one_banner(base="#000000", blocks=[block]))
    assert found
    for reading in found:
        assert reading.vouched
        assert reading.ratio == pytest.approx(21, rel=1e-4)


@given(st.lists(st.integers(0, LEVELS), min_size=1, max_size=60))
def test_as_many_pixels_are_enough_as_can_ever_be_needed(levels):
    ring = np.array([levels], dtype=np.uint8)
    rising = np.sort(ring[ring > 0]).astype(int)
    enough = enough_pixels(ring)
    assert rising[:enough].sum() >= 0.15 * rising.sum() - 1e-9
    assert enough == 0 or rising[: enough - 1].sum() < 0.15 * rising.sum()
