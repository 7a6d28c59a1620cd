"""Encoding to a budget."""

from io import BytesIO

import pytest
from PIL import Image

from garnetfern.core.picture.budget import KINDS, RANGES, encode, fit_to_budget, ssim

from ..pictures import cut


def fitted(image, kind, budget):
    return fit_to_budget(kind, budget, lambda q: encode(image, kind, q), lambda d: ssim(image, Image.open(BytesIO(d))))


@pytest.mark.parametrize("kind", KINDS)
def test_the_best_quality_that_fits_is_found(kind):
    image = cut(7).resize((420, 280))
    budget = len(encode(image, kind, 60))
    found = fitted(image, kind, budget)
    assert found.fits
    assert len(found.data) <= budget
    if found.quality < RANGES[kind][1]:
        assert len(encode(image, kind, found.quality + 1)) > budget


@pytest.mark.parametrize("kind", KINDS)
def test_where_nothing_fits_the_lightest_is_given_and_said(kind):
    found = fitted(cut(7), kind, 10)
    assert not found.fits
    assert found.quality == RANGES[kind][0]


def test_likeness_is_one_for_equal_pictures_and_falls_with_quality():
    image = cut(2)
    assert ssim(image, image) == pytest.approx(1, abs=1e-6)
    fine, coarse = (fitted(image, "jpeg", len(encode(image, "jpeg", q))).ssim for q in (85, 40))
    assert coarse < fine < 1
