"""Facts about a picture belong to the store; ids, addresses and texts of a document are what they should be."""

import pytest

from garnetfern.core.document import read_site
from garnetfern.core.errors import DocumentError, NotFoundError
from garnetfern.service.edits.pictures import ShelvePicture
from tests.conftest import jpeg
from tests.sites import document


@pytest.fixture
def shelved(studio):
    for n in range(2):
        asset = studio.add_picture(jpeg(60 + n, 40), f"fern {n}.jpg")
        studio.edit(studio.state().revision, ShelvePicture(asset=asset))
    return studio


@pytest.mark.parametrize(
    ("fact", "value"),
    [("width", 61), ("height", 1), ("bytes", 7), ("type", "png"), ("alpha", True), ("hash", "0" * 64)],
)
def test_what_was_found_about_a_picture_cannot_be_changed(shelved, fact, value):
    before = shelved.state()
    patch = [{"op": "replace", "path": f"/assets/0/{fact}", "value": value}]
    with pytest.raises(DocumentError) as refused:
        shelved.change(before.revision, patch, "Lie")
    assert refused.value.path == f"$.assets[0].{fact}"
    assert "Nothing was changed" in refused.value.message
    assert shelved.state() == before


def test_names_credits_and_parts_of_a_picture_can_be_changed(shelved):
    patch = [
        {"op": "replace", "path": "/assets/0/name", "value": "Frond.jpg"},
        {"op": "replace", "path": "/assets/0/credit", "value": "The house"},
    ]
    assert shelved.change(shelved.state().revision, patch, "Rename").document["assets"][0]["name"] == "Frond.jpg"


def test_pictures_cannot_be_exchanged_or_made_up_by_a_change(shelved):
    first, second = shelved.site().assets
    swap = [{"op": "replace", "path": "/assets/0/hash", "value": second.hash}]
    with pytest.raises(DocumentError):
        shelved.change(shelved.state().revision, swap, "Swap")
    made_up = first.model_dump(mode="json") | {"id": "other", "hash": "1" * 64}
    with pytest.raises(NotFoundError):
        shelved.change(shelved.state().revision, [{"op": "add", "path": "/assets/-", "value": made_up}], "Add")
    with pytest.raises(NotFoundError):
        shelved.edit(shelved.state().revision, ShelvePicture(asset=first.model_copy(update={"hash": "2" * 64})))
    third = shelved.add_picture(jpeg(99, 40), "third.jpg")
    with pytest.raises(DocumentError, match="found when it came in"):
        shelved.edit(shelved.state().revision, ShelvePicture(asset=third.model_copy(update={"width": 3})))


def pages(*ids_and_slugs):
    site = document()
    page = site["pages"][0]
    site["pages"] = [{**page, "id": i, "slug": s} for i, s in ids_and_slugs]
    return site


@pytest.mark.parametrize(
    ("site", "path"),
    [
        (pages(("home", "a"), ("home", "b")), "$.pages[1].id"),
        (pages(("a", "home"), ("b", "home")), "$.pages[1].slug"),
        (pages(("a", "home"), ("b", "index")), "$.pages[1].slug"),
        (pages(("a", "con")), "$.pages[0].slug"),
        (pages(("a", "lpt9")), "$.pages[0].slug"),
        (document() | {"name": "a\x00b"}, "$.name"),
        (document() | {"name": "\ud800"}, "$.name"),
        (document() | {"name": "  "}, "$.name"),
        (document() | {"version": True}, "$.version"),
    ],
)
def test_what_ties_a_document_together_is_refused_with_its_place(site, path):
    with pytest.raises(DocumentError) as refused:
        read_site(site)
    assert refused.value.path == path


def test_texts_are_normalised():
    assert read_site(document() | {"name": " Marro\u0308wby\n House "}).name == "Marröwby House"


def test_a_page_is_found_by_its_id_before_another_s_address():
    site = read_site(pages(("one", "two"), ("two", "one")))
    assert site.page("two").id == "two"
    assert site.page("one").id == "one"


def test_two_slots_of_one_name_give_two_files(shelved):
    slots = [{"id": i, "name": "Card", "width": 40, "height": 20} for i in ("card", "card-2")]
    fits = [{"slot": s["id"], "asset": shelved.site().assets[0].id} for s in slots]
    patch = [{"op": "replace", "path": f"/{k}", "value": v} for k, v in (("slots", slots), ("fits", fits))]
    shelved.change(shelved.state().revision, patch, "Slots")
    assert len([n for n in shelved.bundle_files() if n.startswith("slots/")]) == 2
