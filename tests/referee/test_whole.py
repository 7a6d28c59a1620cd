"""Whole banners can be read in the browser. `scripts/fidelity_banners.py` measures all of many."""

import pytest

from garnetfern.core.banners import Banner
from tests.sampled import sampled

from .whole import in_browser, made_of, sample_of


@pytest.mark.parametrize("seed", sampled(list(range(28)), 1))
def test_a_whole_banner_can_be_read_in_the_browser(browser, seed):
    sample = sample_of(seed)
    made = [one for one in made_of(sample) if isinstance(one, Banner)]
    assert len(made) >= 3
    for banner in sampled(made, 1):
        seen = list(in_browser(browser, sample, banner.page))
        assert seen
        for one in seen:
            assert one.seen >= one.required, (banner.idea, one.name)
