"""The browser as referee, over a few of the banners that scripts/fidelity.py measures."""

import statistics
from pathlib import Path

import pytest

from tests.sampled import sampled

from .banners import generate
from .compare import compare
from .pages import generate_page
from .placings import compared, placings
from .widths import cases, differing, tight


@pytest.mark.parametrize("seed", sampled([1, 6, 7, 12], 1))
def test_boxes_lines_pixels_and_readings_agree(browser, seed):
    for outcome in compare(browser, generate(seed)):
        assert outcome.box <= 1, outcome.name
        assert outcome.lines_equal == outcome.lines_total, outcome.name
        assert outcome.mean <= 0.5, outcome.name
        assert outcome.within >= 0.97, outcome.name
        for block, core, seen, required in outcome.readings:
            assert core == pytest.approx(seen, rel=0.02), f"{outcome.name}, {block}"
            assert (core >= required) == (seen >= required) or abs(core / required - 1) < 0.03


@pytest.mark.parametrize("seed", sampled(range(100, 108), 1))
def test_boxes_lines_and_pixels_agree_on_more(browser, seed):
    for outcome in compare(browser, generate(seed), with_readings=False):
        assert outcome.box <= 1, outcome.name
        assert outcome.lines_equal == outcome.lines_total, outcome.name
        assert outcome.mean <= 0.6, outcome.name
        assert outcome.within >= 0.95, outcome.name


def test_the_same_words_stand_on_every_line(browser, tmp_path):
    found = sampled(cases(800, 2), 100)
    assert not differing(browser, found, str(tmp_path))
    assert len(differing(browser, tight(found, 2), str(tmp_path))) <= 1


@pytest.mark.parametrize("seed", sampled([0, 3, 4], 1))
def test_joins_columns_menus_pictures_and_exceptions_agree(browser, seed):
    for outcome in compare(browser, generate_page(seed), with_readings=False):
        assert outcome.box <= 1, outcome.name
        assert outcome.lines_equal == outcome.lines_total, outcome.name
        assert outcome.mean <= 0.6, outcome.name
        assert outcome.within >= 0.95, outcome.name


GAPS = 2.6
"""Spaced and resized tiles at fractional sizes are drawn twice by the browser, which softens them a little."""
WAYS = [
    ("scroll", "photo", (1283, 700), 1, 0),
    ("scroll", "small", (411, 700), 1, 0),
    ("scroll", "photo", (1283, 700), 2, 0),
    *[("fixed", "photo", (1283, 700), 1, scroll) for scroll in (0, 731, 3000)],
    *[("slower", "photo", (1283, 700), 1, scroll) for scroll in (0, 731, 5000)],
]


@pytest.mark.parametrize(("attachment", "kind", "viewport", "density", "scroll"), sampled(WAYS, 2))
def test_every_size_repeat_position_and_attachment_agrees(browser, attachment, kind, viewport, density, scroll):
    # a page of all of them takes the browser minutes to paint at two px per CSS px
    ways = placings(attachment) if density == 1 else sampled(placings(attachment), 48)
    found = compared(browser, ways, kind, viewport, density, scroll)
    plain = [a for a in found if not any(s in a.name for s in ("space", "round"))]
    assert plain
    for agreement in plain:
        # at two px per CSS px the file has twice the width, which is sharper, and tiles begin at halves of a px
        assert agreement.mean <= (1.1 if density == 1 else 3.2), agreement
    assert statistics.median(a.mean for a in found) <= (0.5 if density == 1 else 0.7)
    assert max(a.mean for a in found) <= (GAPS if density == 1 else 3.2)


def test_the_referee_measures_with_code_of_its_own():
    for name in ("browser", "measure"):
        assert "garnetfern" not in (Path(__file__).parent / f"{name}.py").read_text()
