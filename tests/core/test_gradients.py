"""Gradients: stops, lines, ending shapes and colours against tables worked from CSS Images 4."""

import json
from pathlib import Path

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from pydantic import ValidationError

from garnetfern.core.colour.notation import parse_colour
from garnetfern.core.css.declarations import gradient_value
from garnetfern.core.document import EdgeLayer, Gradient
from garnetfern.core.document.length import parse_length, scaled
from garnetfern.core.draw.ramp import colours_at, ramp_pixels
from garnetfern.core.resolve.box import Box
from garnetfern.core.resolve.edge import edge_gradients
from garnetfern.core.resolve.gradient import ending_shape, fixed_up, resolve_gradient
from garnetfern.core.resolve.lengths import Scale, Viewport
from garnetfern.core.resolve.sheets import Ramp
from garnetfern.stock.gradients import GRADIENTS

TABLES = json.loads((Path(__file__).parent.parent / "tables" / "gradients.json").read_text())
VIEW = Viewport(1000, 800)
BOX = Box(0, 0, 200, 100)
TWO = ({"colour": "#000000"}, {"colour": "#ffffff"})


def ramp(case):
    stops = tuple((at, parse_colour(text)) for text, at in case["stops"])
    return Ramp("linear", (0, 0), (1, 0), stops, case.get("repeating", False), case.get("space", "srgb"))


@pytest.mark.parametrize("case", TABLES["fixup"], ids=lambda c: str(c["places"]))
def test_stops_are_fixed_up(case):
    black = parse_colour("#000000")
    found = fixed_up(case["places"], [black] * len(case["places"]))
    assert [at for at, _ in found] == pytest.approx(case["fixed"], abs=1e-5)


@pytest.mark.parametrize("case", TABLES["line"], ids=lambda c: f"{c['angle']} degrees")
def test_the_gradient_line_reaches_the_corners(case):
    found = resolve_gradient(Gradient(angle=case["angle"], stops=TWO), BOX, VIEW)
    end = (found.origin[0] + found.axis[0], found.origin[1] + found.axis[1])
    assert found.origin == pytest.approx(case["start"], abs=1e-3)
    assert end == pytest.approx(case["end"], abs=1e-3)
    assert np.hypot(*found.axis) == pytest.approx(case["length"], abs=1e-2)


@pytest.mark.parametrize("case", TABLES["ending"], ids=lambda c: f"{c['extent']} {c['round']}")
def test_the_ending_shape_reaches_sides_and_corners(case):
    gradient = Gradient(shape="radial", extent=case["extent"], round=case["round"], stops=TWO)
    assert ending_shape(gradient, BOX, (50, 25)) == pytest.approx(case["radii"], abs=1e-3)


@pytest.mark.parametrize("centre", [(0, 50), (50, 0), (200, 50)])
def test_a_shape_of_no_size_is_still_painted(centre):
    gradient = Gradient(shape="radial", extent="closest-side", stops=TWO)
    radii = ending_shape(gradient, BOX, centre)
    assert min(radii) > 0
    pixels = ramp_pixels(
        Ramp("radial", centre, radii, ((0, parse_colour("#000")), (1, parse_colour("#fff")))), (0, 0, 9, 9)
    )
    assert np.isfinite(pixels).all()


@pytest.mark.parametrize("case", TABLES["colours"], ids=lambda c: f"{c['stops']} at {c['at']}")
def test_colours_between_stops(case):
    found = colours_at(ramp(case), np.array([float(case["at"])]))[0]
    red, green, blue, alpha = case["rgba"]
    wanted = np.array([red, green, blue]) / 255 * alpha
    assert found[3] == pytest.approx(alpha, abs=2e-3)
    assert found[:3] * 255 == pytest.approx(wanted * 255, abs=0.7)


@pytest.mark.parametrize("name", ["linear", "radial", "conic"])
@pytest.mark.parametrize("repeating", [False, True])
def test_a_part_is_the_same_as_the_whole_cut(name, repeating):
    stops = (
        {"colour": "#0b1a14", "at": "0%"},
        {"colour": "#f2d9a0aa", "at": "30%"},
        {"colour": "#7a1f2b", "at": "70%"},
    )
    gradient = Gradient(shape=name, angle=33, centre=("30%", "60%"), repeating=repeating, stops=stops)
    found = resolve_gradient(gradient, BOX, VIEW)
    whole = ramp_pixels(found, (0, 0, 200, 100))
    assert np.array_equal(ramp_pixels(found, (40, 30, 50, 20)), whole[30:50, 40:90])


