"""What can be laid in: every kind of layer has some, and every one of them becomes a layer that can be read."""

import pytest
from pydantic import TypeAdapter

from garnetfern.core.document import Layer, Site, read_site
from garnetfern.core.document.layers import LAYER_KINDS
from garnetfern.fonts import shipped_fonts
from garnetfern.service.kinds.layers import KINDS, Offer, Place, aside, ink, kinds, offered

LAYERS = TypeAdapter(Layer)


def offers_of(site: Site, kind: str) -> list[Offer]:
    return next(one["offers"] for one in offered(site, Place(site.pages[0])) if one["kind"] == kind)


def test_every_kind_of_layer_is_offered_and_named():
    assert set(KINDS) == set(LAYER_KINDS)
    assert [k["kind"] for k in kinds()] == list(KINDS)
    assert all(k["name"] and k["title"].startswith("A ") for k in kinds())
    assert [m.ORDER for m in KINDS.values()] == list(range(len(KINDS)))


def held_in(said, whole):
    """Whether plain JSON says nothing that other JSON does not say."""
    if isinstance(said, dict):
        return all(name in whole and held_in(value, whole[name]) for name, value in said.items())
    if isinstance(said, list):
        return len(said) == len(whole) and all(map(held_in, said, whole))
    return said == whole


@pytest.mark.parametrize("kind", KINDS)
def test_every_offer_becomes_a_layer_of_a_page_as_it_is(demo, kind):
    found = offers_of(demo.site, kind)
    assert found
    assert len({offer.name for offer in found}) == len(found)
    plain = demo.site.model_dump(mode="json")
    for n, offer in enumerate(found):
        layer = {**offer.layer, "id": "laid"}
        made = LAYERS.validate_python(layer)
        assert aside(made) not in ("", "off")
        assert ink(made)
        assert aside(made.model_copy(update={"visible": False})) == "off"
        # what is offered says all that it means, in the document's own words
        assert held_in(layer, made.model_dump(mode="json"))
        apart = made.with_ids(lambda name, n=n: f"{name}-{n}")
        plain["pages"][0]["bands"][0]["backdrop"]["layers"].append(apart.model_dump(mode="json"))
        assert offer.style.startswith(("background:", "mask"))
    plain["pages"][0]["bands"][0]["backdrop"]["layers"] = plain["pages"][0]["bands"][0]["backdrop"]["layers"][-24:]
    read_site(plain, shipped_fonts().names())


@pytest.mark.parametrize(
    ("area", "colour"), [("week-band", "#0b1a14"), ("foot", "#ffffff"), ("banner", "#ffffff"), (None, "#ffffff")]
)
def test_a_pattern_is_offered_in_a_colour_that_is_seen_on_its_ground(demo, area, colour):
    page = demo.site.page("home")
    place = Place(page, page.area(area) if area else None)
    patterns = next(one["offers"] for one in offered(demo.site, place) if one["kind"] == "pattern")
    assert {offer.layer["colour"] for offer in patterns} == {colour}


def test_colours_are_the_site_s_own_and_two_plain_ones_where_it_has_none(demo):
    bare = demo.site.model_copy(update={"palette": ()})
    for site, wanted in ((demo.site, list(demo.site.palette)), (bare, ["#000000", "#ffffff"])):
        assert [offer.layer["colour"] for offer in offers_of(site, "colour")] == wanted
