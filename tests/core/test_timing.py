"""Which members of a sequence are there at a time: a table worked by hand, and what holds for every sequence."""

from itertools import pairwise

import pytest
from hypothesis import given
from hypothesis import strategies as st

from garnetfern.core.document.timing import Timing

FADES = Timing((4.0, 2.0, 3.0), 1.0)
"""0 stays to 4, fades to 5, 1 stays to 7, fades to 8, 2 stays to 11, fades to 12, and so on."""
CUTS = Timing((4.0, 2.0, 3.0))
GOLDEN = [
    (FADES, 0.0, ((0, 1.0),)),
    (FADES, 4.0, ((0, 1.0),)),
    (FADES, 4.25, ((0, 0.75), (1, 0.25))),
    (FADES, 5.0, ((1, 1.0),)),
    (FADES, 6.9, ((1, 1.0),)),
    (FADES, 7.5, ((1, 0.5), (2, 0.5))),
    (FADES, 10.0, ((2, 1.0),)),
    (FADES, 11.5, ((2, 0.5), (0, 0.5))),
    (FADES, 12.0, ((0, 1.0),)),
    (FADES, 24.0 + 7.5, ((1, 0.5), (2, 0.5))),
    (FADES, -0.5, ((2, 0.5), (0, 0.5))),
    (CUTS, 3.999, ((0, 1.0),)),
    (CUTS, 4.0, ((1, 1.0),)),
    (CUTS, 6.0, ((2, 1.0),)),
    (CUTS, 9.0, ((0, 1.0),)),
    (Timing((5.0,), 2.0), 123.0, ((0, 1.0),)),
    (Timing((0.0, 0.0), 3.0), 1.5, ((0, 0.5), (1, 0.5))),
    (Timing((0.0, 0.0), 3.0), 3.0, ((1, 1.0),)),
    (Timing((0.0, 0.0), 3.0), 4.5, ((1, 0.5), (0, 0.5))),
]

seconds = st.floats(0.1, 60).map(lambda s: round(s, 3))
timings = st.builds(
    Timing, st.lists(seconds, min_size=1, max_size=8).map(tuple), st.one_of(st.just(0.0), st.floats(0.05, 20))
)
times = st.floats(-500, 500)


@pytest.mark.parametrize(("timing", "time", "expected"), GOLDEN)
def test_members_are_there_as_worked_by_hand(timing, time, expected):
    found = timing.at(time)
    assert [n for n, _ in found] == [n for n, _ in expected]
    assert [s for _, s in found] == pytest.approx([s for _, s in expected], abs=1e-9)


@given(timings, times)
def test_shares_are_of_one_or_two_neighbours_and_come_to_one(timing, time):
    found = timing.at(time)
    assert sum(share for _, share in found) == pytest.approx(1)
    assert all(0 <= share <= 1 for _, share in found)
    assert len(found) <= 2
    if len(found) == 2:
        assert found[1][0] == (found[0][0] + 1) % len(timing.stays)
        assert timing.change > 0


def shares(timing, time):
    found = dict.fromkeys(range(len(timing.stays)), 0.0)
    for number, share in timing.at(time):
        found[number] += share
    return found


@given(timings, times, st.integers(-4, 4))
def test_everything_begins_anew_after_a_period(timing, time, periods):
    one, other = shares(timing, time), shares(timing, time + periods * timing.period)
    tolerance = 1e-6 / timing.change if timing.change else None
    if tolerance:
        assert all(one[n] == pytest.approx(other[n], abs=tolerance) for n in one)


@given(timings.filter(lambda t: t.change > 0), times, st.floats(0, 0.02))
def test_a_fade_goes_no_faster_than_its_change_takes(timing, time, later):
    one, other = shares(timing, time), shares(timing, time + later)
    assert all(abs(one[n] - other[n]) <= later / timing.change + 1e-6 for n in one)


@given(timings, st.data())
def test_each_member_rests_and_changes_when_it_says(timing, data):
    number = data.draw(st.integers(0, len(timing.stays) - 1))
    assert timing.at(timing.rest(number)) == ((number, 1.0),)
    if timing.change and len(timing.stays) > 1:
        found = dict(timing.at(timing.within(number, 0.25)))
        assert found[number] == pytest.approx(0.75, abs=1e-6)


@given(timings, st.floats(0, 1))
def test_the_points_of_all_members_say_the_same_as_the_moment(timing, place):
    time = place * timing.period
    there = shares(timing, time)
    for number in range(len(timing.stays)):
        points = timing.points(number)
        assert points[0][0] == 0
        assert points[-1][0] == pytest.approx(1)
        assert [p for p, _ in points] == sorted(p for p, _ in points)
        if timing.change:
            assert interpolated(points, place) == pytest.approx(
                there[number], abs=1e-6 * (1 + timing.period / timing.change)
            )


@given(timings)
def test_in_the_middle_of_each_stay_the_points_say_one_member_alone(timing):
    for number in range(len(timing.stays)):
        place = timing.rest(number) / timing.period
        found = [interpolated(timing.points(other), place) for other in range(len(timing.stays))]
        assert found == pytest.approx([float(other == number) for other in range(len(timing.stays))], abs=1e-6)


def interpolated(points, place):
    for (left, a), (right, b) in pairwise(points):
        if left <= place <= right:
            return b if right == left else a + (b - a) * (place - left) / (right - left)
    return points[-1][1]


@pytest.mark.parametrize(("stays", "change"), [((), 1.0), ((0.0, 0.0), 0.0), ((-1.0, 2.0), 1.0), ((1.0,), -1.0)])
def test_what_has_no_time_is_refused(stays, change):
    with pytest.raises(ValueError, match=r"[Ss]tay"):
        Timing(stays, change)