@given(st.floats(-720, 720), st.integers(2, 400), st.integers(2, 400))
def test_reversing_a_straight_gradient_is_turning_it_round(angle, width, height):
    box = Box(0, 0, width, height)
    there = resolve_gradient(Gradient(angle=angle, stops=TWO), box, VIEW)
    back = resolve_gradient(Gradient(angle=angle + 180, stops=TWO[::-1]), box, VIEW)
    one, other = (ramp_pixels(r, (0, 0, width, height)) for r in (there, back))
    assert np.abs(one - other).max() < 2e-3


@given(st.floats(1, 9), st.floats(0, 360))
def test_a_larger_box_scales_the_line_with_it(factor, angle):
    small = resolve_gradient(Gradient(angle=angle, stops=TWO), BOX, VIEW)
    large = resolve_gradient(Gradient(angle=angle, stops=TWO), Box(0, 0, 200 * factor, 100 * factor), VIEW)
    assert large.axis == pytest.approx((small.axis[0] * factor, small.axis[1] * factor), abs=1e-6 * factor * 300)


@pytest.mark.parametrize(
    ("fields", "css"),
    [
        ({}, "linear-gradient(180deg, #000000, #ffffff)"),
        ({"angle": -12.5, "repeating": True}, "repeating-linear-gradient(-12.5deg, #000000, #ffffff)"),
        ({"shape": "radial"}, "radial-gradient(ellipse farthest-corner at 50% 50%, #000000, #ffffff)"),
        (
            {"shape": "radial", "round": True, "extent": "closest-side", "centre": ("20px", "10%"), "space": "oklab"},
            "radial-gradient(circle closest-side at 20px 10% in oklab, #000000, #ffffff)",
        ),
        ({"shape": "conic", "angle": 40}, "conic-gradient(from 40deg at 50% 50%, #000000, #ffffff)"),
    ],
)
def test_gradients_are_said_in_css(fields, css):
    assert gradient_value(Gradient(stops=TWO, **fields)) == css


def test_an_opacity_is_said_in_the_colours():
    assert gradient_value(Gradient(stops=TWO), 0.5).endswith("rgb(0 0 0 / 0.5), rgb(255 255 255 / 0.5))")


@pytest.mark.parametrize(
    "fields",
    [
        {"stops": TWO[:1]},
        {"stops": ({"colour": "#000", "at": "20px"}, {"colour": "#fff"}), "shape": "conic"},
        {"stops": ({"colour": "red"}, {"colour": "#fff"})},
        {"stops": TWO, "extent": "nearest"},
    ],
)
def test_what_is_no_gradient_is_refused(fields):
    with pytest.raises(ValidationError):
        Gradient(**fields)


@pytest.mark.parametrize(
    ("text", "factor", "result"),
    [
        ("40%", 0.5, "20%"),
        ("-8px", 2, "-16px"),
        ("clamp(10px, 1rem + 2vw, 40px)", 0.5, "clamp(5px, 0.5rem + 1vw, 20px)"),
    ],
)
def test_a_length_scaled_is_that_many_times_as_long(text, factor, result):
    assert scaled(text, factor) == result
    scale = Scale(VIEW, base=300)
    assert scale.px(result) == pytest.approx(scale.px(text) * factor)
    parse_length(result)


@pytest.mark.parametrize("softness", [0, 0.3, 1])
def test_an_edge_shade_is_full_at_the_edge_and_nothing_at_its_depth(softness):
    layer = EdgeLayer(id="e", name="E", edges=("left",), depth="100px", softness=softness, colour="#000000")
    ramp_ = resolve_gradient(edge_gradients(layer)[0], BOX, VIEW)
    cover = ramp_pixels(ramp_, (0, 0, 200, 100))[50, :, 3]
    assert cover[0] > 0.97
    assert cover[101:].max() == 0
    assert (np.diff(cover) <= 1e-6).all()
    assert cover[int(100 * (1 - softness)) - 2 if softness < 1 else 0] > 0.97


def test_a_vignette_is_clear_in_the_middle_and_full_in_the_corners():
    layer = EdgeLayer(id="e", name="E", around=True, depth="60%", colour="#000000")
    cover = ramp_pixels(resolve_gradient(edge_gradients(layer)[0], BOX, VIEW), (0, 0, 200, 100))[..., 3]
    assert cover[50, 100] == 0
    assert cover[0, 0] > 0.97
    assert cover[0, 0] == pytest.approx(cover[99, 199], abs=1e-3)


def test_the_library_has_thirty_good_gradients():
    assert len(GRADIENTS) >= 30
    assert len({name for name, _, _ in GRADIENTS}) == len({words for _, words, _ in GRADIENTS}) == len(GRADIENTS)
    for _, _, plain in GRADIENTS:
        pixels = ramp_pixels(resolve_gradient(Gradient.model_validate(plain), BOX, VIEW), (0, 0, 200, 100))
        assert pixels.std() > 0.001
