"""Moments: neutral values, what a page depends on, and one record for all that share it."""

from dataclasses import replace

import pytest
from hypothesis import given
from hypothesis import strategies as st

from garnetfern.core.document import read_site
from garnetfern.core.resolve.lengths import Viewport
from garnetfern.core.resolve.met import Met, depends_on
from garnetfern.core.resolve.moment import MEMBERS, Moment
from garnetfern.core.resolve.page import resolve_page
from garnetfern.fonts import shipped_fonts
from tests.conftest import jpeg
from tests.sites import HEADING, colour_layer, document, image_layer, with_picture

FONTS = shipped_fonts()
REST = Moment(Viewport(390, 844))
OTHER = {
    "pointed": 1.0,
    "scroll": 0.5,
    "enlarged": 2.0,
    "less_motion": True,
    "missing": True,
    "plain": True,
    "spaced": True,
    "printed": True,
    "opened": True,
    "time": 1.5,
    "phases": (("turns", 4.0),),
}
"""A value of each member that is not its neutral one."""


def page_with(*layers, **more):
    file = with_picture(document(*layers, **more), jpeg(600, 400))
    return file.site, file.site.pages[0]


def moving(attachment):
    return page_with(image_layer(attachment=attachment), height={"min": "1400px"})


def turn(number, **more):
    """A picture of a sequence."""
    return {"layer": image_layer(id=f"turn-{number}", **more)}


TURNS = {"kind": "sequence", "id": "turns", "name": "Turns", "stay": 1, "members": [turn(1), turn(2, focal=[0, 0])]}
PAGES = {
    "a colour": (lambda: page_with(colour_layer("#123456")), set()),
    "a picture": (lambda: page_with(image_layer()), {"missing"}),
    "a picture that stays put": (lambda: moving("fixed"), {"missing", "scroll"}),
    "a slower picture": (lambda: moving("slower"), {"missing", "scroll", "less_motion"}),
    "pictures in turn": (lambda: page_with(TURNS), {"missing", "time", "phases", "less_motion"}),
    "a menu that folds": (
        lambda: page_with(blocks=[{"id": "m", "kind": "menu", "items": [{"wording": "Visit"}], "fold": "closed"}]),
        {"opened"},
    ),
    "words that answer to the pointer": (
        lambda: page_with(blocks=[{**HEADING, "lettering": {**HEADING.get("lettering", {}), "over": "#ff0000"}}]),
        {"pointed"},
    ),
}


def test_every_member_has_another_value_here():
    assert set(OTHER) == set(MEMBERS)
    assert all(getattr(REST, name) != value for name, value in OTHER.items())


def test_a_moving_layer_has_a_time_of_its_own_unless_nothing_shall_move():
    moment = replace(REST, time=1.5, phases=(("turns", 4.0),))
    assert (moment.time_of("turns"), moment.time_of("other")) == (4.0, 1.5)
    assert replace(moment, less_motion=True).time_of("turns") == 0


@pytest.mark.parametrize("name", PAGES)
def test_what_a_page_depends_on_is_said_by_its_kinds(name):
    make, wanted = PAGES[name]
    _, page = make()
    assert depends_on(page) == wanted | {"enlarged", "plain", "spaced", "printed"}


@given(kept=st.sets(st.sampled_from(MEMBERS)), there=st.sets(st.sampled_from(MEMBERS)))
def test_a_moment_is_neutral_in_what_is_not_looked_at(kept, there):
    moment = replace(REST, **{name: OTHER[name] for name in there})
    assert moment.of(kept) == replace(REST, **{name: OTHER[name] for name in there & kept})
    assert hash(moment.of(kept)) == hash(moment.of(kept).of(kept))


@pytest.mark.parametrize("name", PAGES)
@pytest.mark.parametrize("member", MEMBERS)
def test_moments_share_a_record_exactly_where_nothing_depends_on_their_difference(name, member):
    site, page = PAGES[name][0]()
    met = Met(site, page, FONTS)
    moment = replace(REST, **{member: OTHER[member]})
    rest, there = met.at(REST), met.at(moment)
    assert (there is rest) == (member not in depends_on(page))
    # and what is shared is what the page comes to when it is resolved by itself
    alone = resolve_page(site, page, moment, FONTS)
    assert replace(there, sight=alone.sight) == alone
    if member in depends_on(page):
        assert there.sight == alone.sight


def test_a_page_without_its_pictures_is_laid_out_alike(demo):
    page = demo.site.pages[0]
    whole = resolve_page(demo.site, page, REST, FONTS)
    bare = resolve_page(demo.site, page, replace(REST, missing=True), FONTS)
    assert bare.bands == whole.bands
    assert [a.id for a in bare.areas] == [a.id for a in whole.areas]
    assert any(s.pictures() for a in whole.areas for s in a.sheets)
    assert not any(s.pictures() for a in bare.areas for s in a.sheets)


def test_a_document_that_is_read_again_depends_on_the_same():
    site, page = moving("slower")
    again = read_site(site.model_dump(mode="json"), FONTS.names())
    assert depends_on(again.pages[0]) == depends_on(page)
