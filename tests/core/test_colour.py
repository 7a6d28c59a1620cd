"""Colours: notation, spaces, contrast and what is required."""

import json
from pathlib import Path

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from garnetfern.core.colour.contrast import Requirement, contrast, is_large, required_ratio
from garnetfern.core.colour.notation import Rgba, parse_colour
from garnetfern.core.colour.spaces import lightness, luminance, oklab, to_linear
from garnetfern.core.errors import ColourError

TABLE = json.loads((Path(__file__).parent.parent / "tables" / "contrast.json").read_text())
bytes_ = st.integers(0, 255)


def pixel(text):
    return np.array([[parse_colour(text).rgb]], dtype=np.float32)


@pytest.mark.parametrize("case", TABLE, ids=lambda c: f"{c['one']} on {c['other']}")
def test_contrast_is_that_of_wcag(case):
    found = contrast(luminance(pixel(case["one"])), luminance(pixel(case["other"])))
    assert float(found[0, 0]) == pytest.approx(case["ratio"], rel=1e-3)


@given(bytes_, bytes_, bytes_)
def test_notation_is_read_back_as_it_was_written(red, green, blue):
    colour = Rgba(red, green, blue)
    assert parse_colour(colour.hex) == colour


@pytest.mark.parametrize(
    ("text", "rgb", "alpha"),
    [
        ("#fff", (255, 255, 255), 1),
        ("#ABC", (170, 187, 204), 1),
        ("#0008", (0, 0, 0), 136 / 255),
        ("#10203040", (16, 32, 48), 64 / 255),
    ],
)
def test_short_and_translucent_notation(text, rgb, alpha):
    found = parse_colour(text)
    assert found.rgb == rgb
    assert found.alpha == pytest.approx(alpha)


@pytest.mark.parametrize("text", ["", "fff", "#ff", "#fffff", "#ggg", "red", "#1234567", "#fff ", "rgb(0)", "#fff;x"])
def test_what_is_no_colour_is_refused(text):
    with pytest.raises(ColourError, match="hexadecimal"):
        parse_colour(text)


@given(bytes_)
def test_linear_light_follows_the_formula(level):
    c = level / 255
    exact = c / 12.92 if c <= 0.04045 else ((c + 0.055) / 1.055) ** 2.4
    assert float(to_linear(np.array([level], dtype=np.float32))[0]) == pytest.approx(exact, abs=1e-6)


def test_oklab_of_white_black_and_red_are_those_of_the_standard():
    found = oklab(np.array([[[255, 255, 255], [0, 0, 0], [255, 0, 0]]], dtype=np.float32))[0]
    assert found[0] == pytest.approx([1, 0, 0], abs=2e-3)
    assert found[1] == pytest.approx([0, 0, 0], abs=2e-3)
    assert found[2] == pytest.approx([0.628, 0.225, 0.126], abs=2e-3)


def test_lightness_of_middle_grey():
    assert float(lightness(np.float32(0.184187))) == pytest.approx(50, abs=0.1)


@pytest.mark.parametrize(
    ("size", "weight", "large"),
    [
        (24, 400, True),
        (23.9, 400, False),
        (18.67, 700, True),
        (18.67, 600, False),
        (18.5, 700, False),
        (18.66, 700, False),
    ],
)
def test_large_text_begins_at_eighteen_points_or_fourteen_bold(size, weight, large):
    assert is_large(size, weight) is large


@pytest.mark.parametrize(
    ("level", "size", "ratio"),
    [(Requirement.AA, 16, 4.5), (Requirement.AA, 40, 3), (Requirement.AAA, 16, 7), (Requirement.AAA, 40, 4.5)],
)
def test_required_ratios(level, size, ratio):
    assert required_ratio(size, 400, level) == ratio
