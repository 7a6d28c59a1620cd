"""Flashes, at and around each border that WCAG 2.2 sets."""

import numpy as np
import pytest

from garnetfern.core.reading.flashes import flash_of

SIZE = (256, 341)
BLACK, WHITE = (0, 0, 0), (1, 1, 1)
DARK_RED, DARK_BLUE = (0.3, 0, 0), (0, 0, 0.9)


def grey(light):
    return (light, light, light)


def film(one, other, flashes, seconds=2.0, rate=60, part=1.0, size=SIZE):
    """One colour and another by turns, so many flashes a second, over a part of the height."""
    for n in range(round(seconds * rate)):
        time = n / rate
        frame = np.zeros((*size, 3), dtype=np.float32) + np.array(one, dtype=np.float32)
        if int(2 * flashes * time + 1e-6) % 2:
            frame[: round(part * size[0])] = other
        yield time, frame


CASES = [
    ("four flashes", BLACK, WHITE, 4, 1.0, "general"),
    ("three flashes", BLACK, WHITE, 3, 1.0, None),
    ("one flash", BLACK, WHITE, 1, 1.0, None),
    ("a tenth of all light", grey(0.2), grey(0.301), 5, 1.0, "general"),
    ("less than a tenth", grey(0.2), grey(0.295), 5, 1.0, None),
    ("both are light", grey(0.82), grey(1.0), 5, 1.0, None),
    ("one of them is not", grey(0.79), grey(0.9), 5, 1.0, "general"),
    ("more than a quarter of the field", BLACK, WHITE, 5, 0.27, "general"),
    ("less than a quarter", BLACK, WHITE, 5, 0.23, None),
    ("a dark red", BLACK, DARK_RED, 5, 1.0, "red"),
    ("as dark a blue", BLACK, DARK_BLUE, 5, 1.0, None),
    ("a red with grey in it", BLACK, (0.2, 0.06, 0.06), 5, 1.0, None),
    ("three red flashes", BLACK, DARK_RED, 3, 1.0, None),
    ("a red that hardly changes", (0.30, 0, 0), (0.35, 0, 0), 5, 1.0, None),
]


@pytest.mark.parametrize(
    ("one", "other", "flashes", "part", "expected"), [c[1:] for c in CASES], ids=[c[0] for c in CASES]
)
def test_what_flashes_is_found_and_nothing_else(one, other, flashes, part, expected):
    found = flash_of(film(one, other, flashes, part=part))
    assert (found.kind if found else None) == expected


def test_it_is_told_with_the_moment():
    found = flash_of(film(BLACK, WHITE, 5))
    assert 0.6 <= found.time <= 0.85
    assert found.share == pytest.approx(1)


def test_a_slow_rise_is_one_change_however_many_steps_it_has():
    frames = ((n / 60, np.full((*SIZE, 3), abs((n / 60) % 2 - 1), dtype=np.float32)) for n in range(240))
    assert flash_of(frames) is None


def test_small_steps_back_do_not_make_it_two_changes():
    def wavering():
        for n in range(120):
            yield n / 60, np.full((*SIZE, 3), 0.4 + 0.04 * (n % 2), dtype=np.float32)

    assert flash_of(wavering()) is None


def test_places_that_flash_by_turns_are_seen_together():
    """A board of squares whose halves flash against one another fills the field as a whole."""
    rows, columns = np.mgrid[: SIZE[0], : SIZE[1]]
    board = ((rows // 16 + columns // 16) % 2).astype(np.float32)
    frames = (
        (n / 60, np.repeat((board if int(10 * n / 60) % 2 else 1 - board)[..., None], 3, axis=2)) for n in range(90)
    )
    assert flash_of(frames).share == pytest.approx(1)


def test_what_is_small_on_a_large_page_is_measured_by_the_field_and_not_by_the_page():
    frames = film(BLACK, WHITE, 5, part=0.4, size=(128, 170))
    assert flash_of(frames, cell=2) is not None
    assert flash_of(film(BLACK, WHITE, 5, part=0.4, size=(128, 170)), cell=1) is None


def test_a_picture_that_stands_still_does_not_flash():
    assert flash_of((n / 30, np.full((*SIZE, 3), 0.5, dtype=np.float32)) for n in range(60)) is None
