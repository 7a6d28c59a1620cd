"""Other eyes and other light: what a veil makes of colours, what words come to behind one."""

import math

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from garnetfern.core.colour.spaces import luminance, to_linear
from garnetfern.core.eyes import (
    KINDS,
    PX_PER_DEGREE,
    EyeError,
    dials_of,
    mean_light,
    ratio_seen,
    seen,
    veil_of,
)
from garnetfern.core.eyes.readings import left_of_letters
from garnetfern.core.eyes.veil import seen_light
from garnetfern.core.reading import situations
from tests.core.test_readings import split_picture
from tests.sites import HEADING, colour_layer, document, image_layer, one_banner, reader_of, with_picture

CONES = ("protan", "deutan", "tritan")
LEVEL = st.integers(0, 255)


def flat(*colour: int, side: int = 5):
    return np.full((side, side, 3), colour, dtype=np.uint8)


def through(kind: str, pixels, **dials: float):
    return seen(pixels, veil_of(kind, dials, lambda: pixels))


@pytest.mark.parametrize("kind", KINDS)
def test_every_eye_says_what_it_is_and_its_dials_stand_within_their_ends(kind):
    module = KINDS[kind]
    assert module.TITLE
    assert module.SENTENCE.endswith(".")
    for dial in module.DIALS:
        assert dial.least <= dial.usual <= dial.most
        assert (dial.usual - dial.least) / dial.step == pytest.approx(round((dial.usual - dial.least) / dial.step))
        for end in (dial.least, dial.most):
            shown = through(kind, flat(200, 90, 10), **{dial.name: end})
            assert shown.shape == (5, 5, 3)


@given(st.sampled_from(CONES), st.floats(0, 1), LEVEL)
def test_what_is_grey_stays_grey_before_weak_cones(kind, severity, level):
    assert np.abs(through(kind, flat(level, level, level), severity=severity).astype(int) - level).max() <= 1


@given(st.sampled_from(CONES), LEVEL, LEVEL, LEVEL)
def test_at_no_severity_nothing_is_changed(kind, red, green, blue):
    assert (through(kind, flat(red, green, blue), severity=0) == flat(red, green, blue)).all()


@pytest.mark.parametrize(
    ("kind", "severity", "linear", "wanted"),
    [
        # rows of the published tables, and half-way between two of them
        ("protan", 1.0, (1, 0, 0), (0.152286, 0.114503, 0)),
        ("protan", 0.1, (1, 0, 0), (0.856167, 0.029342, 0)),
        ("deutan", 1.0, (0, 1, 0), (0.860646, 0.672501, 0.042940)),
        ("deutan", 0.95, (1, 0, 0), (0.380137, 0.2718215, 0)),
        ("tritan", 1.0, (0, 0, 1), (0, 0.147602, 0.303900)),
    ],
)
def test_the_matrices_are_those_that_were_published(kind, severity, linear, wanted):
    veil = veil_of(kind, {"severity": severity}, lambda: flat(0, 0, 0))
    there = seen_light(np.array([[linear]], dtype=np.float32), veil)
    assert there[0, 0] == pytest.approx(wanted, abs=2e-6)


@given(LEVEL, LEVEL, LEVEL)
def test_in_grey_luminance_stays(red, green, blue):
    grey = through("grey", flat(red, green, blue))[0, 0]
    assert len(set(grey.tolist())) == 1
    wanted = luminance(np.array([red, green, blue], dtype=np.float32))
    assert luminance(grey.astype(np.float32)) == pytest.approx(float(wanted), abs=0.006)


@pytest.mark.parametrize(
    ("kind", "light", "black"),
    [
        # E r / pi / white, and of that which share of what is then white
        ("sun", 20_000, 20_000 * 0.04 / math.pi / 600),
        ("sun", 100_000, 100_000 * 0.04 / math.pi / 600),
        ("projector", 100, 100 * 0.9 / math.pi / 120),
        ("projector", 0, 0.0),
    ],
)
def test_light_on_a_surface_lifts_black_and_leaves_white(kind, light, black):
    assert (through(kind, flat(255, 255, 255), light=light) == 255).all()
    found = to_linear(through(kind, flat(0, 0, 0), light=light)[2, 2].astype(np.float32))
    assert found == pytest.approx(np.full(3, black / (1 + black)), abs=0.004)


