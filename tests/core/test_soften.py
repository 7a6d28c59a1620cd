"""Blurs: what the browser's raster makes of a step, px by px (captures of Chromium, as shares of the step)."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from garnetfern.core.draw.soften import box_width, boxed, reach_of, small_kernel, soft_side, softened

SHADOWS = {
    0.5: [0.098, 0.804, 0.098],
    0.75: [0.024, 0.169, 0.616, 0.169, 0.024],
    1.0: [0.051, 0.212, 0.475, 0.212, 0.051],
    1.5: [0.035, 0.102, 0.216, 0.294, 0.216, 0.102, 0.035],
    1.95: [0.024, 0.063, 0.118, 0.188, 0.216, 0.188, 0.118, 0.063, 0.024],
}
FILTERS = {
    0.75: [1.0],
    1.0: [0.082, 0.251, 0.333, 0.251, 0.082],
    1.5: [0.035, 0.114, 0.22, 0.263, 0.22, 0.114, 0.035],
    1.9: [0.012, 0.039, 0.075, 0.125, 0.161, 0.176, 0.161, 0.125, 0.075, 0.039, 0.012],
}
"""By their standard deviation, px: how much of the step each px takes."""


def spread(blur, sigma):
    """What a row of one px becomes."""
    row = np.zeros((61, 61), dtype=np.float32)
    row[:, 30] = 1
    return blur(row, sigma)[30]


@pytest.mark.parametrize("sigma", SHADOWS)
def test_small_shadows_are_blurred_as_the_browser_blurs_them(sigma):
    assert small_kernel(sigma) == pytest.approx(SHADOWS[sigma], abs=0.006)
    found = spread(softened, sigma)
    assert found[found > 0] == pytest.approx(SHADOWS[sigma], abs=0.008)


@pytest.mark.parametrize("sigma", FILTERS)
def test_filters_blur_by_three_boxes(sigma):
    found = spread(boxed, sigma)
    assert found[found > 1e-6] == pytest.approx(FILTERS[sigma], abs=0.006)


@given(st.floats(0.2, 20))
def test_a_blur_keeps_what_there_is_and_spreads_it_no_further_than_it_says(sigma):
    for blur, reach in ((boxed, 3 * (box_width(sigma) // 2) + 1), (softened, reach_of(sigma))):
        block = np.zeros((2 * reach + 20, 2 * reach + 20), dtype=np.float32)
        block[reach + 1 : -reach - 1, reach + 1 : -reach - 1] = 1
        found = blur(block, sigma)
        assert found.sum() == pytest.approx(block.sum(), rel=0.02)
        assert np.allclose(found, found.T, atol=1.1 / 255)
        assert not found[0].any()


@given(st.floats(0.5, 9), st.floats(3, 80))
def test_the_formula_for_rectangles_is_that_of_three_boxes(sigma, width):
    found = soft_side(0.0, width, -60, 200, sigma)
    assert found.sum() == pytest.approx(width, rel=0.02)
    assert found.max() <= 1 + 1e-6
    assert found.min() >= -1e-6
    side = soft_side(0.0, 1000.0, -60, 120, sigma)
    assert side[:60] + side[:59:-1] == pytest.approx(np.ones(60), abs=1e-4), "half of it lies on each side of an edge"
