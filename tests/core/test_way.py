"""The whole way of fixed and slower pictures: the worst place is found, wherever it lies."""

import io
import math

import numpy as np
import pytest
from PIL import Image

from garnetfern.core.reading import situations
from garnetfern.service.views.check import check_page, left_out, read_everywhere
from tests.sites import HEADING, document, image_layer, reader_of, with_picture

WIDE, HIGH = 390, 844


def spotted(at=0.5, light=(250, 250, 245), size=26):
    """A dark picture as large as a phone with one light stripe across."""
    pixels = np.random.default_rng(4).integers(20, 60, (HIGH, WIDE, 3)).astype(np.uint8)
    middle = int(at * HIGH)
    pixels[middle - size // 2 : middle + size // 2] = light
    out = io.BytesIO()
    Image.fromarray(pixels).save(out, "PNG")
    return out.getvalue()


def page_of(layer, *layers, lettering=None, tall="9000px", **more):
    block = {**HEADING, "id": "w"}
    block["lettering"] = {**HEADING["lettering"], "size": "22px", "colour": "#ffffff", **(lettering or {})}
    band = {"height": {"min": tall}, "content": {"stand": "center"}, "base": "#20302a", **more}
    file = with_picture(document(image_layer(**layer), *layers, blocks=[block], **band), spotted(), "picture.png")
    return file, reader_of(file), file.site.pages[0]


def ways(file, page, kinds=None):
    return [s for s in situations(file.site, page, kinds) if s.screen == "phone"]


GRADIENT = {
    "kind": "gradient",
    "id": "shade",
    "name": "Shade",
    "gradient": {"angle": 180, "stops": [{"colour": "#00000000"}, {"colour": "#000000c0"}]},
}
BETWEEN = {"tall": "15000px", "content": {"stand": "start"}, "padding": {"block": "6900px", "inline": "0px"}}
"""A phone's height further up or down lie two of thirteen places."""
CASES = {
    "fixed": ({"attachment": "fixed"}, (), {}),
    "slower": ({"attachment": "slower", "rate": 0.6}, (), {}),
    "under a gradient": ({"attachment": "fixed"}, (GRADIENT,), {}),
    "with a shadow": ({"attachment": "fixed"}, (), {"shadow": {"blur": "6px"}}),
    "translucent": ({"attachment": "fixed", "opacity": 0.7}, (), {}),
}


@pytest.mark.parametrize("name", CASES)
def test_the_worst_place_is_that_of_looking_at_every_one(name):
    layer, more, lettering = CASES[name]
    file, reader, page = page_of(layer, *more, lettering=lettering, tall="2200px")
    (way,) = ways(file, page, {"way"})
    met = reader.met(file.site, page)
    found = reader.meet(met, "w", way, file.site.requirement)
    height = met.at(way.moment).height - HIGH
    ratios = []
    for place in range(math.floor(height) + 1):
        there = way.on_the_way(place / height)
        ratio = reader.meet(met, "w", there, file.site.requirement).ratio
        ratios.append(math.inf if ratio is None else ratio)
    assert found.ratio == pytest.approx(min(ratios), rel=0.01)
    assert found.ratio == pytest.approx(ratios[round(found.scroll * height)], rel=1e-6)
    assert found.ratio < 0.5 * max(r for r in ratios if r < math.inf)


@pytest.mark.parametrize("attachment", ["fixed", "slower"])
def test_between_two_of_thirteen_places_nothing_is_missed(attachment):
    file, reader, page = page_of({"attachment": attachment}, **BETWEEN)
    places = [r for _, found in reader.reading_of(file.site, page, ways(file, page, {"rest", "scroll"})) for r in found]
    assert len(places) == 13
    assert all(r.verdict == "unread" and r.away for r in places), "the words are in sight at none of them"
    ((_, (found,)),) = reader.reading_of(file.site, page, ways(file, page, {"way"}))
    assert found.verdict == "short"


def test_what_was_read_nowhere_is_no_pass():
    file, reader, page = page_of({"attachment": "fixed"}, **BETWEEN)
    views = [v for v in check_page(reader, file.site, page, {"rest", "scroll"}) if v["screen"] == "phone"]
    assert {v["verdict"] for v in views} == {"unread"}
    assert left_out(views) == views
    assert read_everywhere(views, "here") == {"sentence": "Nothing here could be measured.", "good": False}
    assert views[0]["sentence"].startswith("None of these words is on the screen here")


def test_a_complete_check_reads_the_way_instead_of_places():
    file, _, page = page_of({"attachment": "fixed"})
    every = situations(file.site, page, None)
    kinds = {s.kind for s in every}
    assert [s.kind for s in every if s.at_rest] == ["rest"] * 3
    assert "way" in kinds
    assert "scroll" not in kinds
    assert "scroll" in {s.kind for s in situations(file.site, page)}
