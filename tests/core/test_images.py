"""Where a picture lies, and which rendition is served."""

import json
from itertools import pairwise
from pathlib import Path

import pytest
from hypothesis import given
from hypothesis import strategies as st

from garnetfern.core.document import Asset, ImageLayer
from garnetfern.core.resolve.box import Box, round_half_up
from garnetfern.core.resolve.image import Room, choose_rendition, image_sheet, renditions
from garnetfern.core.resolve.lengths import Viewport
from garnetfern.core.resolve.serving import serving_range, serving_ranges
from garnetfern.core.resolve.sheets import Rendition

TABLE = json.loads((Path(__file__).parent.parent / "tables" / "background_boxes.json").read_text())
sides = st.integers(20, 6000)


def asset(width, height, kind="jpeg"):
    return Asset(id="a", name="a", hash="0" * 64, type=kind, width=width, height=height, bytes=1)


def placed(size, picture, area, focal):
    layer = ImageLayer(id="p", name="p", asset="a", size=size, focal=focal)
    rendition = Rendition("0" * 64, *picture)
    box = Box(0, 0, *area)
    return image_sheet(layer, asset(*picture), Room(box, box, Viewport(*area)), rendition)


@pytest.mark.parametrize("case", TABLE, ids=lambda c: c["why"])
def test_a_picture_lies_where_css_backgrounds_says(case):
    sheet = placed(case["size"], case["picture"], case["area"], tuple(case["focal"]))
    tile = sheet.tile
    assert [tile.x, tile.y, tile.width, tile.height] == pytest.approx(case["tile"], abs=0.02)


@given(sides, sides, sides, sides, st.floats(0, 1), st.floats(0, 1))
def test_cover_leaves_nothing_bare_and_keeps_the_focal_point_in_sight(pw, ph, aw, ah, fx, fy):
    tile = placed("cover", (pw, ph), (aw, ah), (fx, fy)).tile
    assert tile.x <= 0.02
    assert tile.y <= 0.02
    assert tile.right >= aw - 0.04
    assert tile.bottom >= ah - 0.04
    assert -0.1 <= tile.x + tile.width * fx <= aw + 0.1
    assert -0.1 <= tile.y + tile.height * fy <= ah + 0.1


@given(sides, sides, sides, sides, st.floats(0, 1), st.floats(0, 1))
def test_contain_shows_all_of_the_picture(pw, ph, aw, ah, fx, fy):
    tile = placed("contain", (pw, ph), (aw, ah), (fx, fy)).tile
    assert tile.x >= -0.51
    assert tile.right <= aw + 0.51
    assert tile.bottom <= ah + 0.51


@given(sides, sides)
def test_renditions_rise_by_less_than_twice_and_keep_the_proportion(width, height):
    found = renditions(asset(width, height))
    widths = [r.width for r in found]
    assert widths == sorted(set(widths))
    assert all(b < 2 * a for a, b in pairwise(widths))
    assert all(abs(r.height - height * r.width / width) <= 1 for r in found)
    assert found[-1].width == min(width, 3840)


@given(sides, st.floats(1, 5000))
def test_the_chosen_rendition_is_not_enlarged_unless_it_is_the_largest(width, shown):
    found = choose_rendition(asset(width, 500), None, shown)
    assert found.width >= int(shown) or found == renditions(asset(width, 500))[-1]


def test_a_small_png_is_served_as_it_is_without_loss():
    (only,) = renditions(asset(120, 80, "png"))
    assert (only.width, only.height, only.lossless) == (120, 80, True)


def test_serving_ranges_hold_every_width_once(demo):
    ranges = serving_ranges(demo.site.screens)
    assert ranges[0].least == 0
    assert ranges[-1].most is None
    for one, following in pairwise(ranges):
        assert following.least == one.most + 1
    assert [serving_range(demo.site.screens, w).fit for w in (390, 820, 1440, 2560)] == [488, 1023, 1800, 2560]


@pytest.mark.parametrize(("value", "whole"), [(0.5, 1), (1.49, 1), (-0.5, 0), (-0.51, -1), (2.0, 2), (7.999, 8)])
def test_halves_are_rounded_upwards(value, whole):
    assert round_half_up(value) == whole
