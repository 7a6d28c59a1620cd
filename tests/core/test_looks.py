"""What a picture looks like, and what suits it."""

import numpy as np
import pytest
from PIL import Image

from garnetfern.core.picture.advice import advise, edges_of
from garnetfern.core.picture.look import hue_name, look_of, orientation
from garnetfern.core.picture.tiles import is_mark, seams_of
from garnetfern.demo.tiles import fade_strip, fern_tile

from ..pictures import cut

AREA = (1440.0, 600.0)


def advised(image):
    return advise(image.size, seams_of(image), edges_of(image), AREA)


@pytest.mark.parametrize(
    ("colour", "name"),
    [
        ("#1c7c2c", "green"),
        ("#0d47a1", "blue"),
        ("#c62828", "red"),
        ("#ffffff", "white"),
        ("#0a0a0a", "black"),
        ("#808080", "grey"),
        ("#f5d90a", "yellow"),
        ("#5d4037", "brown"),
        ("#6a1b9a", "purple"),
        ("#f48fb1", "pink"),
    ],
)
def test_a_colour_has_a_plain_name(colour, name):
    assert hue_name(colour) == name


def test_main_colours_are_weighted_by_their_area():
    pixels = np.zeros((100, 100, 3), dtype=np.uint8)
    pixels[:70] = (20, 90, 40)
    pixels[70:] = (240, 230, 210)
    found = look_of(Image.fromarray(pixels)).colours
    assert found[0].colour == "#145a28"
    assert found[0].share == pytest.approx(0.7, abs=0.02)
    assert sum(c.share for c in found) == pytest.approx(1)


def test_noise_is_busy_and_a_slope_is_calm():
    rng = np.random.default_rng(1)
    noise = look_of(Image.fromarray(rng.integers(0, 256, (200, 300, 3), dtype=np.uint8)))
    slope = np.linspace(0, 255, 300).astype(np.uint8)
    calm = look_of(Image.fromarray(np.broadcast_to(slope[None, :, None], (200, 300, 3)).copy()))
    assert (noise.mood, calm.mood) == ("busy", "calm")
    assert (len(noise.detail), len(noise.detail[0])) == (16, 24)


def test_shape_is_landscape_portrait_or_square():
    assert [orientation(*s) for s in ((3, 2), (2, 3), (100, 105))] == ["landscape", "portrait", "square"]


def test_a_small_seamless_picture_is_to_be_tiled():
    found = advised(fern_tile())
    assert found.settings["repeat"] == ["repeat", "repeat"]
    assert "seamless" in found.reason


def test_a_thin_strip_is_to_be_repeated_and_gives_the_base_colour():
    found = advised(fade_strip())
    assert found.settings["repeat"] == ["repeat", "no-repeat"]
    assert found.base == "#dfe8dd"
    assert found.base in found.reason


def test_a_small_photograph_is_not_to_be_magnified():
    image = cut(1)
    found = advised(image)
    assert found.settings["size"] == "natural"
    assert "magnify" in found.reason


def test_a_photograph_fills_its_area():
    image = cut(1).resize((1600, 1000))
    found = advised(image)
    assert found.settings["size"] == "cover"
    assert "soft" not in found.reason


@pytest.mark.parametrize(("side", "size"), [(300, "natural"), (560, "contain"), (2000, "contain")])
def test_a_mark_is_shown_whole_and_once(side, size):
    image = Image.new("RGBA", (side, side))
    image.paste("#20402a", (side // 4, side // 4, side // 2, side // 2))
    found = advise(image.size, seams_of(image), edges_of(image), AREA, is_mark(image))
    assert found.settings["size"] == size
    assert found.settings["repeat"] == ["no-repeat", "no-repeat"]


def test_a_mark_is_told_from_a_figure_of_a_pattern_and_from_what_reaches_its_edges():
    figure, all_over, nothing = (Image.new("RGBA", (side, side)) for side in (24, 300, 300))
    figure.paste("#20402a", (8, 8, 16, 16))
    all_over.paste("#20402a", (0, 100, 300, 200))
    assert not any(map(is_mark, (figure, all_over, nothing, all_over.convert("RGB"), fern_tile())))
    assert advised(figure).settings["repeat"] == ["repeat", "repeat"]
