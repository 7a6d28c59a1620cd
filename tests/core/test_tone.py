"""How much of a colour letters lay down: more where they are light, never less where they cover more."""

import numpy as np
import pytest

from garnetfern.core.colour.notation import parse_colour
from garnetfern.core.draw.tone import LEVELS, step_of, table_of, toned


@pytest.mark.parametrize("step", range(len(LEVELS)))
def test_nothing_and_everything_stay_and_more_is_never_less(step):
    table = table_of(step)
    assert (table[0], table[255]) == (0, 1)
    assert (np.diff(table) >= 0).all()


def test_lighter_letters_lay_down_more():
    half = np.full((1, 1), 0.5, dtype=np.float32)
    found = [float(toned(half, step)[0, 0]) for step in range(1, len(LEVELS))]
    assert found == sorted(found)
    assert found[-1] - found[0] > 0.04


STEPS = {"#000000": 0, "#1f1f1f": 0, "#202020": 1, "#7f7f7f": 3, "#ffffff": 7, "#00ff00": 5, "#0000ff": 0, "#7a1f2b": 0}


@pytest.mark.parametrize(("colour", "step"), STEPS.items())
def test_a_colour_counts_by_its_luminance_in_eight_steps(colour, step):
    assert step_of(parse_colour(colour)) == step
