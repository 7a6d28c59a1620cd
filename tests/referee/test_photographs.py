"""Readings over a photograph and in fonts that nothing was made with. `scripts/fidelity_photographs.py` does many."""

import pytest

from .compare import compare
from .own_fonts import own_book
from .photographs import photographed


@pytest.mark.parametrize("seed", [4])
def test_readings_over_a_photograph_agree(browser, seed):
    outcomes = compare(browser, photographed(seed), book=own_book())
    readings = [reading for outcome in outcomes for reading in outcome.readings]
    assert readings
    assert sum(outcome.hollow for outcome in outcomes) == len(outcomes)  # the heading's letters are hollow
    for block, core, seen, required in readings:
        assert core == pytest.approx(seen, rel=0.02), block
        assert (core >= required) == (seen >= required) or abs(core / required - 1) <= 0.03
    assert all(outcome.lines_equal == outcome.lines_total for outcome in outcomes)
