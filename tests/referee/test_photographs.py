"""Readings, and ways out, over photographs and in fonts that nothing was made with. `scripts/fidelity_photographs.py`
and `scripts/fidelity_met.py` do many of them."""

import pytest

from .compare import compare
from .own_fonts import own_book
from .photographs import photographed
from .remedied import reader_of, search_of, tried


@pytest.mark.parametrize("seed", [4])
def test_readings_over_a_photograph_agree(browser, seed):
    outcomes = compare(browser, photographed(seed), book=own_book())
    readings = [reading for outcome in outcomes for reading in outcome.readings]
    assert readings
    for block, core, seen, required in readings:
        assert core == pytest.approx(seen, rel=0.02), block
        assert (core >= required) == (seen >= required) or abs(core / required - 1) <= 0.03
    assert all(outcome.lines_equal == outcome.lines_total for outcome in outcomes)


@pytest.mark.parametrize("seed", [201])
def test_ways_out_over_a_photograph_keep_what_they_promise(browser, seed):
    sample = photographed(seed)
    reader = reader_of(sample, own_book())
    search = search_of(reader, sample)
    assert search is not None
    found = list(tried(browser, reader, sample.site, search, keeps=True, kinds=("scrim", "plate")))
    assert found
    for one in found:
        assert one is not None
        assert one.seen >= one.required, one
        assert one.seen_kept == pytest.approx(one.kept, abs=1), one
