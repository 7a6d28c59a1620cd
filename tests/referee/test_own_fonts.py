"""Fonts that an owner brings along, in Chromium: lines, boxes, pixels and readings as with ours."""

import pytest

from tests.sampled import sampled

from .compare import compare
from .own_fonts import brought, own_book, own_sample
from .widths import cases, differing, differing_stood_in


def test_the_same_words_stand_on_every_line(browser, tmp_path):
    families = [family for family in own_book().families if family.own]
    assert len(families) == 20
    found = sampled(cases(800, 11, families, brought()[0]), 100)
    assert len(differing(browser, found, str(tmp_path))) <= max(1, len(found) // 200)
    stood = found[:150]
    assert len(differing_stood_in(browser, stood, own_book(), str(tmp_path))) <= max(1, len(stood) // 200)


@pytest.mark.parametrize("plain", [False, True], ids=["come", "not come"])
@pytest.mark.parametrize("seed", sampled(range(20, 26), 1))
def test_boxes_lines_pixels_and_readings_agree(browser, seed, plain):
    for outcome in compare(browser, own_sample(seed), book=own_book(), plain=plain):
        assert outcome.box <= 1, outcome.name
        assert outcome.lines_equal == outcome.lines_total, outcome.name
        assert outcome.mean <= 0.5, outcome.name
        for block, ours, theirs, _ in outcome.readings:
            assert abs(ours - theirs) <= max(0.1, 0.02 * theirs), (outcome.name, block)
