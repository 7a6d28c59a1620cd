"""Filters of pictures, against values worked by hand from Filter Effects 1, section 13."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from garnetfern.core.document import Filter
from garnetfern.core.draw.filters import filtered, reach

part = st.floats(0, 1, width=32)
WANTED = [
    ({"brightness": 0.5}, (0.8, 0.4, 0.2), (0.4, 0.2, 0.1)),
    ({"brightness": 2}, (0.8, 0.4, 0.2), (1, 0.8, 0.4)),
    ({"contrast": 0.5}, (0.8, 0.4, 0.2), (0.65, 0.45, 0.35)),
    ({"contrast": 2}, (0.8, 0.4, 0.2), (1, 0.3, 0)),
    ({"grayscale": 1}, (1, 0, 0), (0.213, 0.213, 0.213)),
    ({"grayscale": 1}, (0, 1, 0), (0.715, 0.715, 0.715)),
    ({"grayscale": 1}, (0, 0, 1), (0.072, 0.072, 0.072)),
    ({"saturate": 0}, (0, 1, 0), (0.715, 0.715, 0.715)),
    ({"saturate": 0.5}, (1, 0, 0), (0.6065, 0.1065, 0.1065)),
    ({"grayscale": 0.25}, (0, 0, 1), (0.018, 0.018, 0.768)),
    # each step is clamped before the next: brighter first, then less contrast
    ({"brightness": 2, "contrast": 0.5}, (0.8, 0.4, 0.2), (0.75, 0.65, 0.45)),
]


@pytest.mark.parametrize("alpha", [1.0, 0.5, 0.25])
@pytest.mark.parametrize(("wanted", "colour", "expected"), WANTED, ids=str)
def test_colours_go_through_as_the_standard_says_whatever_their_alpha(wanted, colour, expected, alpha):
    pixel = np.array([[[*(c * alpha for c in colour), alpha]]], dtype=np.float32)
    found = filtered(pixel, Filter(**wanted))[0, 0]
    assert found[3] == pytest.approx(alpha)
    assert found[:3] / alpha == pytest.approx(np.array(expected), abs=1e-4)


@given(st.tuples(part, part, part, part))
def test_what_is_given_stays_premultiplied(rgba):
    red, green, blue, alpha = rgba
    pixel = np.array([[[red * alpha, green * alpha, blue * alpha, alpha]]], dtype=np.float32)
    found = filtered(pixel, Filter(brightness=1.6, contrast=1.4, saturate=1.8))[0, 0]
    assert (found[:3] <= found[3] + 1e-6).all()
    assert (found >= 0).all()


def test_a_blur_keeps_what_there_is_and_spreads_it_as_far_as_it_reaches():
    wanted = Filter(blur=2)
    side = 4 * reach(wanted) + 1
    pixels = np.zeros((side, side, 4), dtype=np.float32)
    pixels[side // 2, side // 2] = 1
    found = filtered(pixels, wanted)[..., 3]
    assert found.sum() == pytest.approx(1, abs=1e-3)
    beyond = reach(wanted) + 1
    assert found[side // 2, side // 2 + beyond :].max() == 0
    place = np.arange(side) - side // 2
    assert np.sqrt((found.sum(axis=0) * place**2).sum()) == pytest.approx(2, rel=0.07)


def test_a_blur_at_the_edge_fades_into_nothing():
    pixels = np.ones((40, 40, 4), dtype=np.float32)
    found = filtered(pixels, Filter(blur=3))
    assert found[20, 0, 3] == pytest.approx(0.5, abs=0.09)
    assert found[20, 20, 3] == pytest.approx(1, abs=1e-4)