@pytest.mark.parametrize("acuity", [1.0, 0.5, 0.2])
def test_the_finest_lines_that_are_told_apart_keep_a_twentieth_of_their_contrast(acuity):
    period = PX_PER_DEGREE / (30 * acuity)
    # as fine as that is no whole number of px: it is looked at eight times as large
    larger = 8
    across = np.arange(round(24 * period * larger), dtype=np.float64)
    wave = 0.5 + 0.4 * np.sin(2 * math.pi * across / (period * larger))
    lines = np.repeat(np.repeat(wave[None, :, None], 64, axis=0), 3, axis=2).astype(np.float32)
    veil = veil_of("acuity", {"acuity": acuity, "distance": 1}, lambda: flat(0, 0, 0))
    there = seen_light(lines, type(veil)(veil.blur * larger, veil.matrix))[32, len(wave) // 3 : -len(wave) // 3, 0]
    assert np.ptp(there) / np.ptp(wave) == pytest.approx(0.05, rel=0.05)


def test_twice_as_far_away_is_half_as_sharp():
    far = veil_of("acuity", {"acuity": 0.5, "distance": 2}, lambda: flat(0, 0, 0))
    near = veil_of("acuity", {"acuity": 0.25, "distance": 1}, lambda: flat(0, 0, 0))
    assert far.blur == pytest.approx(near.blur)


def test_a_clouded_lens_scatters_the_light_of_the_whole_screen():
    screen = np.concatenate([flat(0, 0, 0, side=20), flat(255, 255, 255, side=20)])
    dark = seen(flat(0, 0, 0), veil_of("cataract", {"cloud": 0.4}, lambda: flat(0, 0, 0)))
    bright = seen(flat(0, 0, 0), veil_of("cataract", {"cloud": 0.4}, lambda: screen))
    assert (dark == 0).all()
    red, _, blue = bright[2, 2].tolist()
    assert red > blue > 0
    assert mean_light(screen) == pytest.approx(np.full(3, 0.5))
    # nothing is added that was not taken away: white on white gets no brighter
    white = flat(255, 255, 255)
    assert (seen(white, veil_of("cataract", {"cloud": 0.4}, lambda: white)) <= 255).all()
    assert (seen(white, veil_of("cataract", {"cloud": 0}, lambda: white)) == 255).all()


@pytest.mark.parametrize(
    ("kind", "dials", "said"),
    [
        ("owl", {}, "no eye called 'owl'"),
        ("deutan", {"light": 3}, "no dial called 'light'"),
        ("deutan", {"severity": 1.5}, "Severity goes from 0 to 1, not to 1.5"),
        ("acuity", {"acuity": math.nan}, "not to nan"),
    ],
)
def test_eyes_that_there_are_not_are_refused_in_words(kind, dials, said):
    with pytest.raises(EyeError, match=said):
        dials_of(kind, dials)


def readings(file, kind: str, **dials: float) -> dict[str, float | None]:
    """What the words of a page come to at rest on its first screen."""
    reader = reader_of(file)
    page = file.site.pages[0]
    situation = situations(file.site, page)[0]
    record = reader.resolve(file.site, page, situation)
    veil = veil_of(kind, dials, lambda: flat(128, 128, 128))
    return {b.id: ratio_seen(reader, record, b, veil) for b in record.blocks() if b.words}


def plain(file) -> dict[str, float | None]:
    reader = reader_of(file)
    page = file.site.pages[0]
    situation = situations(file.site, page)[0]
    record = reader.resolve(file.site, page, situation)
    level = file.site.requirement
    return {b.id: reader.read(record, b, situation, level).ratio for b in record.blocks() if b.words}


SITES = {
    "a picture": lambda: with_picture(document(image_layer()), split_picture((40, 60, 50), (90, 110, 60)), "p.png"),
    "colours": lambda: one_banner(colour_layer("#704020", 0.6)),
    "translucent words": lambda: one_banner(
        blocks=({**HEADING, "lettering": {**HEADING["lettering"], "colour": "#ffffffa0"}},)
    ),
}


@pytest.mark.parametrize("name", SITES)
@pytest.mark.parametrize(("kind", "dials"), [("deutan", {"severity": 0}), ("cataract", {"cloud": 0})])
def test_through_an_eye_that_changes_nothing_the_reading_is_the_reading(name, kind, dials):
    file = SITES[name]()
    there, wanted = readings(file, kind, **dials), plain(file)
    assert there.keys() == wanted.keys()
    for block, ratio in wanted.items():
        assert there[block] == pytest.approx(ratio, rel=3e-3), block


@pytest.mark.parametrize("name", SITES)
def test_the_less_sharp_the_less_contrast_is_left(name):
    file = SITES[name]()
    sharp = plain(file)["headline"]
    found = [readings(file, "acuity", acuity=a)["headline"] for a in (1.0, 0.5, 0.25, 0.1, 0.05)]
    assert all(ratio is not None and ratio >= 1 for ratio in found)
    assert found[0] <= sharp * 1.02
    assert found == sorted(found, reverse=True)
    assert found[-1] < 0.5 * sharp


def test_no_words_and_letters_of_no_ink_come_to_no_figure():
    assert readings(one_banner(blocks=()), "grey") == {}


def test_what_a_blur_leaves_of_letters():
    cover = np.zeros((60, 60), dtype=np.float32)
    cover[10:50, 10:50:6] = 1
    middle = np.s_[20:40, 20:40]
    left = [float(left_of_letters(cover, blur, 24)[middle].mean()) for blur in (0, 0.3, 1, 2, 6)]
    assert left[0] == 1
    assert left == sorted(left, reverse=True)
    assert left[-1] < 0.1
    assert (left_of_letters(np.zeros((9, 9), dtype=np.float32), 3, 16) == 1).all()
