"""Layers that take turns: begun, added to, ended, refused in words."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from garnetfern.core.colour.contrast import luminance_of
from garnetfern.core.colour.notation import parse_colour
from garnetfern.core.document import Gradient, read_site
from garnetfern.core.errors import GarnetfernError
from garnetfern.service.edits import apply_edit
from garnetfern.service.edits.sequences import recoloured
from garnetfern.service.views.framing import shown_on_screens

from .conftest import EDITS, FONTS

TWO = [{"colour": "#102030"}, {"colour": "#f0e0d0"}]


def turns(edit, **asked):
    return edit({"kind": "take-turns", "page": "home", "area": "banner", **asked})


def layers_of(site):
    return site.pages[0].area("banner").backdrop.layers


def test_a_picture_becomes_the_first_of_several_under_its_own_id_and_one_of_them_alone_again(edit, demo):
    site, chosen = turns(edit, layer="dawn")
    sequence = layers_of(site)[0]
    assert (chosen, sequence.id, sequence.kind, len(sequence.members)) == ("dawn", "dawn", "sequence", 1)
    first = sequence.members[0].layer
    assert first.model_copy(update={"id": "dawn"}) == layers_of(demo.site)[0]
    site, _ = turns(edit, layer="dawn", assets=["misted-panes", "lantern-night"])
    members = [m.layer for m in layers_of(site)[0].members]
    assert [m.asset for m in members] == ["glasshouse-dawn", "misted-panes", "lantern-night"]
    assert len({m.id for m in members} | {"dawn", "dusk"}) == 5


def test_several_pictures_of_the_shelf_lie_where_they_were_asked_to(edit):
    site, chosen = turns(edit, assets=["misted-panes", "lantern-night"], at=1)
    assert [layer.id for layer in layers_of(site)] == ["dawn", chosen, "dusk"]
    assert all(m.layer.focal != (0.5, 0.5) for m in layers_of(site)[1].members)


@pytest.mark.parametrize(
    ("asked", "said"),
    [
        ({"layer": "dusk"}, "cannot take turns: only pictures and gradients"),
        ({"layer": "none"}, "no layer 'none'"),
        ({"assets": ["nobody"]}, "no picture 'nobody'"),
        ({}, "Choose two pictures"),
        ({"layer": "dawn", "assets": ["misted-panes"] * 24}, "24 can take turns at the most; these would be 25"),
    ],
)
def test_turns_that_cannot_be_are_refused_in_words(edit, asked, said):
    with pytest.raises(GarnetfernError, match=said):
        turns(edit, **asked)


def test_a_picture_that_stayed_put_moves_with_the_page_and_that_is_said(demo):
    plain = demo.site.model_dump(mode="json")
    plain["pages"][0]["bands"][1]["backdrop"]["layers"][0]["attachment"] = "fixed"
    asked = EDITS.validate_python({"kind": "take-turns", "page": "home", "area": "banner", "layer": "dawn"})
    done = apply_edit(read_site(plain), asked, None, FONTS)
    assert done.label.endswith("; the picture moves with the page")


@given(
    stops=st.lists(st.sampled_from(["#102030", "#f0e0d0", "#7a1f2b80", "#3f6f46", "#ffffff"]), min_size=2, max_size=4),
    turn=st.integers(0, 5),
)
def test_other_colours_of_a_gradient_are_as_light_as_those_in_whose_place_they_stand(stops, turn):
    gradient = Gradient.model_validate({"stops": [{"colour": c} for c in stops]})
    other = recoloured(gradient, ("#20302a", "#f4efe4", "#7a1f2b", "#3f6f46"), turn)
    for old, new in zip(gradient.stops, other.stops, strict=True):
        assert luminance_of(new.colour[:7]) == pytest.approx(luminance_of(old.colour[:7]), abs=0.012)
        assert parse_colour(new.colour).alpha == parse_colour(old.colour).alpha
        assert new.at == old.at


def test_what_is_laid_in_has_ids_that_nothing_else_on_the_page_has(edit):
    members = [{"layer": {"kind": "gradient", "id": f"d{n}", "name": "G", "gradient": {"stops": TWO}}} for n in "ab"]
    layer = {"kind": "sequence", "id": "dawn", "name": "Turns", "members": members}
    site, chosen = edit({"kind": "lay-in", "page": "home", "area": "banner", "layer": layer, "at": 9})
    assert [x.id for x in layers_of(site)] == ["dawn", "dusk", chosen]
    assert chosen != "dawn"


def test_every_member_is_framed_as_it_is_shown_when_its_turn_comes(edit):
    site, _ = turns(edit, layer="dawn", assets=["misted-panes"])
    page = site.pages[0]
    for member in layers_of(site)[0].members:
        shown = shown_on_screens(site, page, "banner", member.layer.id, FONTS)
        assert [s.screen.id for s in shown] == [s.id for s in site.screens]
        assert {s.sheet.rendition.hash for s in shown} == {site.asset(member.layer.asset).hash}
