"""How the least of something is looked for, and how it is rounded for people."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st

from garnetfern.core.remedy.search import rounded_up

STEPS = (0.001, 0.01, 0.05, 0.5, 1.0)


@given(st.floats(0, 100), st.sampled_from(STEPS))
def test_what_is_rounded_up_is_a_whole_number_of_steps_and_never_too_little(value, step):
    found = rounded_up(value, step)
    assert found / step == pytest.approx(round(found / step), abs=1e-3)
    assert found >= value - 2e-6 * step - 1e-6
    assert found - value < step + 1e-6


@given(st.integers(0, 1000), st.sampled_from(STEPS))
def test_a_whole_number_of_steps_stays_what_it_is(count, step):
    assert rounded_up(count * step, step) == pytest.approx(count * step, abs=1e-6)
    assert math.isfinite(rounded_up(count * step, step))
