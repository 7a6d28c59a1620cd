"""The document: what is refused and where, and that what is valid is drawable."""

import copy
import json
from pathlib import Path

import pytest

from garnetfern.core.document import read_site, site_schema
from garnetfern.core.errors import DocumentError
from garnetfern.demo.words import words
from tests.sites import HEADING, colour_layer, document, image_layer

BANNER = "$.pages[0].bands[0]"


def changed(change):
    plain = copy.deepcopy(document(colour_layer("#000000", 0.5)))
    change(plain, plain["pages"][0]["bands"][0])
    return plain


CASES = {
    "unknown field": (lambda d, b: b.update(colour="red"), f"{BANNER}.colour", "not known"),
    "wrong colour": (lambda d, b: b["backdrop"].update(base="#12"), f"{BANNER}.backdrop.base", "hexadecimal"),
    "wrong length": (lambda d, b: b["height"].update(min="tall"), f"{BANNER}.height.min", "clamp"),
    "negative height": (lambda d, b: b["height"].update(min="-3px"), f"{BANNER}.height.min", "below zero"),
    "opacity above one": (
        lambda d, b: b["backdrop"]["layers"][0].update(opacity=1.2),
        f"{BANNER}.backdrop.layers[0].opacity",
        "less than or equal",
    ),
    "a script as a link": (
        lambda d, b: b["columns"][0]["blocks"][0].update(link="javascript:alert(1)"),
        f"{BANNER}.columns[0].blocks[0].link",
        "https:",
    ),
    "a picture block without a picture": (
        lambda d, b: b["columns"][0]["blocks"].append({"id": "x", "kind": "picture"}),
        f"{BANNER}.columns[0].blocks[1]",
        "asset",
    ),
    "an entry of two lines": (
        lambda d, b: b["columns"][0]["blocks"].append(
            {"id": "x", "kind": "menu", "items": [{"wording": "a\nb", "link": "#"}]}
        ),
        f"{BANNER}.columns[0].blocks[1].items[0]",
        "one line",
    ),
    "an exception for no screen": (
        lambda d, b: b.update(screens={"watch": {"visible": False}}),
        f"{BANNER}.screens.watch",
        "no screen",
    ),
    "a gap between screens": (lambda d, b: d["screens"][0].update(least=1030), "$.screens[0].least", "ends at"),
    "a join of one band": (
        lambda d, b: d["pages"][0].update(joins=[{"id": "j", "first": "banner", "last": "banner"}]),
        "$.pages[0].joins[0]",
        "two bands",
    ),
    "a join with nothing": (
        lambda d, b: d["pages"][0].update(joins=[{"id": "j", "first": "none", "last": "banner"}]),
        "$.pages[0].joins[0]",
        "no band",
    ),
    "a crop beyond its picture": (
        lambda d, b: b["backdrop"]["layers"].append(image_layer(crop={"x": 0.8, "width": 0.5})),
        f"{BANNER}.backdrop.layers[1].crop",
        "inside",
    ),
    "a cut for no slot": (
        lambda d, b: d.update(fits=[{"slot": "none", "asset": "none"}]),
        "$.fits[0].asset",
        "no picture",
    ),
    "unknown layer kind": (
        lambda d, b: b["backdrop"]["layers"].append({"kind": "fog"}),
        f"{BANNER}.backdrop.layers[1]",
        "kind",
    ),
    "a text with a level": (
        lambda d, b: b["columns"][0]["blocks"].append({"id": "x", "kind": "text", "level": 2}),
        f"{BANNER}.columns[0].blocks[1]",
        "level",
    ),
    "wording of 5,000 characters": (
        lambda d, b: b["columns"][0]["blocks"][0].update(wording="x" * 5000),
        f"{BANNER}.columns[0].blocks[0].wording",
        "5,000",
    ),
    "the same id twice": (lambda d, b: b["columns"][0].update(id="banner"), f"{BANNER}.columns[0].id", "twice"),
    "a picture that is not there": (
        lambda d, b: b["backdrop"]["layers"].append(image_layer()),
        f"{BANNER}.backdrop.layers[1].asset",
        "no picture",
    ),
    "a font that does not ship": (
        lambda d, b: b["columns"][0]["blocks"][0]["lettering"].update(font="Nowhere"),
        f"{BANNER}.columns[0].blocks[0].lettering.font",
        "no font",
    ),
    "later version": (lambda d, b: d.update(version=99), "$.version", "versions 1 to"),
    "no version": (lambda d, b: d.pop("version"), "$.version", "versions 1 to"),
    "other format": (lambda d, b: d.update(format="letter"), "$.format", "format"),
    "screen outside its range": (lambda d, b: d["screens"][0].update(width=700), "$.screens[0]", "range"),
    "infinite number": (
        lambda d, b: b["columns"][0]["blocks"][0]["lettering"].update(line=float("inf")),
        f"{BANNER}.columns[0].blocks[0].lettering.line",
        "",
    ),
}


@pytest.mark.parametrize("name", CASES)
def test_a_broken_rule_is_named_with_its_place(name, fonts):
    change, path, said = CASES[name]
    with pytest.raises(DocumentError) as caught:
        read_site(changed(change), fonts.names())
    assert path in [p.path for p in caught.value.problems]
    assert said in " ".join(p.message for p in caught.value.problems)


@pytest.mark.parametrize("data", [None, [], "text", 3, {}])
def test_what_is_no_document_is_refused(data):
    with pytest.raises(DocumentError):
        read_site(data)


def test_all_problems_are_named_at_once(fonts):
    def change(_, band):
        band["height"]["min"] = "tall"
        band["backdrop"]["base"] = "blue"

    with pytest.raises(DocumentError) as caught:
        read_site(changed(change), fonts.names())
    assert len(caught.value.problems) == 2


def test_wording_is_collapsed_as_html_collapses_it():
    block = words("w", "text", "  two   words \n\t next  ", "Karla", "16px", "#000000")
    site = read_site(document(blocks=[block]))
    assert site.pages[0].bands[0].columns[0].blocks[0].wording == "two words\nnext"


def test_a_document_is_read_back_as_it_was_written(demo, fonts):
    plain = json.loads(json.dumps(demo.site.model_dump(mode="json")))
    assert read_site(plain, fonts.names()) == demo.site


def test_published_schema_is_that_of_the_models():
    published = Path(__file__).parents[2] / "docs" / "site.schema.json"
    assert json.loads(published.read_text()) == site_schema()


def test_a_heading_of_the_table_is_valid():
    assert read_site(document(blocks=[HEADING])).name == "Marrowby Fern House"
