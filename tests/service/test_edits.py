"""Edits: every kind leaves a valid document, and does what it says."""

import pytest

from garnetfern.core.document import page_on, read_site
from garnetfern.core.errors import GarnetfernError
from garnetfern.service.views.uses import uses_of


def home(site):
    return site.pages[0]


def names(site):
    return [b.id for b in home(site).bands]


@pytest.mark.parametrize("columns", [1, 2, 3, 4])
def test_a_new_band_stands_where_it_was_asked_for(edit, columns):
    site, chosen = edit({"kind": "add-band", "page": "home", "after": "banner", "columns": columns})
    assert names(site)[2] == chosen
    assert len(home(site).area(chosen).columns) == columns


def test_bands_are_moved_duplicated_and_removed(edit):
    site, _ = edit({"kind": "move-band", "page": "home", "band": "week-band", "by": -1})
    assert names(site) == ["top", "week-band", "banner", "foot"]
    site, copy = edit({"kind": "duplicate-band", "page": "home", "band": "banner"})
    assert names(site) == ["top", "banner", copy, "week-band", "foot"]
    site, _ = edit({"kind": "remove-band", "page": "home", "band": copy}, site=site)
    assert names(site) == ["top", "banner", "week-band", "foot"]


def test_fewer_columns_lose_no_words(edit, demo):
    before = {b.wording for b in home(demo.site).area("week-band").blocks()}
    site, _ = edit({"kind": "set-columns", "page": "home", "band": "week-band", "count": 1})
    assert {b.wording for b in home(site).area("week-band").blocks()} == before


def stands(site, screen=None):
    band = page_on(home(site), screen).area("week-band")
    return [column.id for column in band.in_order()]


def test_a_column_stands_elsewhere_on_one_screen_and_goes_back(edit, demo):
    move = {"kind": "move-column", "page": "home", "band": "week-band"}
    first, second = stands(demo.site)
    site, _ = edit({**move, "column": second, "by": -1, "screen": "phone"})
    assert stands(site) == stands(site, "desktop") == [first, second]
    assert stands(site, "phone") == [second, first]
    assert [b.id for b in home(site).blocks()] == [b.id for b in home(demo.site).blocks()]
    # everywhere it is read there too; what holds on the phone stays what it was
    turned, _ = edit({**move, "column": second, "by": -1}, site=site)
    assert [c.id for c in home(turned).area("week-band").columns] == [second, first]
    assert stands(turned) == stands(turned, "phone") == [second, first]
    fewer, _ = edit({"kind": "set-columns", "page": "home", "band": "week-band", "count": 1}, site=site)
    assert stands(fewer, "phone") == [first]
    back, _ = edit({**move, "column": second, "by": 1, "screen": "phone"}, site=site)
    assert home(back) == home(demo.site)
    for wrong in ({"column": "none"}, {"column": first, "screen": "wall"}):
        with pytest.raises(GarnetfernError, match="There is no"):
            edit({**move, "by": 1, **wrong})


@pytest.mark.parametrize("kind", ["heading", "text", "logo", "menu", "picture", "space"])
def test_blocks_of_every_kind_are_added_moved_duplicated_and_removed(edit, kind):
    add = {"kind": "add-block", "page": "home", "column": "banner-words", "block": kind, "after": "headline"}
    site, new = edit(add)
    order = [b.id for b in home(site).area("banner").blocks()]
    assert order == ["headline", new, "opening"]
    site, _ = edit({"kind": "move-block", "page": "home", "block": new, "by": 1}, site=site)
    site, copy = edit({"kind": "duplicate-block", "page": "home", "block": new}, site=site)
    assert [b.id for b in home(site).area("banner").blocks()] == ["headline", "opening", new, copy]
    site, _ = edit({"kind": "remove-block", "page": "home", "block": new}, site=site)
    assert new not in [b.id for b in home(site).blocks()]


