"""Notations of colours, and schemes that keep what can be read readable."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from garnetfern.core.colour.notations import from_oklch, read_colour
from garnetfern.core.colour.schemes import SCHEMES, Recolouring, from_colour, from_colours
from garnetfern.core.errors import ColourError

hexes = st.integers(0, 0xFFFFFF).map(lambda n: f"#{n:06x}")
PALETTE = ["#20302a", "#0b1a14", "#f4efe4", "#fbf7ee", "#7a1f2b", "#3f6f46"]


@pytest.mark.parametrize(
    ("text", "hex_"),
    [
        ("#20302a", "#20302a"),
        ("#20302a80", "#20302a80"),
        ("rebeccapurple", "#663399"),
        ("hsl(120 100% 25%)", "#008000"),
        ("rgb(255 0 0 / 50%)", "#ff000080"),
        ("oklch(0.628 0.25768 29.234)", "#ff0000"),
        ("hwb(0 0% 0%)", "#ff0000"),
        ("  #FFF ", "#ffffff"),
    ],
)
def test_every_notation_is_read(text, hex_):
    assert read_colour(text).hex == hex_


def test_the_notations_of_a_colour_are_those_of_the_standard():
    found = read_colour("#ff0000")
    assert found.hsl == pytest.approx((0, 100, 50), abs=0.01)
    assert found.oklch == pytest.approx((0.62796, 0.25768, 29.234), abs=1e-3)


@pytest.mark.parametrize("text", ["", "fern", "#12", "rgb(1,2)", "url(x)", "oklch(a b c)"])
def test_what_is_no_colour_is_refused(text):
    with pytest.raises(ColourError) as caught:
        read_colour(text)
    assert "A colour is written like" in caught.value.message


def test_what_screens_cannot_show_is_brought_inside_and_said():
    found = read_colour("oklch(0.6 0.4 150)")
    assert found.fitted
    assert found.oklch[0] == pytest.approx(0.6, abs=0.02)


@given(hexes)
def test_oklch_leads_back_to_the_same_colour(text):
    assert from_oklch(*read_colour(text).oklch) == text


def test_there_are_ten_schemes_of_our_own():
    assert len(SCHEMES) >= 10
    assert len({s.id for s in SCHEMES}) == len({s.name for s in SCHEMES}) == len(SCHEMES)


@given(hexes, st.sampled_from(SCHEMES))
def test_a_scheme_keeps_how_light_a_colour_is(text, scheme):
    moved = Recolouring(scheme, PALETTE)(text)
    assert read_colour(moved).oklch[0] == pytest.approx(read_colour(text).oklch[0], abs=0.035)


@pytest.mark.parametrize("scheme", SCHEMES, ids=lambda s: s.id)
def test_accents_stay_apart_and_black_and_white_stay(scheme):
    change = Recolouring(scheme, PALETTE)
    assert (change("#000000"), change("#ffffff")) == ("#000000", "#ffffff")
    red, green = (read_colour(change(c)).oklch[2] for c in ("#7a1f2b", "#3f6f46"))
    apart = abs(red - green) % 360
    assert min(apart, 360 - apart) > 15


@given(st.lists(hexes, min_size=1, max_size=6))
def test_a_colour_that_the_palette_does_not_have_becomes_the_same_each_time(texts):
    change = Recolouring(SCHEMES[0], PALETTE)
    assert [change(text) for text in texts] == [change(text) for text in texts]


def test_alpha_stays():
    assert Recolouring(SCHEMES[0], PALETTE)("#7a1f2b80").endswith("80")


@given(hexes)
def test_a_scheme_can_be_made_from_any_colour(text):
    scheme = from_colour(text)
    assert scheme.accents[0][1] >= 0.06
    assert Recolouring(scheme, PALETTE)("#7a1f2b").startswith("#")


def test_a_scheme_from_a_picture_takes_its_ground_from_the_largest_colour():
    scheme = from_colours([("#2b5a73", 0.7), ("#c77a33", 0.2), ("#3f6f46", 0.1)])
    assert scheme.ground[0] == pytest.approx(read_colour("#2b5a73").oklch[2], abs=0.1)
    assert scheme.accents[0][0] == pytest.approx(read_colour("#c77a33").oklch[2], abs=0.1)
    one = from_colours([("#808080", 1.0)])
    assert len(one.accents) == 2


def test_turning_and_strengthening_a_scheme():
    turned = SCHEMES[0].turned(30, 0.5)
    assert turned.ground[0] == pytest.approx((SCHEMES[0].ground[0] + 30) % 360)
    assert turned.accents[0][1] == pytest.approx(SCHEMES[0].accents[0][1] / 2)
