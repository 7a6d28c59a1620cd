"""Figures as the browser's raster takes them: against captures of it, and what must hold for any outline."""

import math
from itertools import pairwise

import numpy as np
import pytest
from fontTools.misc.transform import Identity
from hypothesis import given
from hypothesis import strategies as st

from garnetfern.core.draw.edges import at, edges, halves, snapped
from garnetfern.core.draw.figure import as_rastered, coverage
from garnetfern.core.draw.outline import filled, stroked

SIDE = 40


def figure(path: str, stroke: float = 0) -> str:
    own = f' fill="none" stroke="#fff" stroke-width="{stroke}"' if stroke else ' fill="#fff"'
    return f'<svg xmlns="http://www.w3.org/2000/svg" width="{SIDE}" height="{SIDE}"><path d="{path}"{own}/></svg>'


def disc(x: float, y: float, r: float) -> str:
    return f"M{x - r} {y}a{r} {r} 0 1 0 {2 * r} 0a{r} {r} 0 1 0 {-2 * r} 0z"


CAPTURED = {
    # how many px are covered in all, in headless Chromium; a circle of 4 px is larger there than a circle is
    "disc of 2 px": (disc(5, 5, 2), 0, 12.13),
    "disc of 4 px": (disc(7, 7, 4), 0, 52.16),
    "disc of 7 px": (disc(10.04, 10.04, 7.04), 0, 151.95),
    "disc of 10 px": (disc(13, 13, 10), 0, 304.76),
}


@pytest.mark.parametrize("name", CAPTURED)
def test_discs_are_as_large_as_in_the_browser(name):
    path, stroke, seen = CAPTURED[name]
    own = coverage(figure(path, stroke), SIDE, SIDE, alone=True).sum()
    assert own == pytest.approx(seen, rel=0.012)
    assert abs(own - seen) < abs(coverage(figure(path, stroke), SIDE, SIDE).sum() - seen)


def test_a_disc_of_four_px_has_the_levels_of_the_browser():
    own = coverage(figure(disc(7, 7, 4)), SIDE, SIDE, alone=True) * 255
    assert own[3, 4:10] == pytest.approx([76, 196, 239, 239, 196, 76], abs=4)
    assert own[3:11, 3] == pytest.approx([0, 80, 199, 240, 240, 199, 80, 0], abs=4)


coordinate = st.floats(1, SIDE - 1).map(lambda v: round(v, 3))
point = st.tuples(coordinate, coordinate)


@given(st.lists(point, min_size=3, max_size=7, unique=True))
def test_corners_keep_their_place_across_and_go_to_quarters_down(points):
    loop = [(one, other) for one, other in pairwise(points)]
    (corners,) = edges([loop], SIDE, SIDE)
    assert set(corners) == {(x, snapped(y)) for x, y in points}
    assert all(abs(snapped(y) - y) <= 0.125 and (4 * snapped(y)).is_integer() for _, y in points)


@given(st.lists(point, min_size=3, max_size=4))
def test_a_curve_ends_where_it_ends_and_its_edges_lie_near_it(points):
    curve = tuple(points)
    (corners,) = edges([[curve]], SIDE, SIDE)
    assert corners[0] == (curve[0][0], snapped(curve[0][1]))
    assert (curve[-1][0], snapped(curve[-1][1])) in corners
    close = [at(curve, n / 400) for n in range(401)]
    assert all((4 * y).is_integer() or y == math.floor(y) for _, y in corners)
    assert all(
        min(math.dist(corner, there) for there in close) < 0.6 for corner in corners[: corners.index(corners[0], 1)]
    )


@given(st.lists(point, min_size=3, max_size=4), st.floats(0.01, 0.99))
def test_halves_are_the_same_curve(points, share):
    one, other = halves(tuple(points), share)
    for n in range(5):
        assert at(one, n / 4) == pytest.approx(at(tuple(points), share * n / 4), abs=1e-6)
        assert at(other, n / 4) == pytest.approx(at(tuple(points), share + (1 - share) * n / 4), abs=1e-6)


def test_what_reaches_out_of_its_picture_is_cut_along_its_sides():
    (corners,) = edges([[((-7.0, 3.3), (50.0, 30.7))]], SIDE, SIDE)
    across = {x for x, _ in corners}
    assert {0.0, 40.0} <= {round(x, 6) for x in across}
    assert all((4 * y).is_integer() for _, y in corners)


@given(st.floats(1, 6), st.integers(4, 30), st.floats(0, 2 * math.pi))
def test_a_stroked_line_is_a_rectangle(thick, long, angle):
    x, y = 20 + long / 2 * math.cos(angle), 20 + long / 2 * math.sin(angle)
    (loop,) = stroked(f"M{40 - x} {40 - y}L{x} {y}", thick, Identity)
    corners = [*(piece[0] for piece in loop), loop[-1][-1]]
    area = sum(a * d - c * b for (a, b), (c, d) in zip(corners, [*corners[1:], corners[0]], strict=True)) / 2
    assert abs(area) == pytest.approx(thick * math.dist((40 - x, 40 - y), (x, y)), rel=1e-3)


@pytest.mark.parametrize("path", ["M5 30L20 8L35 30", "M5 30C12 2 28 2 35 30", disc(20, 20, 12), "M8 8H32V32H8z"])
@pytest.mark.parametrize("scale", [1.0, 0.3])
def test_strokes_cover_what_strokes_cover(path, scale):
    moved = f'<g transform="scale({scale})">'
    svg = figure(path, 5).replace("<path", f"{moved}<path").replace("/></svg>", "/></g></svg>")
    own, exact = (coverage(svg, SIDE, SIDE, alone=alone) for alone in (True, False))
    assert own.sum() == pytest.approx(exact.sum(), rel=0.1)
    assert np.abs(own - exact).max() < 0.45


def test_groups_masks_and_turns_stay_what_they_are():
    plain = figure("M4 4H20V12H4z")
    turned = plain.replace("<path", '<g transform="translate(40 40) rotate(180)"><path').replace(
        "/></svg>", "/></g></svg>"
    )
    assert coverage(turned, SIDE, SIDE, alone=True) == pytest.approx(
        coverage(plain, SIDE, SIDE, alone=True)[::-1, ::-1], abs=0.01
    )
    assert 'transform="' not in as_rastered(turned, SIDE, SIDE)
    with pytest.raises(AttributeError):
        as_rastered(plain.replace("<path", '<path transform="bend(3)"'), SIDE, SIDE)


def test_paths_of_nothing_enclose_nothing():
    assert edges(filled("M5 5", Identity), SIDE, SIDE) == []
    assert stroked("M5 5", 3, Identity) == []
    assert stroked("M5 5L5 5", 3, Identity) == []
