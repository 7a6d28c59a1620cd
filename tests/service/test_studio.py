"""Use cases: changes, pictures, the build-up, the remedy."""

import base64
import io
import re

import pytest
from PIL import Image

from garnetfern.core.errors import DocumentError, NotFoundError, PictureError, StaleError
from garnetfern.service.views.build_up import CARD, BuildUp
from garnetfern.service.views.overlay import overlay_remedy
from garnetfern.service.workspace.house import first_site
from tests.conftest import encoded, jpeg
from tests.sites import colour_layer, document, image_layer, reader_of, with_picture

BAND = "/pages/0/bands/0"


def picture_in(data_url: str) -> Image.Image:
    kind, _, text = data_url.partition(",")
    assert kind == "data:image/jpeg;base64"
    return Image.open(io.BytesIO(base64.b64decode(text)))


def add_overlay(studio, opacity=0.3, colour="#000000"):
    patch = [{"op": "add", "path": f"{BAND}/backdrop/layers/-", "value": colour_layer(colour, opacity)}]
    return studio.change(studio.state().revision, patch, "Add Over")


def put_picture(studio, data, name="photo.jpg"):
    asset = studio.add_picture(data, name)
    layer = {"kind": "image", "id": "photo", "name": "Photo", "asset": asset.id}
    patch = [
        {"op": "add", "path": "/assets/-", "value": asset.model_dump(mode="json")},
        {"op": "add", "path": f"{BAND}/backdrop/layers/0", "value": layer},
    ]
    studio.change(studio.state().revision, patch, "Put photo")
    return asset


def test_a_change_is_kept_with_its_label(studio):
    state = add_overlay(studio)
    assert state.undo == "Add Over"
    assert state.document["pages"][0]["bands"][0]["backdrop"]["layers"][0]["opacity"] == 0.3


@pytest.mark.parametrize(
    "patch",
    [
        [{"op": "replace", "path": "/nowhere/3", "value": 1}],
        [{"op": "jump", "path": "/name"}],
        [{"path": "/name"}],
        [{"op": "remove", "path": ""}],
        [{"op": "replace", "path": "", "value": []}],
        [{"op": "replace", "path": f"{BAND}/height/min", "value": "tall"}],
        [{"op": "add", "path": "/pages/0/bands/99", "value": {}}],
    ],
)
def test_a_change_that_does_not_fit_leaves_everything_as_it_was(studio, patch):
    before = studio.state()
    with pytest.raises(DocumentError):
        studio.change(before.revision, patch, "bad")
    assert studio.state() == before


def test_a_change_on_an_old_revision_is_refused(studio):
    add_overlay(studio)
    with pytest.raises(StaleError):
        studio.change(1, [{"op": "replace", "path": "/name", "value": "Mine"}], "rename")
    assert studio.state().document["name"] == "Marrowby Fern House"


def test_a_picture_that_was_never_handed_in_is_refused(studio):
    value = {"id": "x", "name": "x", "hash": "f" * 64, "type": "jpeg", "width": 1, "height": 1, "bytes": 1}
    with pytest.raises(NotFoundError, match="not in the store"):
        studio.change(1, [{"op": "add", "path": "/assets/-", "value": value}], "x")


def test_equal_names_never_swap_one_picture_for_another(studio):
    first = put_picture(studio, jpeg(60, 40, (200, 0, 0)))
    second = studio.add_picture(jpeg(60, 40, (0, 0, 200)), "photo.jpg")
    assert (first.name, second.name) == ("photo.jpg", "photo 2.jpg")
    assert first.id != second.id


def test_the_same_picture_twice_is_one(studio):
    first = put_picture(studio, jpeg())
    assert studio.add_picture(jpeg(), "other name.jpg") == first


@pytest.mark.parametrize(
    ("name", "shown"),
    [
        ("../../evil/<b>.jpg", "<b>.jpg"),
        ("C:\\photos\\fern.jpg", "fern.jpg"),
        ("\x00\x1f.jpg", ".jpg"),
        ("", "picture"),
    ],
)
def test_names_lose_their_folders_and_control_characters(studio, name, shown):
    assert studio.add_picture(jpeg(), name).name == shown


def test_a_refused_picture_leaves_no_file(studio, tmp_path):
    with pytest.raises(PictureError):
        studio.add_picture(jpeg()[:30], "broken.jpg")
    assert [p for p in (tmp_path / "pictures").rglob("*") if p.is_file()] == []


def test_renditions_are_made_when_asked_for_and_only_in_known_sizes(studio):
    asset = put_picture(studio, jpeg(1000, 700))
    data = studio.rendition_data(asset.hash[:10], 540)
    assert data[8:12] == b"WEBP"
    assert studio.rendition_data(asset.hash[:10], 540) == data
    for prefix, width in ((asset.hash[:10], 541), ("0" * 10, 540)):
        with pytest.raises(NotFoundError):
            studio.rendition_data(prefix, width)