def test_header_and_banner_share_one_backdrop_and_are_parted_again(edit, demo):
    site, join = edit({"kind": "join", "page": "home", "first": "top", "last": "banner"})
    assert [x.id for x in home(site).area(join).backdrop.layers] == ["dawn", "dusk"]
    assert home(site).area("top").backdrop.base is None
    assert home(site).area("banner").backdrop.layers == ()
    parted, _ = edit({"kind": "part", "page": "home", "join": join}, site=site)
    assert home(parted).joins == ()
    assert home(parted).area("banner").backdrop == home(demo.site).area("banner").backdrop


def test_a_join_is_not_torn_apart(edit):
    joined, join = edit({"kind": "join", "page": "home", "first": "top", "last": "banner"})
    with pytest.raises(GarnetfernError, match="Part the join first"):
        edit({"kind": "move-band", "page": "home", "band": "banner", "by": 1}, site=joined)
    with pytest.raises(GarnetfernError, match="lies in a join already"):
        edit({"kind": "join", "page": "home", "first": "banner", "last": "week-band"}, site=joined)
    site, _ = edit({"kind": "remove-band", "page": "home", "band": "top"}, site=joined)
    assert home(site).area(join) is None
    assert len(home(site).area("banner").backdrop.layers) == 2


def test_a_screen_is_cut_out_of_the_range_it_falls_into_and_given_back(edit, demo):
    new = {"kind": "add-screen", "name": "Small phone", "width": 320, "height": 568}
    site, name = edit(new)
    ranges = {s.id: (s.least, s.most) for s in site.screens}
    assert ranges[name] == (0, 355)
    assert ranges["phone"] == (356, 599)
    site, _ = edit({"kind": "remove-screen", "screen": name}, site=site)
    assert {s.id: (s.least, s.most) for s in site.screens} == {s.id: (s.least, s.most) for s in demo.site.screens}
    with pytest.raises(GarnetfernError, match="390 px wide already"):
        edit({**new, "width": 390})


def test_removing_a_screen_removes_what_was_set_for_it_alone(edit):
    site, _ = edit({"kind": "remove-screen", "screen": "phone"})
    assert "phone" not in site.pages[1].area("fair-banner").screens


def test_an_exception_is_put_back(edit):
    site, _ = edit({"kind": "same-everywhere", "page": "fair-page", "item": "fair-banner", "field": "height"})
    assert site.pages[1].area("fair-banner").screens == {}


def test_a_picture_is_replaced_everywhere_at_once(edit, demo):
    assert len(uses_of(demo.site, "reading-room")) == 1
    site, _ = edit({"kind": "replace-picture", "old": "reading-room", "new": "fern-tile"})
    assert uses_of(site, "reading-room") == []
    assert len(uses_of(site, "fern-tile")) == len(uses_of(demo.site, "fern-tile")) + 1


def test_a_picture_in_use_stays_and_its_places_are_listed(edit):
    with pytest.raises(GarnetfernError, match=r"stays: Marrowby Fern House: Banner, layer Glasshouse at dawn"):
        edit({"kind": "remove-picture", "asset": "glasshouse-dawn"})
    site, _ = edit({"kind": "remove-picture", "asset": "fade-strip"})
    assert all(a.id != "fade-strip" for a in site.assets)


def test_the_same_file_is_one_picture_and_equal_names_never_clash(edit, demo):
    asset = demo.site.asset("fern-close").model_dump(mode="json")
    with pytest.raises(GarnetfernError, match="not added twice"):
        edit({"kind": "shelve-picture", "asset": asset})
    site, new = edit({"kind": "shelve-picture", "asset": {**asset, "hash": "1" * 64}})
    assert (new, site.asset(new).name) == ("fern-close-2", "Fern, close 2.jpg")


def test_a_laid_picture_gets_a_focal_point_from_its_detail(edit, demo):
    asset = demo.site.asset("reading-room").model_dump(mode="json")
    lay = {"kind": "lay-picture", "page": "home", "area": "banner", "asset": asset, "layer": "dawn"}
    site, chosen = edit(lay)
    layer = next(x for x in home(site).area("banner").backdrop.layers if x.id == chosen)
    assert layer.asset == "reading-room"
    assert layer.focal[0] > 0.6, "its one fern stands at the lower right"
    assert layer.focal[1] > 0.5


