"""Blending and compositing, against values worked by hand from the standard's formulas."""

import json
from pathlib import Path
from typing import get_args

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from garnetfern.core.document import BlendMode, read_site
from garnetfern.core.draw.blend import BLENDS, composite, over_opaque
from garnetfern.core.draw.paint import paint_backdrops
from garnetfern.core.reading import situations
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.site_file import SiteFile
from tests.sites import colour_layer, document, one_banner, reader_of

TABLE = json.loads((Path(__file__).parent.parent / "tables" / "blending.json").read_text())
MODES = get_args(BlendMode)
part = st.floats(0, 1, width=32)
colour = st.tuples(part, part, part)


def premultiplied(rgba):
    red, green, blue, alpha = rgba
    return np.array([[[red * alpha, green * alpha, blue * alpha, alpha]]], dtype=np.float32)


def painted(file, region=(100, 100, 1, 1)):
    reader = reader_of(file)
    page = file.site.pages[0]
    record = reader.resolve(file.site, page, situations(file.site, page)[0])
    return paint_backdrops(record, region, reader.pictures)[0, 0].tolist()


@pytest.mark.parametrize("case", TABLE, ids=lambda c: f"{c['mode']} {c['backdrop']} {c['source']}")
def test_a_source_is_mixed_as_the_standard_says(case):
    found = composite(premultiplied(case["backdrop"]), premultiplied(case["source"]), case["mode"])[0, 0]
    assert found == pytest.approx(premultiplied(case["result"])[0, 0], abs=2e-5)


@pytest.mark.parametrize(
    "case", [c for c in TABLE if c["backdrop"][3] == 1], ids=lambda c: f"{c['mode']} {c['source']}"
)
def test_over_something_opaque_the_short_way_leads_to_the_same(case):
    below = np.array([[case["backdrop"][:3]]], dtype=np.float32)
    found = over_opaque(below, premultiplied(case["source"]), case["mode"])[0, 0]
    assert found == pytest.approx(np.array(case["result"][:3]), abs=2e-5)


def test_the_table_holds_every_mode():
    assert {case["mode"] for case in TABLE} == set(MODES) == set(BLENDS)


@given(colour, colour, st.sampled_from(MODES))
def test_mixing_stays_among_colours(below, above, mode):
    found = BLENDS[mode](np.array([below], dtype=np.float32), np.array([above], dtype=np.float32))
    assert np.isfinite(found).all()
    assert found.min() >= -1e-4
    assert found.max() <= 1 + 1e-4


@given(colour, part, st.sampled_from(MODES))
def test_nothing_laid_over_changes_nothing(below, alpha, mode):
    backdrop = premultiplied((*below, alpha))
    assert composite(backdrop, premultiplied((0.3, 0.5, 0.7, 0)), mode) == pytest.approx(backdrop, abs=1e-5)


@given(colour, colour)
def test_these_modes_do_not_mind_the_order(one, other):
    a, b = np.array([one], dtype=np.float32), np.array([other], dtype=np.float32)
    for mode in ("multiply", "screen", "darken", "lighten", "difference", "exclusion"):
        assert BLENDS[mode](a, b) == pytest.approx(BLENDS[mode](b, a), abs=1e-6)


@pytest.mark.parametrize(
    ("mode", "expected"),
    [
        ("multiply", [100, 50, 25]),
        ("screen", [227, 177, 152]),
        ("difference", [72, 28, 78]),
        ("normal", [128, 128, 128]),
    ],
)
def test_a_layer_mixes_with_its_own_base(mode, expected):
    file = one_banner(colour_layer("#808080", blend=mode), base="#c86432")
    assert painted(file) == pytest.approx(expected, abs=1)


def test_a_group_is_isolated_from_what_lies_below_its_area():
    # half a red, and blue multiplied with it: only where the red is does the blue vanish
    layers = [{"kind": "colour", "id": "blue", "name": "Blue", "colour": "#0000ff", "blend": "multiply"}]
    plain = document(colour_layer("#00ff00"), base="#ffffff")
    column = plain["pages"][0]["bands"][0]["columns"][0]
    column |= {"backdrop": {"base": "#ff000080", "layers": layers}, "padding": {"block": "60px", "inline": "0px"}}
    file = SiteFile(read_site(plain, shipped_fonts().names()), {})
    assert painted(file, (400, 80, 1, 1)) == pytest.approx([0, 0, 127], abs=1)


def test_without_a_base_of_its_own_a_layer_lies_over():
    layers = [{"kind": "colour", "id": "blue", "name": "Blue", "colour": "#0000ff80", "blend": "multiply"}]
    plain = document(base="#ffffff")
    column = plain["pages"][0]["bands"][0]["columns"][0]
    column |= {"backdrop": {"layers": layers}, "padding": {"block": "60px", "inline": "0px"}}
    file = SiteFile(read_site(plain, shipped_fonts().names()), {})
    assert painted(file, (400, 80, 1, 1)) == pytest.approx([127, 127, 255], abs=1)


def test_on_the_page_itself_a_layer_mixes_with_the_canvas():
    plain = document(base=None)
    plain["pages"][0]["backdrop"] = {"base": "#808000", "layers": [colour_layer("#80ff80", blend="multiply", id="p")]}
    file = SiteFile(read_site(plain, shipped_fonts().names()), {})
    assert painted(file) == pytest.approx([64, 128, 0], abs=1)
