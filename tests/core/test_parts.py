"""The edge of a button against what lies around it."""

from dataclasses import replace

import pytest

from garnetfern.core.reading import situations
from garnetfern.service.views.check import reading_view
from garnetfern.service.views.every_situation import situations_view
from garnetfern.service.views.report import check_site
from tests.sites import document, no_flashes, one_banner, reader_of

BUTTON = {"id": "visit", "kind": "button", "wording": "Visit us", "link": "#", "lettering": {"colour": "#ffffff"}}


def banner(plate, base, edges=True):
    block = {**BUTTON, "plate": {"padding": {"block": "10px", "inline": "20px"}, **plate}}
    file = one_banner(blocks=[block], base=base)
    return replace(file, site=file.site.model_copy(update={"edges": edges}))


@pytest.mark.parametrize(
    ("plate", "base", "ratio"),
    [
        ({"backdrop": {"base": "#000000"}}, "#ffffff", 21.0),
        ({"backdrop": {"base": "#767676"}}, "#ffffff", 4.54),
        ({"backdrop": {"base": "#767676"}, "radius": "30px"}, "#ffffff", 4.54),
        ({"backdrop": {"base": "#aaaaaa"}, "line": {"width": "2px", "colour": "#000000"}}, "#ffffff", 21.0),
        ({"backdrop": {}}, "#ffffff", None),
    ],
)
def test_the_line_or_the_ground_is_measured_against_what_lies_around(plate, base, ratio):
    file = banner(plate, base)
    page = file.site.pages[0]
    found = list(reader_of(file).parts_of(file.site, page, situations(file.site, page)))
    assert len(found) == 3
    for _, edges in found:
        assert [pytest.approx(e.ratio, abs=0.03) for e in edges] == ([] if ratio is None else [ratio])


def test_a_faint_edge_is_said_and_fails_the_check():
    file = banner({"backdrop": {"base": "#c8c8c8"}}, "#ffffff")
    page = file.site.pages[0]
    situation, edges = next(reader_of(file).parts_of(file.site, page, situations(file.site, page)))
    view = reading_view(edges[0], situation)
    assert view["sentence"] == "The button's edge falls short against what lies around it: 1.6 of 3."
    assert view["verdict"] == "short"
    shown = situations_view(reader_of(file), file.site, page, no_flashes)
    assert {"id": "visit/edge", "words": "Edge of Visit us", "trouble": True} in shown["blocks"]
    rows = check_site(reader_of(file), file.site, lambda _, __: None)
    assert sum(row["block"] == "visit/edge" and row["verdict"] == "short" for row in rows) >= 3


def test_a_pale_button_with_clear_words_is_enough_unless_the_site_asks_for_its_edge():
    file = banner({"backdrop": {"base": "#f4f4f4"}}, "#ffffff", edges=False)
    page = file.site.pages[0]
    assert list(reader_of(file).parts_of(file.site, page, situations(file.site, page))) == []
    shown = situations_view(reader_of(file), file.site, page, no_flashes)
    assert all("/edge" not in block["id"] for block in shown["blocks"])
    asked = replace(file, site=file.site.model_copy(update={"edges": True}))
    assert any("/edge" in b["id"] for b in situations_view(reader_of(asked), asked.site, page, no_flashes)["blocks"])


def test_words_and_plates_that_are_no_button_have_no_edge():
    file = one_banner(blocks=document()["pages"][0]["bands"][0]["columns"][0]["blocks"])
    page = file.site.pages[0]
    assert all(edges == [] for _, edges in reader_of(file).parts_of(file.site, page, situations(file.site, page)))
