"""Layout: bands stack, heights are what they must be, and scaling all lengths scales all boxes."""

import re
from itertools import pairwise

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from garnetfern.core.document import read_site
from garnetfern.core.errors import DocumentError
from garnetfern.core.resolve.lengths import Viewport
from garnetfern.core.resolve.moment import Moment
from garnetfern.core.resolve.page import resolve_page
from garnetfern.demo.words import words
from garnetfern.fonts import shipped_fonts
from tests.sites import document

FONTS = shipped_fonts()
VIEW = Viewport(1000, 800)


def resolved(plain, viewport=VIEW):
    site = read_site(plain)
    return resolve_page(site, site.pages[0], Moment(viewport), FONTS)


def block(block_id, wording="Ferns", size="20px", **more):
    return words(block_id, "text", wording, "Karla", size, "#000000", lettering={"line": 1.5}, **more)


def banner(*blocks, **more):
    return document(blocks=blocks, padding={"block": "40px", "inline": "50px"}, **more)


@pytest.mark.parametrize(
    ("least", "height"), [("0px", 110), ("300px", 300), ("62vh", 496), ("48vw", 480), ("50%", 110)]
)
def test_a_band_is_as_high_as_its_content_or_its_minimum(least, height):
    record = resolved(banner(block("w"), height={"min": least}))
    assert record.bands[0].box.height == pytest.approx(height, abs=1 / 32)


@pytest.mark.parametrize(("stand", "top"), [("start", 40), ("center", 135), ("end", 230)])
def test_words_stand_at_the_top_in_the_middle_or_at_the_foot(stand, top):
    record = resolved(banner(block("w"), content={"stand": stand}))
    assert record.bands[0].blocks[0].box.y == pytest.approx(top)


@pytest.mark.parametrize(("align", "left"), [("start", 50), ("center", 400), ("end", 750)])
def test_a_narrow_block_is_aligned_in_its_column(align, left):
    record = resolved(banner(block("w", width="200px"), content={"align": align}))
    assert record.bands[0].blocks[0].box.x == pytest.approx(left)


def test_columns_share_the_width_and_stack_on_narrow_viewports():
    plain = banner(content={"gap": "20px"})
    plain["pages"][0]["bands"][0]["columns"] = [
        {"id": "a", "share": 1, "blocks": [block("wa")]},
        {"id": "b", "share": 3, "blocks": [block("wb")]},
    ]
    wide = resolved(plain).bands[0]
    assert [c.box.width for c in wide.columns] == pytest.approx([220, 660])
    assert wide.columns[1].box.x == pytest.approx(290)
    narrow = resolved(plain, Viewport(400, 800)).bands[0]
    assert narrow.columns[0].box.x == narrow.columns[1].box.x
    assert narrow.columns[1].box.y == pytest.approx(narrow.columns[0].box.bottom + 20)


@pytest.mark.parametrize(
    ("order", "stand"),
    [([], "abc"), ([2], "cab"), ([1, 0], "bac"), ([2, 1, 0], "cba"), ([3, 1], "bac")],
)
@pytest.mark.parametrize("width", [1000, 400])
def test_columns_stand_in_their_order_and_are_read_in_another(order, stand, width):
    plain = banner(content={"gap": "20px"}, screens={key: {"order": order} for key in ("phone", "tablet", "desktop")})
    plain["pages"][0]["bands"][0]["columns"] = [
        {"id": name, "share": n + 1, "blocks": [block(f"w{name}")]} for n, name in enumerate("abc")
    ]
    band = resolved(plain, Viewport(width, 800)).bands[0]
    there = sorted(band.columns, key=lambda c: (c.box.y, c.box.x))
    assert "".join(c.id for c in there) == stand
    assert [b.id for b in band.blocks] == ["wa", "wb", "wc"]
    # each has the width that is its own, wherever it stands
    if width == 1000:
        shares = {c.id: c.box.width for c in band.columns}
        assert [shares[name] / shares["a"] for name in "abc"] == pytest.approx([1, 2, 3], abs=0.01)


@pytest.mark.parametrize("order", [[0, 0], [4], [0, 1, 2, 3, 1]])
def test_an_order_that_there_is_not_is_refused(order):
    with pytest.raises(DocumentError) as told:
        read_site(banner(screens={"phone": {"order": order}}))
    assert ".screens.phone.order" in told.value.problems[0].path


def test_bands_stand_one_under_the_other(demo):
    page = demo.site.pages[0]
    record = resolve_page(demo.site, page, Moment(Viewport(1440, 900)), FONTS)
    for upper, lower in pairwise(record.bands):
        assert lower.box.y == upper.box.bottom
    assert record.height >= record.bands[-1].box.bottom


def test_no_words_take_no_height():
    record = resolved(banner(block("w", wording=""), height={"min": "0px"}))
    assert record.bands[0].box.height == 80


def test_resolving_is_pure(demo):
    page = demo.site.pages[0]
    assert resolve_page(demo.site, page, Moment(VIEW), FONTS) == resolve_page(demo.site, page, Moment(VIEW), FONTS)


def scaled(plain, factor):
    """All px in the document times a factor."""
    if isinstance(plain, dict):
        return {key: scaled(value, factor) for key, value in plain.items()}
    if isinstance(plain, list):
        return [scaled(value, factor) for value in plain]
    if isinstance(plain, str):
        return re.sub(r"\d+px", lambda m: f"{int(m[0][:-2]) * factor}px", plain)
    return plain


@settings(max_examples=15, deadline=None)
@given(st.sampled_from([2, 4]), st.integers(12, 40), st.integers(0, 90), st.sampled_from(["start", "center", "end"]))
def test_scaling_all_lengths_scales_all_boxes(factor, size, padding, align):
    plain = document(
        blocks=[block("w", "Open from ten", f"{size}px", width="700px")],
        padding={"block": f"{padding}px", "inline": "50px"},
        content={"align": align, "width": "800px"},
    )
    small = resolved(plain)
    large = resolved(scaled(plain, factor), Viewport(VIEW.width * factor, VIEW.height * factor))
    one, other = small.bands[0].blocks[0].box, large.bands[0].blocks[0].box
    assert [other.x, other.y, other.width] == pytest.approx(
        [one.x * factor, one.y * factor, one.width * factor], abs=0.1
    )
    assert large.bands[0].box.height == pytest.approx(small.bands[0].box.height * factor, abs=0.1)
