"""A picture and words put together on a site that was only begun."""

import json

import pytest

from garnetfern.core.document import read_site
from garnetfern.core.errors import NotFoundError
from garnetfern.core.remedy.mend import short_blocks
from garnetfern.service.edits.begin import put_together
from garnetfern.service.kinds.empty import HEADING, LINE, empty_site
from garnetfern.service.kinds.starts import STARTS
from garnetfern.service.views.mending import begin_page
from garnetfern.service.workspace.house import House
from tests.conftest import jpeg
from tests.core.test_readings import split_picture
from tests.near_room import NearRoom

SAID = "Ferns for every windowsill"


@pytest.fixture
def house(tmp_path):
    made = House(tmp_path / "data", NearRoom())
    yield made
    made.close()


def seen(site):
    return [b.wording for b in site.pages[0].blocks() if b.visible and b.lettered and b.wording]


@pytest.mark.parametrize("start", list(STARTS))
def test_every_start_takes_a_picture_and_words(house, start):
    studio = house.new(start)
    asset = studio.add_picture(jpeg(), "bench.jpg")
    site, begun = studio.begun(1, "home", asset, f"  {SAID} ")
    assert read_site(begun.model_dump(mode="json")) == begun
    assert [b.role for b in site.pages[0].bands][:: len(site.pages[0].bands) - 1] == ["header", "footer"]
    assert begun.pages[0].bands[-1].role == "footer"
    words = [(band, b) for band in begun.pages[0].bands for c in band.columns for b in c.blocks if b.wording == SAID]
    assert len(words) == 1
    band = words[0][0]
    assert [p.asset for layer in band.backdrop.layers for p in layer.pictures()] == [begun.assets[0].id]
    assert studio.state().revision == 1


@pytest.mark.parametrize(("with_picture", "words"), [(False, SAID), (True, ""), (False, " ")])
def test_what_is_not_given_stays_as_it_is(house, with_picture, words):
    studio = house.new("banner")
    asset = studio.add_picture(jpeg(), "bench.jpg") if with_picture else None
    site, begun = studio.begun(1, "home", asset, words)
    assert (begun == site) == (not with_picture and not words.strip())
    assert (seen(begun) == seen(site)) == (not words.strip())


def test_what_only_stood_in_is_hidden_once_something_is_said():
    site = empty_site()
    assert {HEADING, LINE} <= set(seen(site))
    begun = put_together(site, "home", None, SAID, None, None)
    assert SAID in seen(begun)
    assert not {HEADING, LINE} & set(seen(begun))


def test_they_can_be_read_in_every_situation_by_one_change_that_undo_takes_back(house):
    studio = house.new("banner")
    asset = studio.add_picture(split_picture((150, 150, 150), (220, 215, 200)), "pale.png")
    site, begun = studio.begun(1, "home", asset, SAID)
    colours = lambda a: tuple(s.colour for s in studio.looks.of(a.hash).look.colours)  # noqa: E731
    found = list(begin_page(studio.reader, site, begun, "home", colours))
    assert [line["kind"] for line in found[:-1]] == ["doing"] * (len(found) - 1)
    last = found[-1]
    assert last["kind"] == "begun"
    assert short_blocks(studio.reader, begun, begun.pages[0])
    assert last["done"]
    assert last["left"] == []
    studio.change(1, json.loads(json.dumps(last["patch"])), "Begin with a picture and words")
    kept = studio.site()
    assert SAID in seen(kept)
    assert short_blocks(studio.reader, kept, kept.pages[0]) == []
    studio.undo(2)
    assert studio.site() == site


def test_a_page_that_is_not_there_is_said(house):
    with pytest.raises(NotFoundError):
        house.new("banner").begun(1, "nowhere", None, SAID)
