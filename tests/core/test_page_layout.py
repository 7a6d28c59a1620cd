"""Boxes of what a page has besides bands of words: menus, pictures, joins, its width, and what differs on a screen."""

from itertools import pairwise

import pytest

from garnetfern.core.document import page_on, read_site
from garnetfern.core.resolve.layout import _tracks, lay_out_page
from garnetfern.core.resolve.lengths import Viewport
from garnetfern.core.resolve.moment import Moment
from garnetfern.core.resolve.page import resolve_page
from garnetfern.demo.words import words
from garnetfern.fonts import shipped_fonts
from tests.sites import document

FONTS = shipped_fonts()
DESKTOP, PHONE = Viewport(1440, 900), Viewport(390, 844)


def text(name, size="20px", **more):
    return words(name, "text", "Ferns", "Karla", size, "#000000", lettering={"line": 1.5}, **more)


def menu(name, *entries, **lettering):
    block = words(name, "menu", "", "Karla", "20px", "#000000", lettering={"line": 1.5, **lettering})
    return {**block, "items": [{"wording": e, "link": "#"} for e in entries]}


def site_of(*blocks, page=None, **band):
    plain = document(blocks=blocks, **{"height": {"min": "0px"}, **band})
    plain["pages"][0] |= page or {}
    return read_site(plain, FONTS.names())


def laid(site, viewport=DESKTOP):
    return resolve_page(site, site.pages[0], Moment(viewport), FONTS)


def test_a_menu_stands_in_one_row_where_there_is_room_and_wraps_where_not():
    entries = ("Visit", "Fern fair", "Plants on loan", "Volunteers", "How to find us")
    site = site_of(menu("m", *entries))
    wide, narrow = (next(laid(site, v).blocks()) for v in (DESKTOP, PHONE))
    assert len({line.top for line in wide.lines}) == 1
    assert len({line.top for line in narrow.lines}) > 1
    assert [line.text for line in narrow.lines] == list(entries)
    assert narrow.box.height > wide.box.height == 30
    for line in narrow.lines:
        assert narrow.box.x <= line.x
        assert line.x + line.width <= narrow.box.right + 0.1


def test_the_rows_of_a_menu_stand_a_row_gap_apart_and_letters_in_the_middle_of_each():
    block = next(laid(site_of(menu("m", *(f"Entry number {n}" for n in range(7)))), PHONE).blocks())
    tops = sorted({line.top for line in block.lines})
    assert tops[0] == block.box.y
    assert [lower - upper for upper, lower in pairwise(tops)] == [30 + 7] * (len(tops) - 1)
    assert block.box.bottom == tops[-1] + 30
    ascent, descent = FONTS.family("Karla").ascent_descent(20, 400)
    for line in block.lines:
        over, under = line.baseline - ascent - line.top, line.top + 30 - (line.baseline + descent)
        assert 0 <= under - over <= 1


@pytest.mark.parametrize("align", ["start", "center", "end"])
def test_a_menu_is_aligned(align):
    block = next(laid(site_of(menu("m", "One", "Two", align=align))).blocks())
    left = block.lines[0].x - block.box.x
    right = block.box.right - block.lines[-1].x - block.lines[-1].width
    assert {"start": left < 0.1, "center": abs(left - right) < 0.1, "end": right < 0.1}[align]


@pytest.mark.parametrize("align", ["start", "center", "end"])
@pytest.mark.parametrize("make", [lambda **more: menu("m", "One", "Two and three", **more), lambda **_: text("m")])
def test_a_plate_is_as_wide_as_its_words_and_lies_where_they_are_set(make, align):
    plain = make(align=align)
    plain["lettering"]["align"] = align
    record = laid(site_of({**plain, "plate": {"padding": {"block": "10px", "inline": "30px"}}}))
    block, column = next(record.blocks()), record.bands[0].columns[0].box
    first, last = block.lines[0], block.lines[-1]
    assert first.x - block.box.x == pytest.approx(30, abs=0.1)
    assert block.box.right - last.x - last.width == pytest.approx(30, abs=0.1)
    assert len({line.top for line in block.lines}) == 1
    left, right = block.box.x - column.x, column.right - block.box.right
    assert {"start": left, "end": right, "center": left - right}[align] == pytest.approx(0, abs=0.1)


def test_entries_are_told_apart_in_the_wording():
    block = next(laid(site_of(menu("m", "One", "Two"))).blocks())
    assert block.wording == "One\nTwo"
    assert [block.wording[line.start :].split("\n")[0] for line in block.lines] == ["One", "Two"]


def test_space_takes_its_height_and_has_no_words():
    found = list(laid(site_of(text("a"), {"id": "s", "kind": "space", "height": "55px"}, text("b"))).blocks())
    assert [b.words for b in found] == [True, False, True]
    assert found[2].box.y - found[0].box.bottom == 55 + 2 * 16


def test_a_page_narrower_than_the_screen_stands_in_the_middle():
    record = laid(site_of(text("a"), page={"width": "1000px"}))
    assert (record.bands[0].box.x, record.bands[0].box.width) == (220, 1000)
    assert laid(site_of(text("a"), page={"width": "1000px"}), PHONE).bands[0].box.width == 390


