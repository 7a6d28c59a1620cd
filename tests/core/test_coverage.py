"""How much of an area is to be seen."""

import pytest

from garnetfern.core.colour.notation import parse_colour
from garnetfern.core.draw.coverage import is_opaque, seen
from garnetfern.core.draw.sheets import span_of
from garnetfern.core.resolve.box import Box
from garnetfern.core.resolve.records import AreaRecord, BandRecord, PageRecord
from garnetfern.core.resolve.sheets import ColourSheet, ImageSheet, Rendition

WHOLE = Box(0, 0, 800, 400)
PICTURE = Rendition("0" * 64, 100, 100)


def colour(box=WHOLE, text="#203040", opacity=1.0, name="base"):
    return ColourSheet(name, box, parse_colour(text), opacity=opacity)


def image(box=WHOLE, tile=WHOLE, opacity=1.0, period=(None, None)):
    return ImageSheet("photo", box, tile, PICTURE, period, opacity=opacity)


def page(*areas, bands=()):
    return PageRecord("home", 800, 400, parse_colour("#ffffff"), bands, areas)


def shares(record, transparent=False):
    return {s.area: s for s in seen(record, lambda _: transparent)}


@pytest.mark.parametrize(
    ("sheet", "transparent", "opaque"),
    [
        (colour(), False, True),
        (colour(text="#20304080"), False, False),
        (colour(opacity=0.5), False, False),
        (image(), False, True),
        (image(), True, False),
        (image(opacity=0.9), False, False),
        (image(tile=Box(0, 0, 100, 100), period=(100, 100)), False, True),
        (image(tile=Box(0, 0, 100, 100), period=(120, 100)), False, False),
    ],
)
def test_what_shows_nothing_through_is_opaque(sheet, transparent, opaque):
    assert is_opaque(sheet, lambda _: transparent) == opaque


@pytest.mark.parametrize(
    ("sheet", "box"),
    [
        (image(tile=Box(200, 100, 100, 100)), Box(200, 100, 100, 100)),
        (image(tile=Box(-50, -50, 2000, 100)), Box(0, 0, 800, 50)),
        (image(tile=Box(10, 0, 20, 100), period=(20, None)), Box(0, 0, 800, 100)),
        (image(tile=Box(900, 0, 20, 100)), Box(0, 0, 0, 0)),
        (colour(Box(1, 2, 3, 4)), Box(1, 2, 3, 4)),
    ],
)
def test_a_sheet_paints_what_of_it_lies_in_its_box(sheet, box):
    assert span_of(sheet) == box


def test_a_later_area_covers_an_earlier_one_and_is_named():
    left = Box(0, 0, 400, 400)
    record = page(AreaRecord("page", "page", WHOLE), AreaRecord("one", "band", left, (colour(left),)))
    found = shares(record)
    assert found["page"].visible == 0.5
    assert found["page"].covered_by == (("one", 0.5),)
    assert found["one"].visible == 1


def test_what_is_covered_twice_counts_once():
    areas = [AreaRecord(name, "band", WHOLE, (colour(),)) for name in ("a", "b", "c")]
    found = shares(page(*areas))
    assert [found[n].visible for n in "abc"] == [0, 0, 1]
    assert sum(share for _, share in found["a"].covered_by) == 1


def test_an_area_s_own_picture_covers_its_base():
    half = Box(0, 0, 800, 200)
    area = AreaRecord("one", "band", WHOLE, (colour(), image(half, half)))
    assert (shares(page(area))["one"].visible, shares(page(area))["one"].base) == (1, 0.5)
    assert shares(page(area), transparent=True)["one"].base == 1


def test_the_page_tells_what_shows_beside_and_below():
    band = Box(200, 0, 400, 200)
    record = page(
        AreaRecord("page", "page", WHOLE),
        AreaRecord("one", "band", band, (colour(band),)),
        bands=(BandRecord("one", band, band),),
    )
    found = shares(record)["page"]
    assert (found.visible, found.beside, found.below) == (0.75, 0.25, 0.5)


def test_an_area_without_a_box_is_not_to_be_seen():
    assert shares(page(AreaRecord("none", "band", Box(0, 50, 800, 0))))["none"].visible == 0
