"""Other people's libraries as oracles: colour spaces, contrast, mixing, blending, gradients, resampling."""

import numpy as np
import pytest
from coloraide import Color
from hypothesis import given
from hypothesis import strategies as st
from PIL import Image

from garnetfern.core.colour.contrast import contrast
from garnetfern.core.colour.mix import distance, lightness_of, towards
from garnetfern.core.colour.notation import Rgba, mixed
from garnetfern.core.colour.spaces import encoded, from_oklab, level_luminance, lightness, luminance, oklab, to_linear
from garnetfern.core.draw.blend import BLENDS, composite, over_opaque, plain
from garnetfern.core.draw.ramp import colours_at
from garnetfern.core.draw.sample import halved
from garnetfern.core.resolve.sheets import Ramp

LEVELS = st.integers(0, 255)
COLOURS = st.tuples(LEVELS, LEVELS, LEVELS)
ALPHAS = st.integers(0, 255).map(lambda a: a / 255)
TRANSLUCENT = st.builds(Rgba, LEVELS, LEVELS, LEVELS, ALPHAS)


def theirs(rgb: tuple[int, int, int], alpha: float = 1.0) -> Color:
    return Color("srgb", [v / 255 for v in rgb], alpha)


def ours(rgb: tuple[int, int, int]) -> np.ndarray:
    return np.array(rgb, dtype=np.float32)


def pixel(colour: Rgba) -> np.ndarray:
    """Premultiplied, 0..1."""
    return np.array([*(v / 255 * colour.alpha for v in colour.rgb), colour.alpha], dtype=np.float32)


@given(COLOURS)
def test_colour_spaces_agree(rgb):
    colour = theirs(rgb)
    assert oklab(ours(rgb)) == pytest.approx(colour.convert("oklab").coords(), abs=2e-4)
    assert from_oklab(oklab(ours(rgb))) == pytest.approx(rgb, abs=0.2)
    assert to_linear(ours(rgb)) == pytest.approx(colour.convert("srgb-linear").coords(), abs=1e-6)
    assert encoded(to_linear(ours(rgb))) == pytest.approx(rgb, abs=0.01)
    # WCAG rounds the weights to four digits
    assert float(luminance(ours(rgb))) == pytest.approx(colour.luminance(), abs=1e-4)
    assert float(level_luminance(np.array([[rgb]], dtype=np.uint8))[0, 0]) == pytest.approx(
        colour.luminance(), abs=1e-4
    )
    assert float(lightness(luminance(ours(rgb)))) == pytest.approx(colour.convert("lab-d65")["l"], abs=0.06)
    hex_ = Rgba(*rgb).hex
    assert lightness_of(hex_) == pytest.approx(colour.convert("oklab")["l"], abs=2e-4)


@given(COLOURS, COLOURS)
def test_contrast_and_distance_agree(one, other):
    ratio = float(contrast(luminance(ours(one)), luminance(ours(other))))
    assert ratio == pytest.approx(theirs(one).contrast(theirs(other), method="wcag21"), rel=5e-4)
    assert 1 <= ratio <= 21.0001
    apart = theirs(one).delta_e(theirs(other), method="ok")
    assert distance(Rgba(*one).hex, Rgba(*other).hex) == pytest.approx(apart, abs=4e-4)


@given(TRANSLUCENT, TRANSLUCENT, st.integers(0, 100).map(lambda n: n / 100))
def test_colours_are_mixed_alike(one, other, share):
    between = theirs(one.rgb, one.alpha).mix(theirs(other.rgb, other.alpha), share, space="srgb", premultiplied=True)
    found = mixed(one, other, share)
    assert found.alpha == pytest.approx(between.alpha(), abs=1e-6)
    # what is almost transparent has hardly a colour
    if found.alpha > 0.02:
        assert found.rgb == pytest.approx([v * 255 for v in between.coords(nans=False)], abs=0.51)


