"""Lengths: what is taken, what is refused, and how many px they are."""

import json
from pathlib import Path

import pytest
from hypothesis import given
from hypothesis import strategies as st

from garnetfern.core.document.length import UNITS, parse_length
from garnetfern.core.errors import LengthError
from garnetfern.core.resolve.lengths import Scale, Viewport, layout_unit, single

TABLES = Path(__file__).parent.parent / "tables"
SCALE = Scale(Viewport(390, 844), em=20, base=600)


@pytest.mark.parametrize("case", json.loads((TABLES / "lengths.json").read_text()), ids=lambda c: c["text"].strip())
def test_resolves_as_css_values_says(case):
    assert SCALE.px(case["text"]) == pytest.approx(case["px"], abs=1e-9)


@pytest.mark.parametrize("text", json.loads((TABLES / "bad_lengths.json").read_text()))
def test_what_is_no_length_is_refused_with_the_rule_and_what_was_received(text):
    with pytest.raises(LengthError) as caught:
        parse_length(text)
    assert repr(text[:60]) in caught.value.message or "needs a unit" in caught.value.message


@given(st.decimals(0, 2000, places=2), st.sampled_from(UNITS))
def test_a_plain_length_grows_with_its_number(number, unit):
    assert SCALE.px(f"{number}{unit}") <= SCALE.px(f"{number + 1}{unit}")


@given(st.floats(0, 500), st.floats(0, 500), st.floats(0, 500))
def test_clamp_lies_between_its_bounds(least, wanted, most):
    value = SCALE.px(f"clamp({least:.3f}px, {wanted:.3f}px, {most:.3f}px)")
    assert round(least, 3) <= value + 1e-9
    assert value <= max(round(least, 3), round(most, 3)) + 1e-9


@given(st.floats(-5000, 5000))
def test_a_layout_unit_is_a_sixty_fourth_towards_zero(px):
    unit = layout_unit(px)
    assert unit * 64 == int(unit * 64)
    near = single(px)
    assert abs(unit) <= abs(near)
    assert abs(near - unit) < 1 / 64
