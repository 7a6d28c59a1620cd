"""Readings in situations, and remedies, measured in the browser: a few of what scripts/fidelity_met.py measures."""

from itertools import pairwise

import pytest

from garnetfern.core.reading import Reader
from garnetfern.core.reading.widths import WidthRun
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.memory import MemoryPictures
from tests.sampled import sampled

from .banners import generate
from .met import fine_screens, generate_met, met
from .remedied import reader_of, search_of, tried


@pytest.mark.parametrize(
    ("seed", "kinds", "screens"),
    sampled(
        [
            (0, {"over", "half", "missing"}, {"phone"}),
            (3, {"enlarged"}, {"phone", "tablet"}),
            (2, {"scroll", "way"}, {"phone"}),
        ],
        1,
    ),
)
def test_readings_agree_in_every_kind_of_situation(browser, seed, kinds, screens):
    def wanted(s):
        few = s.kind != "scroll" or s.id.rsplit("-", 1)[1] in ("2", "9")
        return s.kind in kinds and s.screen in screens and few

    outcomes = list(met(browser, generate_met(seed), wanted, blocks=2))
    assert {o.kind for o in outcomes} <= kinds
    assert outcomes
    for outcome in outcomes:
        assert outcome.off <= 0.03, outcome
        assert not outcome.other_verdict, outcome


@pytest.mark.parametrize("seed", sampled([40_000, 40_002, 40_004], 1))
def test_screens_of_two_px_for_each_are_read_nearly_the_same(browser, seed):
    found = list(fine_screens(browser, generate(seed), shipped_fonts()))
    assert found
    for one in found:
        assert one.off <= 0.05, one


@pytest.mark.parametrize(("seed", "kinds"), [(20_006, ("overlay", "scrim", "strength", "plate"))])
def test_ways_out_suffice_in_the_browser_and_keep_what_they_promise(browser, seed, kinds):
    sample = generate(seed)
    reader = reader_of(sample, shipped_fonts())
    search = search_of(reader, sample)
    assert search is not None
    found = list(tried(browser, reader, sample.site, search, keeps=True, kinds=kinds))
    assert found
    for one in found:
        assert one is not None
        assert one.seen >= one.required, one
        assert one.seen_kept == pytest.approx(one.kept, abs=1), one


@pytest.mark.parametrize("seed", [30_001])
def test_the_run_over_widths_is_what_every_width_says(seed):
    sample = generate(seed)
    reader = Reader(shipped_fonts(), MemoryPictures(sample.originals))
    run = WidthRun(reader, sample.site, sample.site.pages[0])
    points = [p for p in run.run() if p.width <= 700]
    for one, two in pairwise(points):
        for width in range(one.width + 1, two.width, 3):
            assert run.at(width).short == one.short, width
