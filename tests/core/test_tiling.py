"""Tiling: where tiles lie, that they repeat exactly, and the gaps between them (CSS Backgrounds 3, section 3.4)."""

import math

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from PIL import Image

from garnetfern.core.document import Asset, ImageLayer, Position
from garnetfern.core.draw.paint import paint_backdrops
from garnetfern.core.draw.sample import sample
from garnetfern.core.reading import situations
from garnetfern.core.resolve.box import Box, round_half_up
from garnetfern.core.resolve.image import Room, image_sheet, renditions, used_size
from garnetfern.core.resolve.lengths import Viewport
from garnetfern.core.resolve.sheets import Rendition

from ..pictures import png
from ..sites import document, image_layer, reader_of, with_picture

sides = st.integers(4, 400)
CORNER = {"side": "left", "across": "0px", "end": "top", "down": "0px"}


def asset(width, height, kind="png"):
    return Asset(id="a", name="a", hash="0" * 64, type=kind, width=width, height=height, bytes=1)


def sheet(area=(1000, 400), px=(100, 80), **more):
    layer = ImageLayer(id="p", name="p", asset="a", **{"size": "natural", **more})
    box = Box(0, 0, *area)
    return image_sheet(layer, asset(*px), Room(box, box, Viewport(*area)), Rendition("0" * 64, *px))


def painted(pixels: np.ndarray, height="60px", **layer):
    """A band 390 px wide with this picture in it, on black."""
    blocks = ()
    plain = document(image_layer(**layer), base="#000000", blocks=blocks, height={"min": height})
    plain["pages"][0]["bands"][0]["padding"] = {"block": "0px", "inline": "0px"}
    file = with_picture(plain, png(Image.fromarray(pixels)), "tile.png")
    reader = reader_of(file)
    page = file.site.pages[0]
    record = reader.resolve(file.site, page, situations(file.site, page)[-2])
    return paint_backdrops(record, (0, 0, 390, int(height[:-2])), reader.pictures)


@pytest.fixture(scope="module")
def tile():
    return np.random.default_rng(4).integers(0, 256, (20, 30, 3), dtype=np.uint8)


def test_a_repeated_tile_is_repeated_to_the_pixel(tile):
    found = painted(tile, size="natural", repeat=["repeat", "repeat"], position=CORNER)
    assert np.array_equal(found, np.tile(tile, (3, 13, 1)))


def test_it_repeats_along_one_axis_alone(tile):
    found = painted(tile, size="natural", repeat=["repeat", "no-repeat"], position=CORNER)
    assert np.array_equal(found[:20], np.tile(tile, (1, 13, 1)))
    assert not found[20:].any()


@pytest.mark.parametrize(("across", "down"), [("7px", "3px"), ("-23px", "-11px"), ("100%", "100%"), ("25px", "0px")])
def test_its_phase_follows_from_its_place(tile, across, down):
    place = {"side": "left", "across": across, "end": "top", "down": down}
    found = painted(tile, size="natural", repeat=["repeat", "repeat"], position=place)

    def start(text, free):
        return round(free * float(text[:-1]) / 100) if text.endswith("%") else int(text[:-2])

    moved = np.roll(np.tile(tile, (3, 13, 1)), (start(down, 40), start(across, 360)), axis=(0, 1))
    assert np.array_equal(found, moved)


def test_spaced_tiles_are_whole_and_the_gaps_show_what_is_below(tile):
    found = painted(tile, height="50px", size="natural", repeat=["space", "space"])
    assert np.array_equal(found[:20, :30], tile)
    assert np.array_equal(found[30:, 360:], tile)
    assert not found[20:30].any()


@settings(max_examples=60)
@given(sides, sides, sides, sides)
def test_spaced_tiles_touch_both_edges_or_there_is_one(width, height, w, h):
    found = sheet((width, height), (w, h), repeat=("space", "space"))
    for length, size, period in ((width, w, found.period[0]), (height, h, found.period[1])):
        if length >= 2 * size:
            assert period is not None
            count = length // size
            assert (count - 1) * period + size == pytest.approx(length, abs=count / 32)
        else:
            assert period is None


@settings(max_examples=60)
@given(sides, sides, sides, sides)
def test_as_many_rounded_tiles_fit_as_come_nearest_to_their_size(width, height, w, h):
    found = sheet((width, height), (w, h), repeat=("round", "round"))
    for length, size, period in ((width, w, found.period[0]), (height, h, found.period[1])):
        count = max(1, round_half_up(length / size))
        assert 0 <= length - count * period < count / 64, "cut to the layout unit"


def test_an_automatic_side_follows_the_rounded_one():
    found = sheet((1000, 400), (100, 80), size="own", width="300px", repeat=("round", "no-repeat"))
    assert found.tile.width == math.floor(64 * 1000 / 3) / 64
    assert found.tile.height == pytest.approx(1000 / 3 * 0.8, abs=1)


@pytest.mark.parametrize(
    ("position", "left", "top"),
    [
        ({"side": "left", "across": "10px", "end": "top", "down": "20px"}, 10, 20),
        ({"side": "right", "across": "10px", "end": "bottom", "down": "20px"}, 890, 300),
        ({"side": "right", "across": "25%", "end": "top", "down": "50%"}, 675, 160),
        ({"side": "left", "across": "5vw", "end": "bottom", "down": "clamp(4px, 10%, 30px)"}, 50, 290),
    ],
)
def test_a_place_is_an_offset_from_an_edge(position, left, top):
    found = sheet(position=Position(**position)).tile
    assert (found.x, found.y) == (left, top)


@pytest.mark.parametrize(
    ("size", "expected"),
    [
        ({"size": "stretch"}, (1000, 400)),
        ({"size": "own", "width": "250px"}, (250, 200)),
        ({"size": "own", "height": "50%"}, (250, 200)),
        ({"size": "own", "width": "50%", "height": "10vh"}, (500, 40)),
        ({"size": "own"}, (100, 80)),
    ],
)
def test_sizes_of_one_s_own(size, expected):
    found = sheet(**size).tile
    assert (found.width, found.height) == expected


@given(st.integers(2, 30), st.integers(2, 30), st.integers(0, 40), st.integers(0, 40))
def test_sampling_with_a_period_is_sampling_a_tiled_picture(width, height, left, top):
    picture = np.random.default_rng(width * 31 + height).integers(0, 256, (height, width, 3), dtype=np.uint8)
    wrapped = sample(picture, (width, height), (0, 0), (left, top, 20, 20), (width, height))
    big = np.tile(picture, (60 // height + 2, 60 // width + 2, 1))
    assert np.array_equal(wrapped, big[top : top + 20, left : left + 20])


def test_a_crop_has_renditions_of_its_own():
    from garnetfern.core.document import Crop

    crop = Crop(x=0.25, y=0.5, width=0.5, height=0.25)
    picture = asset(2000, 1000, "jpeg")
    assert used_size(picture, crop) == (1000, 250)
    found = renditions(picture, crop)
    assert {r.crop for r in found} == {(500, 500, 1000, 250)}
    assert found[-1].width == 1000
    assert {r.crop for r in renditions(picture)} == {None}


def test_a_drawing_is_made_larger_than_it_is_and_a_photograph_never():
    assert renditions(asset(300, 150, "svg"))[-1].width > 2000
    assert renditions(asset(300, 150, "jpeg"))[-1].width == 300
