"""Seams: seen where they show, and mended."""

import numpy as np
import pytest
from PIL import Image

from garnetfern.core.picture.tiles import SHOWS, mend, noticeable, repeat_depth, seams_of
from garnetfern.demo.tiles import fern_tile

from ..pictures import cut, seamless


@pytest.mark.parametrize("seed", range(20))
def test_a_tile_seamless_by_construction_is_recognised(seed):
    assert seams_of(seamless(seed)).seamless


@pytest.mark.parametrize("seed", range(20))
def test_a_piece_cut_from_a_picture_shows_a_seam(seed):
    found = seams_of(cut(seed))
    assert not found.seamless
    assert max(found.across.figure, found.down.figure) > SHOWS


@pytest.mark.parametrize("way", ["cross-fade", "mirror"])
@pytest.mark.parametrize("seed", range(6))
def test_a_mended_copy_has_no_seam(seed, way):
    assert seams_of(mend(cut(seed), way)).seamless


def test_only_the_axes_that_need_it_are_mended():
    image = cut(3)
    assert mend(image, "mirror", across=True, down=False).size == (2 * image.width, image.height)
    same = mend(image, "cross-fade", across=False, down=False)
    assert np.array_equal(np.asarray(same), np.asarray(image))


def test_a_cross_fade_leaves_the_middle_as_it_was():
    image = cut(1)
    faded = np.asarray(mend(image, "cross-fade"))
    row, column = image.height // 2, image.width // 2
    assert np.array_equal(faded[row, column], np.asarray(image)[row, column])


def test_the_sample_tile_is_seamless():
    assert seams_of(fern_tile()).seamless


def test_a_repeat_is_noticed_where_something_stands_out():
    plain = Image.new("RGB", (80, 80), "#808080")
    blot = plain.copy()
    blot.paste("#202020", (10, 10, 50, 50))
    assert noticeable(repeat_depth(blot), 6)
    assert not noticeable(repeat_depth(plain), 6)
    assert not noticeable(repeat_depth(blot), 1.5)
