"""Where the subject lies, and which focal point keeps it in sight."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from PIL import Image

from garnetfern.core.document import Crop
from garnetfern.core.picture.focal import MIDDLE, OWN, best_focal
from garnetfern.core.picture.framing import Window
from garnetfern.core.picture.subject import CELLS, EVEN, FULL, Subject, subject_of

from ..subjects.labelled import AT_HAND, Labelled, figures, kept, labels, photograph, proposed, windows_of

WIDE, TALL = (1.0, 0.4), (0.35, 1.0)
NOWHERE = Subject([[1] * 24 for _ in range(24)], 1.0)


def window(size, x=0.0, y=0.0):
    return Window(x, y, *size, 1 - size[0] * size[1], 0.0, 1.0, (1, 1))


def subject(across, down, weight=900):
    """A map with all of the subject in some columns and rows."""
    found = [[0] * 24 for _ in range(24)]
    for row in range(*down):
        for column in range(*across):
            found[row][column] = weight
    return Subject(found, 1.0)


def scene(at, size=0.2, shape=(400, 600)):
    """A sharp, patterned disc of a colour of its own on a soft ground. Height x width x 3."""
    height, width = shape
    down, across = np.mgrid[0:height, 0:width]
    ground = np.stack([60 + 30 * down / height, 90 + 40 * across / width, 70 + 0 * down], axis=-1)
    disc = np.hypot(across - at[0] * width, down - at[1] * height) < size * min(shape) / 1.2
    pattern = np.where((across // 6 + down // 6) % 2, 250, 140)
    ground[disc] = np.stack([pattern, pattern * 0.4, pattern * 0.1], axis=-1)[disc]
    return ground.astype(np.uint8)


def test_the_best_focal_point_keeps_the_subject():
    found = best_focal([window(WIDE), window(TALL)], subject((17, 21), (16, 21)), [])
    assert found.focal[0] > 0.7
    assert found.focal[1] > 0.6
    assert (found.others, found.sureness) == ({}, "sure")


def test_of_places_that_are_as_good_the_middle_one_is_taken():
    found = best_focal([window((0.5, 1.0))], subject((8, 12), (0, 24)), [])
    assert found.focal == pytest.approx((0.5, 0.5), abs=0.18)
    assert best_focal([window((0.5, 1.0))], subject((9, 15), (0, 24)), []).focal == MIDDLE


def test_where_nothing_tells_the_subject_the_middle_stays_and_that_is_said():
    found = best_focal([window(WIDE), window(TALL)], NOWHERE, [])
    assert (found.focal, found.others, found.sureness) == (MIDDLE, {}, "doubtful")


def test_what_stands_out_nowhere_is_doubtful_wherever_it_would_be_likely():
    here = subject((17, 21), (16, 21))
    found = best_focal([window(WIDE), window(TALL)], here._replace(clear=EVEN - 0.01), [])
    assert (found.focal, found.sureness) == (MIDDLE, "doubtful")


@pytest.mark.parametrize("name", ["brick.png", "grass.png", "gravel.png", "noise"])
def test_patterns_have_no_subject(name):
    if name == "noise":
        pixels = np.random.default_rng(4).integers(0, 256, (400, 600, 3), dtype=np.uint8)
    else:
        image = photograph(Labelled(AT_HAND, name, 0, (0, 0, 1, 1), ""), None)
        assert image is not None
        pixels = np.asarray(image)
    assert subject_of(pixels).clear < EVEN


def test_only_the_axis_that_is_doubtful_keeps_its_middle():
    spread = [[900 if 2 <= row < 5 else 0] * 24 for row in range(24)]
    found = best_focal([window(WIDE), window(TALL)], Subject(spread, 1.0), [])
    assert found.focal[0] == 0.5
    assert found.focal[1] < 0.2
    assert found.sureness == "doubtful"


@given(st.lists(st.integers(0, 1000), min_size=24, max_size=24), st.floats(0.1, 0.9), st.floats(0.1, 0.9))
def test_no_screen_keeps_much_less_than_it_could(columns, first, second):
    found = best_focal([window((size, 1.0)) for size in (first, second)], Subject([columns] * 24, 1.0), [])
    cells = np.array(columns) + 1e-9

    def share(size, at):
        edges = np.clip(np.array([at * (1 - size), at * (1 - size) + size]) * 24, 0, 24)
        low, high = np.interp(edges, np.arange(25), np.concatenate([[0], cells.cumsum()]))
        return (high - low) / cells.sum()

    for n, size in enumerate((first, second)):
        at = found.others.get(n, found.focal)[0]
        most = max(share(size, place / 40) for place in range(41))
        assert share(size, at) >= most - OWN - 0.001 or found.sureness == "doubtful"


def test_marked_parts_come_before_what_pixels_tell():
    parts = [Crop(x=0.0, y=0.4, width=0.1, height=0.1), Crop(x=0.9, y=0.4, width=0.1, height=0.1)]
    both = best_focal([window(WIDE), window(TALL)], NOWHERE, parts)
    assert (both.others, list(both.lost_parts), both.sureness) == ({}, [1], "marked")
    corner = Crop(x=0.0, y=0.0, width=0.1, height=0.1)
    one = best_focal([window(TALL), window((0.3, 0.2))], subject((20, 24), (20, 24)), [corner])
    assert one.lost_parts == {}


@settings(max_examples=25, deadline=None)
@given(st.floats(0.15, 0.85), st.floats(0.2, 0.8), st.sampled_from([(400, 600), (600, 400), (300, 900)]))
def test_a_thing_on_a_plain_ground_stays_in_sight_wherever_it_is(x, y, shape):
    image, size = Image.fromarray(scene((x, y), shape=shape)), 0.2 * min(shape) / 1.2
    found = subject_of(np.asarray(image))
    assert all(0 <= weight <= FULL for row in found.cells for weight in row)
    across, down = size / shape[1], size / shape[0]
    box = (max(0, x - across), max(0, y - down), min(1, x + across), min(1, y + down))
    label, windows = Labelled("", "", 0, box, "judge"), windows_of(image)
    ours = kept(label, windows, proposed(found, windows))
    assert min(ours) >= 0.8 or ours >= kept(label, windows, None)


@pytest.mark.parametrize("size", [(1, 1), (3, 200), (500, 2), (40, 30)])
def test_pictures_of_any_size_and_of_one_colour_are_looked_at(size):
    found = subject_of(np.full((*size, 3), 128, dtype=np.uint8))
    assert len(found.cells) == CELLS
    assert best_focal([window(WIDE)], found, []).focal[0] == 0.5


def test_photographs_at_hand_keep_their_subject():
    """Six of the marked ones; `scripts/subjects.py` looks at all of them, which come with larger packages."""
    ours = []
    for label in labels():
        if label.package == AT_HAND:
            image = photograph(label, None)
            assert isinstance(image, Image.Image)
            windows = windows_of(image)
            ours.append(kept(label, windows, proposed(subject_of(np.asarray(image)), windows)))
    assert len(ours) == 6
    assert figures(ours)[0] >= 0.95


def test_the_marked_set_is_one_to_measure_with():
    marked = labels()
    assert len(marked) == len({(m.package, m.file, m.number) for m in marked}) == 130
    assert {m.half for m in marked} == {"tune", "judge"}
    for m in marked:
        left, top, right, foot = m.box
        assert 0 <= left < right <= 1
        assert 0 <= top < foot <= 1