def test_advice_is_followed_in_one_step(edit, demo):
    asset = demo.site.asset("fade-strip").model_dump(mode="json")
    lay = {"kind": "lay-picture", "page": "home", "area": "banner", "asset": asset, "layer": "dawn"}
    site, _ = edit(lay, {"kind": "follow-advice", "page": "home", "area": "banner", "layer": "dawn"})
    band = home(site).area("banner")
    assert band.backdrop.base == "#dfe8dd"
    assert band.backdrop.layers[0].repeat == ("repeat", "no-repeat")


def test_a_picture_lies_as_suits_it_and_so_does_the_one_that_takes_its_place(edit, demo):
    def lay(name, **more):
        asset = demo.site.asset(name).model_dump(mode="json")
        return {"kind": "lay-picture", "page": "home", "area": "week-band", "asset": asset, **more}

    site, tile = edit(lay("fern-tile"))
    layer = home(site).area("week-band").backdrop.layers[0]
    assert (layer.size, layer.repeat) == ("natural", ("repeat", "repeat"))
    site, _ = edit(lay("fern-tile"), lay("fern-close", layer=tile))
    layer = home(site).area("week-band").backdrop.layers[0]
    assert (layer.asset, layer.size, layer.repeat) == ("fern-close", "cover", ("no-repeat", "no-repeat"))
    # a strip brings its base where there is none, and leaves one that is there
    assert home(site).area("week-band").backdrop.base == home(demo.site).area("week-band").backdrop.base
    site, _ = edit({**lay("fade-strip"), "area": "week-right"})
    assert home(site).area("week-right").backdrop.base == "#dfe8dd"
    # what somebody has set otherwise stays so
    banner = {**lay("fern-tile", layer="dawn"), "area": "banner"}
    plain = demo.site.model_dump(mode="json")
    plain["pages"][0]["bands"][1]["backdrop"]["layers"][0]["size"] = "contain"
    site, _ = edit(banner, site=read_site(plain))
    assert home(site).area("banner").backdrop.layers[0].size == "contain"


def test_an_edit_follows_its_layer_to_the_area_that_it_lies_in_now(edit, demo):
    asset = demo.site.asset("lantern-night").model_dump(mode="json")
    lay = {"kind": "lay-picture", "page": "home", "area": "banner", "asset": asset, "layer": "dawn"}
    join = {"kind": "join", "page": "home", "first": "top", "last": "banner"}
    site, _ = edit(join, lay)
    (joined,) = home(site).joins
    assert [x.asset for x in joined.backdrop.layers if x.assets()] == ["lantern-night"]
    assert home(site).area("banner").backdrop.layers == ()
    with pytest.raises(GarnetfernError, match="no picture layer"):
        edit(join, {**lay, "layer": "away"})


def test_a_marked_part_moves_the_best_focal_point(edit, demo):
    part = {"id": "leaf", "name": "Leaf", "box": {"x": 0.0, "y": 0.7, "width": 0.08, "height": 0.08}}
    plain = demo.site.model_dump(mode="json")
    plain["assets"][0]["parts"] = [part]
    best = {"kind": "best-focal", "page": "home", "area": "banner", "layer": "dawn"}
    site, _ = edit(best, site=read_site(plain))
    assert home(site).area("banner").backdrop.layers[0].focal[0] < 0.2


@pytest.mark.parametrize(
    "plain",
    [
        {"kind": "add-band", "page": "nowhere"},
        {"kind": "remove-band", "page": "home", "band": "none"},
        {"kind": "add-block", "page": "home", "column": "none", "block": "text"},
        {"kind": "remove-block", "page": "home", "block": "none"},
        {"kind": "part", "page": "home", "join": "none"},
        {"kind": "remove-screen", "screen": "none"},
        {"kind": "replace-picture", "old": "none", "new": "fern-close"},
        {"kind": "follow-advice", "page": "home", "area": "banner", "layer": "dusk"},
    ],
)
def test_what_is_not_there_is_said(edit, plain):
    with pytest.raises(GarnetfernError, match="There is no"):
        edit(plain)
