"""Looks, plates, copies, schemes, blend looks and the build-up as the interface asks for them."""

import copy

import pytest
from pydantic import TypeAdapter

from garnetfern.core.colour.contrast import contrast
from garnetfern.core.colour.spaces import luminance
from garnetfern.core.document import read_site
from garnetfern.core.errors import GarnetfernError, NotFoundError, SiteFileError
from garnetfern.fonts import shipped_fonts
from garnetfern.service.edits import Edit, apply_edit
from garnetfern.service.files.site_file import SiteFile, pack_site_file
from garnetfern.service.views.blends import blend_looks
from garnetfern.service.views.build_up import BuildUp
from garnetfern.service.views.colours import colour_view, picture_colours, scheme_of, scheme_view, schemes_view
from garnetfern.service.views.library import library
from garnetfern.service.views.overlay import overlay_remedy
from garnetfern.service.workspace.patch import patched
from tests.conftest import jpeg
from tests.sites import HEADING, colour_layer, document, image_layer, one_banner, reader_of, with_picture

FONTS = shipped_fonts()
EDITS = TypeAdapter(Edit)
GLOW = {"stops": [{"colour": "#000000"}, {"colour": "#00000000"}]}


def gradient_layer(**more):
    return {"kind": "gradient", "id": "glow", "name": "Glow", "gradient": GLOW, **more}


def edited(site, **asked):
    done = apply_edit(site, EDITS.validate_python({"page": "home", **asked}), None, FONTS)
    return read_site(done.site.model_dump(mode="json"), FONTS.names()), done


def area(site, name):
    return site.pages[0].area(name)


def test_a_layer_is_copied_onto_another_area_with_an_id_of_its_own():
    site, done = edited(one_banner(gradient_layer()).site, kind="copy-layer", area="banner", layer="glow", to="column")
    assert [x.id for x in area(site, "column").backdrop.layers] == [done.chosen] == ["glow-2"]
    assert [x.id for x in area(site, "banner").backdrop.layers] == ["glow"]


def test_a_look_is_saved_and_put_behind_another_area():
    plain = document(gradient_layer(), colour_layer("#102030", 0.4))
    plain["pages"][0]["bands"][0]["backdrop"]["over"] = {"layers": {"over": {"opacity": 0.9}}}
    site, saved = edited(read_site(plain), kind="save-look", area="banner", name="  Evening ")
    assert [(k.id, k.name) for k in site.looks] == [("look-1", "Evening")]
    site, laid = edited(site, kind="lay-look", area="column", look=saved.chosen)
    there = area(site, "column").backdrop
    assert [x.name for x in there.layers] == ["Glow", "Over"]
    assert there.base == "#20302a"
    assert set(there.over.layers) == {there.layers[1].id}
    assert laid.chosen == there.layers[1].id
    again, _ = edited(site, kind="save-look", area="column", name="")
    assert [k.id for k in again.looks] == ["look-1", "look-2"]


def test_a_look_laid_on_its_own_area_keeps_its_ids():
    site, _ = edited(one_banner(gradient_layer()).site, kind="save-look", area="banner", name="Mine")
    site, _ = edited(site, kind="lay-look", area="banner", look="look-1")
    assert [x.id for x in area(site, "banner").backdrop.layers] == ["glow"]


@pytest.mark.parametrize(
    "asked",
    [
        {"kind": "copy-layer", "area": "banner", "layer": "nobody", "to": "column"},
        {"kind": "copy-layer", "area": "banner", "layer": "glow", "to": "nowhere"},
        {"kind": "lay-look", "area": "banner", "look": "look-9"},
        {"kind": "save-look", "area": "nowhere", "name": "x"},
        {"kind": "add-plate", "block": "nobody"},
    ],
)
def test_what_is_not_there_is_said(asked):
    with pytest.raises(NotFoundError):
        edited(one_banner(gradient_layer()).site, **asked)


@pytest.mark.parametrize(("colour", "start"), [("#ffffff", "#0b1a14"), ("#10201a", "#ffffff")])
def test_a_plate_is_dark_behind_light_words_and_light_behind_dark_ones(colour, start):
    heading = {**HEADING, "lettering": {**HEADING["lettering"], "colour": colour}}
    site, done = edited(one_banner(blocks=[heading]).site, kind="add-plate", block="headline")
    assert area(site, "headline").backdrop.base.startswith(start)
    assert done.chosen == "headline"


def test_a_block_with_a_plate_is_duplicated_with_layers_of_its_own():
    plate = {"backdrop": {"layers": [gradient_layer()], "over": {"layers": {"glow": {"opacity": 0.2}}}}}
    site, done = edited(one_banner(blocks=[{**HEADING, "plate": plate}]).site, kind="duplicate-block", block="headline")
    twin = area(site, done.chosen).backdrop
    assert twin.layers[0].id == "glow-2"
    assert list(twin.over.layers) == ["glow-2"]


