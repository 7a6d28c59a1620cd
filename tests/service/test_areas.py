"""What of an area is to be seen, and why where it is nothing."""

from typing import Any

import pytest

from garnetfern.core.document import read_site
from garnetfern.demo.site import SCREENS
from garnetfern.fonts import shipped_fonts
from garnetfern.service.views.areas import area_views

FONTS = shipped_fonts()
PLAIN = {"padding": {"block": "0px", "inline": "0px"}}


def views(bands: list[dict[str, Any]], **page: Any):
    plain = {
        "format": "garnetfern-site",
        "version": 2,
        "name": "Marrowby",
        "screens": SCREENS,
        "pages": [{"id": "home", "slug": "home", "title": "Home", "bands": bands, **page}],
    }
    site = read_site(plain, FONTS.names())
    return {v["screen"]: {a["area"]: a for a in v["areas"]} for v in area_views(site, site.pages[0], FONTS)}


def band(name: str, height: str, base: str | None, **more: Any):
    return {"id": name, "name": name.title(), "height": {"min": height}, "backdrop": {"base": base}, **PLAIN, **more}


def test_the_page_shows_beside_a_narrow_content_and_more_on_a_wide_monitor():
    found = views([band("one", "2000px", "#445566")], width="1152px")
    assert found["desktop"]["home"]["visible"] == 0.2
    assert found["wide-monitor"]["home"]["visible"] == 0.55
    assert found["phone"]["home"]["visible"] == 0
    assert "beside the content" in found["desktop"]["home"]["sentence"]
    assert "cover it all" in found["phone"]["home"]["sentence"]


def test_the_page_shows_below_short_bands():
    found = views([band("one", "450px", "#445566")])["desktop"]["home"]
    assert found["visible"] == pytest.approx(0.5, abs=0.01)
    assert "below it" in found["sentence"]


def test_a_translucent_band_covers_nothing():
    assert views([band("one", "2000px", "#44556680")])["desktop"]["home"]["visible"] == 1


def test_a_covered_band_says_by_what():
    column = {"id": "col", "backdrop": {"base": "#000000"}, "blocks": [{"id": "s", "kind": "space", "height": "300px"}]}
    found = views([band("one", "300px", "#445566", columns=[column], content={"width": "100%"})])["desktop"]
    assert found["one"]["visible"] == 0
    assert "covered by column 1 of One" in found["one"]["sentence"]
    assert found["col"]["sentence"] == "All of it is to be seen."


def test_an_area_without_height_says_why_and_offers_one():
    found = views([band("one", "0px", "#445566")])["phone"]["one"]
    assert found["box"] is None
    assert "no height" in found["sentence"]
    assert found["cure"] == {"area": "one", "height": "320px"}


def test_a_hidden_band_says_so():
    hidden = band("one", "300px", "#445566", screens={"phone": {"visible": False}})
    found = views([hidden, band("two", "200px", "#ffffff")])
    assert "hidden on this screen" in found["phone"]["one"]["sentence"]
    assert found["desktop"]["one"]["visible"] == 1
