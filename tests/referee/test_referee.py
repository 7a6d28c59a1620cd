"""The browser as referee, over a few of the banners that scripts/fidelity.py measures."""

import pytest

from .banners import generate
from .compare import compare
from .widths import cases, differing


@pytest.mark.parametrize("seed", [1, 6, 7, 12])
def test_boxes_lines_pixels_and_readings_agree(browser, seed):
    for outcome in compare(browser, generate(seed)):
        assert outcome.box <= 1, outcome.name
        assert outcome.lines_equal == outcome.lines_total, outcome.name
        assert outcome.mean <= 0.5, outcome.name
        assert outcome.within >= 0.97, outcome.name
        for block, core, seen, required in outcome.readings:
            assert core == pytest.approx(seen, rel=0.02), f"{outcome.name}, {block}"
            assert (core >= required) == (seen >= required) or abs(core / required - 1) < 0.03


@pytest.mark.parametrize("seed", range(100, 108))
def test_boxes_lines_and_pixels_agree_on_more(browser, seed):
    for outcome in compare(browser, generate(seed), with_readings=False):
        assert outcome.box <= 1, outcome.name
        assert outcome.lines_equal == outcome.lines_total, outcome.name
        assert outcome.mean <= 0.6, outcome.name
        assert outcome.within >= 0.95, outcome.name


def test_the_same_words_stand_on_every_line(browser, tmp_path):
    wrong = differing(browser, cases(800, 2), str(tmp_path))
    assert len(wrong) <= 1, wrong