def test_a_new_button_can_be_read_at_rest_and_pointed_at():
    plain = {**document(), "palette": ["#20302a", "#f2d9a0", "#7a1f2b"]}
    site, _ = edited(read_site(plain), kind="add-block", column="column", block="button")
    file = SiteFile(site, {})
    found = [r for _, rs in reader_of(file).read_page(site, site.pages[0]) for r in rs if r.block == "button"]
    assert len(found) == 6
    assert all(r.verdict == "enough" for r in found)


def test_looks_of_another_site_come_with_their_pictures(studio):
    other = with_picture(document(image_layer(), gradient_layer()), jpeg(80, 60, (200, 10, 10)))
    looks = [{"id": "look-1", "name": "Red", "backdrop": document(image_layer())["pages"][0]["bands"][0]["backdrop"]}]
    gradients = [{"id": "gradient-1", "name": "Mine", "gradient": GLOW}]
    plain = other.site.model_dump(mode="json") | {"looks": looks, "gradients": gradients}
    packed = pack_site_file(SiteFile(read_site(plain, FONTS.names()), other.pictures))
    state = studio.take_looks(packed, studio.state().revision, "other.zip")
    site = studio.site()
    assert [k.name for k in site.looks] == ["Red"]
    assert [g.name for g in site.gradients] == ["Mine"]
    asset = site.asset(site.looks[0].backdrop.layers[0].assets()[0])
    assert studio.pictures.original(asset.hash) == next(iter(other.pictures.values()))
    studio.take_looks(packed, state.revision, "other.zip")
    assert len(studio.site().looks) == len(studio.site().assets) == 1
    studio.undo(studio.state().revision)


def test_a_site_without_looks_is_refused_and_nothing_changes(studio):
    before = studio.state()
    with pytest.raises(SiteFileError, match="no saved looks"):
        studio.take_looks(pack_site_file(one_banner()), before.revision, "other.zip")
    assert studio.state() == before


def test_a_picture_in_a_saved_look_counts_as_used():
    from garnetfern.service.views.uses import uses_of, without_asset

    file = with_picture(document(image_layer()), jpeg())
    site, _ = edited(file.site, kind="save-look", area="banner", name="Evening")
    assert "Saved look Evening" in [u.words for u in uses_of(site, "picture")]
    with pytest.raises(GarnetfernError, match="Saved look Evening"):
        without_asset(site, "picture")


def test_a_scheme_moves_every_colour_of_the_site_and_can_be_taken_back():
    plain = {**document(colour_layer("#7a1f2b", 0.4)), "palette": ["#20302a", "#7a1f2b", "#f4efe4"]}
    site = read_site(plain)
    view = scheme_view(site, scheme_of(site, None, "slate-path"))
    moved = read_site(patched(copy.deepcopy(site.model_dump(mode="json")), view["patch"]))
    band = moved.pages[0].bands[0]
    assert list(moved.palette) == view["palette"]
    assert band.backdrop.layers[0].colour == view["palette"][1]
    assert band.backdrop.base == view["palette"][0]
    assert band.backdrop.layers[0].opacity == 0.4


@pytest.mark.parametrize("which", [s["id"] for s in schemes_view(one_banner().site)])
def test_in_every_scheme_the_sample_site_reads_about_as_well(demo, which):
    tried = scheme_view(demo.site, scheme_of(demo.site, None, which))
    old, new = demo.site.palette, tried["palette"]
    light = lambda c: luminance(_pixel(c))  # noqa: E731
    for n in range(len(old)):
        for m in range(n):
            before, after = contrast(light(old[n]), light(old[m])), contrast(light(new[n]), light(new[m]))
            assert float(after) == pytest.approx(float(before), rel=0.2)


def _pixel(text):
    import numpy as np

    from garnetfern.core.colour.notation import parse_colour

    return np.array(parse_colour(text).rgb, dtype=np.float32)


def test_a_scheme_that_is_not_there_is_said(demo):
    with pytest.raises(NotFoundError):
        scheme_of(demo.site, None, "tartan")


def test_every_blend_mode_is_shown_on_the_picture(demo):
    page = demo.site.pages[0]
    looks = blend_looks(reader_of(demo), demo.site, page, page.area("banner"), "dusk")["looks"]
    pictures = {look["mode"]: look["picture"] for look in looks}
    assert len(pictures) == 16
    assert len(set(pictures.values())) >= 12
    assert all(p.startswith("data:image/jpeg") for p in pictures.values())


def test_a_layer_that_is_switched_off_shows_no_looks():
    file = one_banner(colour_layer("#ff0000", visible=False))
    page = file.site.pages[0]
    assert blend_looks(reader_of(file), file.site, page, page.area("banner"), "over") == {"looks": []}
    with pytest.raises(NotFoundError):
        blend_looks(reader_of(file), file.site, page, page.area("banner"), "nobody")