@pytest.mark.parametrize(("proportion", "least", "height"), [(2.4, "0px", 600), (2.4, "700px", 700), (20, "0px", 126)])
def test_a_proportion_is_a_least_height(proportion, least, height):
    site = site_of(text("a"), height={"min": least, "proportion": proportion})
    assert laid(site).bands[0].box.height == height


def test_outer_space_stands_between_bands_and_shows_no_backdrop():
    site = site_of(text("a"), space="25px")
    band = laid(site).bands[0]
    assert (band.box.y, band.outer.y, band.outer.bottom) == (25, 0, band.box.bottom + 25)


def two_columns(**content):
    plain = document(content={"width": "1000px", "gap": "20px", **content}, height={"min": "0px"})
    plain["pages"][0]["bands"][0]["columns"] = [
        {"id": "high", "blocks": [text("a"), text("b"), text("c")]},
        {"id": "low", "blocks": [text("d")], "padding": {"block": "10px", "inline": "30px"}},
    ]
    return read_site(plain, FONTS.names())


@pytest.mark.parametrize(("level", "down"), [("start", 0), ("center", 36), ("end", 72)])
def test_a_lower_column_is_stretched_and_its_words_stand_where_they_should(level, down):
    record = laid(two_columns(level=level)).bands[0]
    high, low = record.columns
    assert high.box.height == low.box.height == 122
    block = next(b for b in record.blocks if b.id == "d")
    assert block.box.y == high.box.y + 10 + down
    assert block.box.x == low.box.x + 30


@pytest.mark.parametrize(("layout", "viewport", "stacked"), [("row", PHONE, False), ("stack", DESKTOP, True)])
def test_columns_stand_as_they_are_told(layout, viewport, stacked):
    plain = two_columns().model_dump(mode="json")
    plain["pages"][0]["bands"][0]["layout"] = layout
    high, low = laid(read_site(plain, FONTS.names()), viewport).bands[0].columns
    assert (low.box.y > high.box.y) == stacked


def joined(**first):
    plain = document(blocks=(text("a"),), height={"min": "100px"})
    bands = plain["pages"][0]["bands"]
    bands.insert(0, {"id": "top", "name": "Top", "height": {"min": "50px"}, "columns": [], **first})
    plain["pages"][0]["joins"] = [{"id": "j", "first": "top", "last": "banner", "backdrop": {"base": "#123456"}}]
    return read_site(plain, FONTS.names())


def test_a_join_lies_behind_all_its_bands():
    record = laid(joined())
    join = record.area("j")
    assert (join.box.y, join.box.bottom) == (0, record.bands[1].box.bottom)
    order = [a.id for a in record.areas]
    assert order.index("j") < order.index("top") < order.index("banner")
    assert set(join.blocks) == {"a"}


def test_a_join_ends_where_its_visible_bands_end():
    record = laid(joined(screens={"phone": {"visible": False}}), PHONE)
    assert [b.id for b in record.bands] == ["banner"]
    assert record.area("j").box == record.bands[0].outer


EXCEPTIONS = [
    ({"height": {"min": "222px"}}, lambda r: r.bands[0].box.height, 222),
    ({"padding": {"block": "7px", "inline": "11px"}}, lambda r: r.bands[0].box.height, 30 + 14),
    ({"visible": False}, lambda r: len(r.bands), 0),
]


@pytest.mark.parametrize(("exception", "seen", "expected"), EXCEPTIONS, ids=[next(iter(e[0])) for e in EXCEPTIONS])
def test_a_band_differs_on_one_screen_alone(exception, seen, expected):
    plain = site_of(text("a"), screens={"phone": exception})
    same = site_of(text("a"))
    assert seen(laid(plain, PHONE)) == expected
    assert seen(laid(plain)) == seen(laid(same))


def test_a_block_differs_on_one_screen_alone():
    site = site_of(text("a", screens={"phone": {"size": "40px"}}), text("b", screens={"tablet": {"visible": False}}))
    assert [b.size for b in laid(site, PHONE).blocks()] == [40, 20]
    assert [b.id for b in laid(site, Viewport(820, 1180)).blocks()] == ["a"]
    assert [b.size for b in laid(site).blocks()] == [20, 20]


def test_a_page_without_exceptions_is_the_same_on_every_screen():
    page = site_of(text("a"), text("b")).pages[0]
    assert page_on(page, "phone") == page_on(page, None) == page


def test_boxes_that_were_kept_are_those_that_would_be_computed(demo):
    for page in demo.site.pages:
        first = lay_out_page(demo.site, page, DESKTOP, FONTS)[1]
        lay_out_page(demo.site, page, PHONE, FONTS)
        assert lay_out_page(demo.site, page, DESKTOP, FONTS)[1] == first


@pytest.mark.parametrize(
    ("shares", "units"),
    [
        ([2, 1, 1, 2], [22741, 11371, 11370, 22742]),
        ([1, 2, 1, 1], [13644, 27290, 13645, 13644]),
        ([1, 2, 1, 2], [11370, 22742, 11370, 22742]),
    ],
)
def test_columns_are_as_wide_as_in_the_browser(shares, units):
    """Of 68224 layout units, as Chromium 156 has laid them out."""
    assert [width * 64 for width in _tracks(shares, 68224 / 64)] == units


def test_no_columns_have_no_widths():
    assert _tracks([], 100) == []
