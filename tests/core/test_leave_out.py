"""The way out that leaves one of several out: the one on which the words cannot be read."""

import re

import pytest

from garnetfern.core.document import SequenceLayer
from garnetfern.core.remedy.remedy import Remedy
from tests.sites import document, film_layer

from .test_remedies import brightening, found_for, headline, turns

LEFT = ((0, "first"), (2, "third"), (3, "fourth"), (4, "fifth"), (5, "sixth"))


def test_the_hard_one_is_left_out_and_what_is_kept_says_so():
    _, search = found_for(document(turns("#101820", "#e0e0d0", "#203040")))
    found = [r for r in search.of_kind("leave_out") if isinstance(r, Remedy)]
    assert [r.sentence for r in found] == ["Turn 1, the second of Turns, is left out."]
    assert found[0].kept == pytest.approx(200 / 3, abs=0.1)
    left = found[0].page.bands[0].backdrop.layers[0]
    assert [m.layer.id for m in left.members] == ["turn-0", "turn-2"]


def test_where_leaving_one_out_does_not_suffice_it_makes_do_with_less_overlay():
    _, search = found_for(document(turns("#a0a098", "#e0e0d0", "#ffffff")))
    found = [r for r in search.of_kind("leave_out") if isinstance(r, Remedy)]
    assert len(found) == 1
    less, more = (float(s) for s in re.findall(r"at ([\d.]+) % instead of ([\d.]+) %", found[0].sentence)[0])
    assert less < more
    assert found[0].worst.verdict == "enough"


def test_the_hard_stretch_of_a_film_is_left_out():
    _, search = found_for(document(film_layer(asset="picture", still=1.5)), brightening(0))
    found = [r for r in search.of_kind("leave_out") if isinstance(r, Remedy)]
    assert found == []  # one stretch alone has nothing to be left out
    long = document(film_layer(asset="picture", end=4, still=2.5))
    _, search = found_for(long, brightening(0, 48))
    found = [r for r in search.of_kind("leave_out") if isinstance(r, Remedy)]
    assert [r.sentence for r in found] == ["The first 2 s of Film, is left out."]
    assert found[0].page.bands[0].backdrop.layers[0].start == 2
    assert found[0].kept == pytest.approx(50, abs=0.1)


def test_pictures_that_are_to_be_left_alone_take_their_turns():
    plain = document(turns("#101820", "#e0e0d0"), blocks=[headline(keep=["picture"])])
    assert found_for(plain)[1].of_kind("leave_out") == []


def test_what_would_flash_without_one_is_not_proposed():
    short = [{**m, "stay": 9 if n == 1 else 0.1} for n, m in enumerate(turns(*["#101820"] * 6)["members"])]
    layer = SequenceLayer.model_validate({**turns("#101820"), "members": short, "change": 0})
    assert [name for name, _, _ in layer.shortened()] == [f"Turn {n}, the {w} of Turns" for n, w in LEFT]