def test_the_build_up_says_which_layer_costs_the_words_most():
    layers = (
        colour_layer("#ffffff", 0.7, id="mist", name="Mist"),
        colour_layer("#000000", 0.8, id="dusk", name="Dusk"),
    )
    file = one_banner(*layers, base="#000000")
    page = file.site.pages[0]
    found = BuildUp(reader_of(file), file.site, page, page.area("banner")).cards()
    assert found["sentence"].startswith("Mist costs these words most: 21.0 becomes")
    assert "Dusk gives most" in found["sentence"]
    assert found["blocks"] == ["headline"]


def test_the_build_up_of_a_plate_shows_the_layers_below_dimmed():
    plate = {"backdrop": {"base": "#00000080"}}
    file = one_banner(gradient_layer(), blocks=[{**HEADING, "plate": plate}], base="#445566")
    page = file.site.pages[0]
    cards = BuildUp(reader_of(file), file.site, page, page.area("headline")).cards()["cards"]
    assert [(c["id"], c["below"]) for c in cards] == [
        ("banner/base", "banner"),
        ("banner/glow", "banner"),
        ("base", None),
        ("words", None),
    ]
    opaque = one_banner(gradient_layer(), blocks=[{**HEADING, "plate": {"backdrop": {"base": "#000000"}}}])
    page = opaque.site.pages[0]
    cards = BuildUp(reader_of(opaque), opaque.site, page, page.area("headline")).cards()["cards"]
    assert [c["id"] for c in cards] == ["base", "words"]


@pytest.mark.parametrize("name", ["top", "banner", "week-band", "week-left", "foot"])
def test_the_words_card_shows_words_wherever_they_stand(demo, name):
    page = demo.site.pages[0]
    cards = BuildUp(reader_of(demo), demo.site, page, page.area(name)).cards()["cards"]
    assert [c["id"] for c in cards[-1:]] == ["words"]
    assert cards[-1]["picture"] != cards[-2]["picture"], "a card of words without words"


def test_the_line_follows_the_block_that_is_asked_for():
    second = {**HEADING, "id": "second", "lettering": {**HEADING["lettering"], "colour": "#808080"}}
    file = one_banner(blocks=[HEADING, second])
    page = file.site.pages[0]
    build_up = BuildUp(reader_of(file), file.site, page, page.area("banner"))
    assert build_up.cards()["block"] == "second"
    assert build_up.cards("headline")["block"] == "headline"
    assert build_up.cards("nobody")["block"] == "second"


@pytest.mark.parametrize(
    "layer",
    [
        gradient_layer(gradient={"stops": [{"colour": "#000000"}, {"colour": "#000000"}]}),
        {"kind": "edge", "id": "glow", "name": "E", "edges": ["top", "bottom"], "depth": "100%", "softness": 0.2},
        {"kind": "shape", "id": "glow", "name": "S", "silhouette": "band", "side": "whole", "colour": "#000000"},
    ],
    ids=lambda x: x["kind"],
)
def test_the_least_strength_is_found_for_every_kind_of_overlay(layer):
    file = one_banner(layer, base="#b0b0b0")
    page = file.site.pages[0]
    found = overlay_remedy(reader_of(file), file.site, page, page.area("banner"), "glow")
    assert 0 < found["opacity"] < 1
    assert found["worst"] >= found["required"]


def test_a_picture_is_no_overlay():
    file = with_picture(document(image_layer()), jpeg())
    page = file.site.pages[0]
    with pytest.raises(NotFoundError):
        overlay_remedy(reader_of(file), file.site, page, page.area("banner"), "photo")


def test_colours_are_offered_out_of_the_pictures_behind_an_area(demo):
    from tests.service.conftest import Looked

    page = demo.site.pages[0]
    looks = Looked(demo.pictures)
    own = picture_colours(demo.site, page, page.area("banner"), looks)
    assert 3 <= len(own) <= 12
    assert picture_colours(demo.site, page, page.area("banner-words"), looks) == own
    assert picture_colours(demo.site, page, page.area("foot"), looks) == []


def test_a_colour_is_taken_off_a_screen_with_its_layers(demo):
    page = demo.site.pages[0]
    found = colour_view(reader_of(demo), demo.site, page, "desktop", 700, 300)
    assert found["layers"][:2] == ["Dusk (Banner)", "Glasshouse at dawn (Banner)"]
    with pytest.raises(NotFoundError):
        colour_view(reader_of(demo), demo.site, page, "watch", 1, 1)


def test_the_library_is_large_enough():
    found = library()
    assert len(found["gradients"]) >= 30
    assert len(found["tiles"]) >= 16
    assert len(found["silhouettes"]) >= 12
    assert sum(len(g["modes"]) for g in found["blends"]) == 16
