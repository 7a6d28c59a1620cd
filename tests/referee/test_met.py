"""Readings in situations, and remedies, measured in the browser: a few of what scripts/fidelity_met.py measures."""

import pytest

from .met import generate_met, met


def is_near(outcome):
    return outcome.off <= 0.02 or (outcome.off <= 0.03 and not outcome.other_verdict)


@pytest.mark.parametrize(
    ("seed", "kinds", "screens"),
    [
        (0, {"over", "half", "missing"}, {"phone"}),
        (3, {"enlarged"}, {"phone", "tablet"}),
        (2, {"scroll", "still"}, {"phone"}),
    ],
)
def test_readings_agree_in_every_kind_of_situation(browser, seed, kinds, screens):
    def wanted(s):
        few = s.kind != "scroll" or s.id.rsplit("-", 1)[1] in ("1", "4", "9")
        return s.kind in kinds and s.screen in screens and few

    outcomes = list(met(browser, generate_met(seed), wanted, blocks=2))
    assert {o.kind for o in outcomes} <= kinds
    assert outcomes
    for outcome in outcomes:
        assert outcome.off <= 0.03, outcome
        assert not outcome.other_verdict, outcome