@given(COLOURS, COLOURS, st.integers(0, 100).map(lambda n: n / 100))
def test_the_way_to_another_colour_agrees(one, other, share):
    there = theirs(one).mix(theirs(other), share, space="oklab").convert("srgb").clip()
    found = towards(Rgba(*one).hex, Rgba(*other).hex, share)
    assert [int(found[i : i + 2], 16) for i in (1, 3, 5)] == pytest.approx([v * 255 for v in there.coords()], abs=1.1)


NOT_SEPARABLE = ("hue", "saturation", "color", "luminosity")
"""The oracle weighs components by 0.299, 0.587, 0.114 where the standard says 0.3, 0.59, 0.11."""


@pytest.mark.parametrize("mode", BLENDS)
@given(TRANSLUCENT, TRANSLUCENT)
def test_every_blend_mode_agrees(mode, below, above):
    off = 0.02 if mode in NOT_SEPARABLE else 1e-4
    under, over = (np.array(c.rgb, dtype=np.float32) / 255 for c in (below, above))
    opaque = Color.layer([theirs(above.rgb), theirs(below.rgb)], blend=mode, space="srgb")
    mixed_ = np.array(opaque.coords(nans=False))
    wanted = under + (mixed_ - under) * above.alpha
    assert over_opaque(under, pixel(above), mode) == pytest.approx(wanted, abs=off)
    # section 5.8: where the backdrop lets something through, the source stands as it is
    source = (1 - below.alpha) * over + below.alpha * mixed_
    co = above.alpha * source + (1 - above.alpha) * below.alpha * under
    alpha = above.alpha + below.alpha * (1 - above.alpha)
    assert composite(pixel(below), pixel(above), mode) == pytest.approx([*co, alpha], abs=off)


@given(TRANSLUCENT)
def test_what_was_premultiplied_is_plain_again(colour):
    if colour.alpha > 0:
        assert plain(pixel(colour)) == pytest.approx([v / 255 for v in colour.rgb], abs=1e-5)
    else:
        assert not plain(pixel(colour)).any()


STOPS = st.lists(st.tuples(st.integers(0, 100), TRANSLUCENT), min_size=2, max_size=5)


@pytest.mark.parametrize("space", ["srgb", "oklab"])
@given(STOPS, st.integers(-10, 110))
def test_gradients_agree(space, stops, at):
    stops = sorted(stops, key=lambda s: s[0])
    places = [s[0] for s in stops]
    # where two stops meet each side has a colour of its own
    if len(set(places)) < len(places):
        return
    ramp = Ramp("linear", (0, 0), (1, 0), tuple((p / 100, c) for p, c in stops), space=space)
    found = colours_at(ramp, np.array([at / 100]))[0]
    inside = min(max(at, places[0]), places[-1])
    n = max(k for k, p in enumerate(places[:-1]) if p <= inside)
    (start, one), (end, other) = stops[n], stops[n + 1]
    share = (inside - start) / (end - start)
    wanted = theirs(one.rgb, one.alpha).mix(theirs(other.rgb, other.alpha), share, space=space, premultiplied=True)
    alpha = wanted.alpha(nans=False)
    assert found[3] == pytest.approx(alpha, abs=1e-5)
    shown = wanted.convert("srgb").clip().coords(nans=False)
    assert found[:3] == pytest.approx([v * alpha for v in shown], abs=4e-3)


def picture(width: int, height: int) -> np.ndarray:
    y, x = np.mgrid[0:height, 0:width]
    parts = [x * 255 / width, y * 255 / height, 128 + 100 * np.sin(x / 40) * np.cos(y / 30)]
    return np.stack(parts, -1).astype(np.uint8)


@pytest.mark.parametrize(("width", "height"), [(400, 300), (246, 78), (64, 2)])
def test_a_picture_of_half_the_size_is_as_another_library_makes_it(width, height):
    whole = picture(width, height)
    wanted = np.asarray(
        Image.fromarray(whole).resize((width // 2, height // 2), Image.Resampling.BOX), dtype=np.float32
    )
    assert np.abs(halved(whole).astype(np.float32) - wanted).max() <= 1