def test_the_build_up_goes_from_the_base_to_the_words(studio):
    put_picture(studio, encoded(900, 600, (230, 230, 225), "PNG"), "light.png")
    add_overlay(studio, 0.8)
    site = studio.site()
    page = site.pages[0]
    found = BuildUp(studio.reader, site, page, page.bands[0]).cards()
    assert [c["id"] for c in found["cards"]] == ["base", "photo", "over", "words"]
    base, photo, over, words = (c["ratio"] for c in found["cards"])
    assert base > 10 > 2 > photo
    assert photo < over == words
    assert found["block"] == "headline"
    for card in found["cards"]:
        width, height = picture_in(card["picture"]).size
        assert 0 < width <= CARD[0]
        assert 0 < height <= CARD[1]


def test_a_band_without_height_has_no_cards(studio):
    patch = [
        {"op": "replace", "path": f"{BAND}/height/min", "value": "0px"},
        {"op": "replace", "path": f"{BAND}/padding/block", "value": "0px"},
        {"op": "replace", "path": f"{BAND}/columns", "value": []},
    ]
    studio.change(1, patch, "Empty")
    site = studio.site()
    assert BuildUp(studio.reader, site, site.pages[0], site.pages[0].bands[0]).cards()["cards"] == []


def test_the_remedy_is_said_in_one_sentence(studio):
    put_picture(studio, encoded(900, 600, (230, 230, 225), "PNG"), "light.png")
    add_overlay(studio, 0.1)
    site = studio.site()
    page = site.pages[0]
    found = overlay_remedy(studio.reader, site, page, page.bands[0], "over")
    assert f"At {round(found['opacity'] * 100)} %" in found["sentence"]
    assert "Keeps" in found["sentence"]
    with pytest.raises(NotFoundError):
        overlay_remedy(studio.reader, site, page, page.bands[0], "photo")


def test_a_remedy_for_a_layer_that_is_off_counts_as_if_it_were_on(studio):
    put_picture(studio, encoded(900, 600, (230, 230, 225), "PNG"), "light.png")
    patch = [{"op": "add", "path": f"{BAND}/backdrop/layers/-", "value": colour_layer("#000000", 0.1, visible=False)}]
    studio.change(studio.state().revision, patch, "Add hidden")
    site = studio.site()
    page = site.pages[0]
    assert overlay_remedy(studio.reader, site, page, page.bands[0], "over")["opacity"] > 0.2


def test_without_words_any_opacity_will_do(studio):
    patch = [{"op": "replace", "path": f"{BAND}/columns", "value": []}]
    studio.change(1, patch, "No words")
    add_overlay(studio)
    site = studio.site()
    found = overlay_remedy(studio.reader, site, site.pages[0], site.pages[0].bands[0], "over")
    assert "no words" in found["sentence"]


def test_pictures_cut_for_slots_lie_in_the_bundle(tmp_path, demo):
    studio = first_site(tmp_path / "site")
    studio.start(demo, "The sample site")
    crop = {"x": 0.2, "y": 0.2, "width": 0.5, "height": 0.469}
    patch = [{"op": "add", "path": "/fits/-", "value": {"slot": "card", "asset": "fern-close", "crop": crop}}]
    studio.change(1, patch, "Cut")
    with Image.open(io.BytesIO(studio.bundle_files()["slots/fern-close-card-640x400.jpg"])) as image:
        assert image.size == (640, 400)
    studio.close()


def test_fitted_pictures_take_the_plain_ones_place_in_the_bundle(tmp_path):
    studio = first_site(tmp_path / "site")
    plain = document(image_layer())
    studio.start(with_picture(plain, jpeg(300, 200)), "A small site")
    assert any(name.endswith(".webp") for name in studio.bundle_files())
    missing = studio.fitting.missing(studio.site(), studio.fonts)
    for one, kind in missing:
        studio.fitting.make(one, kind)
    files = studio.bundle_files()
    kinds = {name.rsplit(".", 1)[1] for name in files if name.startswith("pictures/")}
    assert kinds == {"avif", "webp", "jpg"}
    css = next(data.decode() for name, data in files.items() if name.endswith(".css"))
    assert css.index('type("image/avif")') < css.index('type("image/webp")') < css.index('type("image/jpeg")')
    for name in re.findall(r'url\("\.\./(pictures/[^"]+)"\)', css):
        assert name in files
    assert 'rel="preload" as="image" href="pictures/' in files["index.html"].decode()
    assert studio.fitting.missing(studio.site(), studio.fonts) == []
    studio.close()


def test_what_still_falls_short_elsewhere_is_said_beneath(demo):
    page = demo.site.pages[0]
    band = next(b for b in page.bands if b.role == "banner")
    found = overlay_remedy(reader_of(demo), demo.site, page, band, "dusk")
    assert found["opacity"] == pytest.approx(0.29, abs=0.02)
    assert "letters at 200 %" in found["beyond"]
