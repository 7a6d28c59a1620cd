"""What is emitted for areas, exceptions, joins, movement and pictures."""

import re

import pytest

from garnetfern.core.css import Urls, emit_page
from garnetfern.core.css.rules import difference
from garnetfern.core.document import read_site
from garnetfern.demo.words import words
from garnetfern.fonts import shipped_fonts
from tests.conftest import jpeg
from tests.sites import document, image_layer, with_picture

FONTS = shipped_fonts()


def emitted(*layers, blocks=None, page=None, **band):
    plain = document(*layers, **({"blocks": blocks} if blocks is not None else {}), **band)
    plain["pages"][0] |= page or {}
    site = with_picture(plain, jpeg(1600, 1000)).site
    return emit_page(site, site.pages[0], FONTS, Urls())


def declared(css: str, selector: str) -> list[str]:
    return re.findall(rf"{re.escape(selector)} \{{([^}}]*)\}}", css)


@pytest.mark.parametrize(
    ("settings", "expected"),
    [
        ({"size": "stretch"}, "background-size: 100% 100%"),
        ({"size": "own", "width": "30%"}, "background-size: 30% auto"),
        ({"size": "own", "height": "5rem"}, "background-size: auto 5rem"),
        ({"repeat": ["repeat", "no-repeat"]}, "background-repeat: repeat no-repeat"),
        ({"repeat": ["space", "space"]}, "background-repeat: space;"),
        ({"attachment": "fixed"}, "background-attachment: fixed"),
        (
            {"position": {"side": "right", "across": "20px", "end": "bottom", "down": "10%"}},
            "background-position: right 20px bottom 10%",
        ),
        ({"focal": [0.25, 0.75]}, "background-position: 25% 75%"),
    ],
)
def test_settings_of_a_picture_are_said_in_css(settings, expected):
    assert any(expected in rule for rule in declared(emitted(image_layer(**settings)).css, ".gf-photo"))


def test_only_what_differs_is_said_in_a_screen_s_range():
    css = emitted(image_layer(screens={"phone": {"focal": [0.1, 0.2]}})).css
    media = re.search(r"@media \(min-width: 0px\) and \(max-width: 599\.98px\) \{(.*?)\n\}", css, re.DOTALL)
    assert media is not None
    assert media[1].split() == [".gf-photo", "{", "background-position:", "10%", "20%;", "}"]
    assert "599.98" not in emitted(image_layer()).css


def test_what_is_hidden_on_a_screen_is_there_on_the_others():
    heading = words("w", "heading", "Ferns", "Karla", "20px", "#000000", level=1, screens={"phone": {"visible": False}})
    page = emitted(blocks=[heading])
    assert "gf-w" in page.body
    assert "display: none" in declared(page.css, ".gf-w")[-1]
    assert "display: block" in declared(page.css, ".gf-w")[0]


def test_what_is_hidden_everywhere_is_not_emitted():
    heading = words("w", "heading", "Ferns", "Karla", "20px", "#000000", level=1, visible=False)
    assert "gf-w" not in emitted(blocks=[heading]).body


def test_a_difference_names_what_is_gone():
    base = {".a": [("color", "red"), ("opacity", "0.5")], ".b": [("gap", "1px")]}
    assert difference(base, {".a": [("color", "blue")]}) == {
        ".b": [("display", "none")],
        ".a": [("color", "blue"), ("opacity", "initial")],
    }


def test_a_slower_picture_moves_without_script_and_not_for_those_who_ask_for_less():
    page = emitted(image_layer(attachment="slower", rate=0.5))
    assert "view-timeline: --gf-banner block" in page.css
    assert "animation-timeline: --gf-banner" in page.css
    assert "inset-block: calc((100% + 100vh) * -0.25)" in page.css
    assert page.css.index("prefers-reduced-motion: no-preference") < page.css.index("animation-timeline")
    assert "<script" not in page.html("")


def test_a_join_spans_the_rows_of_its_bands():
    plain = document()
    bands = plain["pages"][0]["bands"]
    bands.insert(0, {"id": "top", "name": "Top", "role": "header"})
    plain["pages"][0]["joins"] = [{"id": "j", "first": "top", "last": "banner", "backdrop": {"base": "#123456"}}]
    site = read_site(plain, FONTS.names())
    page = emit_page(site, site.pages[0], FONTS, Urls())
    assert "grid-row: 1 / 3" in declared(page.css, ".gf-j")[0]
    assert "grid-row: 1;" in declared(page.css, ".gf-top")[0]
    assert page.body.index("gf-j") < page.body.index("<header")


@pytest.mark.parametrize(
    ("height", "width", "expected"),
    [
        ({"min": "40vh"}, None, "min-block-size: 40vh"),
        ({"min": "10px", "proportion": 2}, None, "min-block-size: max(10px, 100vw / 2)"),
        ({"min": "10px", "proportion": 2}, "1000px", "min-block-size: max(10px, min(100vw, 1000px) / 2)"),
    ],
)
def test_heights_are_said_as_least_heights(height, width, expected):
    assert expected in declared(emitted(height=height, page={"width": width}).css, ".gf-banner")[0]


def test_a_menu_is_a_list_of_links_with_everything_escaped():
    block = words("m", "menu", "", "Karla", "20px", "#000000")
    block["items"] = [{"wording": 'Tea & "cake" <b>', "link": "https://elsewhere.example/?a=1&b=2"}]
    body = emitted(blocks=[block]).body
    assert '<a href="https://elsewhere.example/?a=1&amp;b=2">Tea &amp; "cake" &lt;b&gt;</a>' in body


def test_a_picture_block_says_its_size_and_comes_in_the_sizes_screens_need():
    block = {"id": "p", "kind": "picture", "asset": "picture", "wording": 'A "fern"'}
    page = emitted(blocks=[block])
    image = re.search(r"<img[^>]*>", page.body)
    assert image is not None
    for part in ('width="1600"', 'height="1000"', 'alt="A &quot;fern&quot;"', 'loading="lazy"', " 2x"):
        assert part in image[0]
    assert "aspect-ratio: 1600 / 1000" in declared(page.css, ".gf-p")[0]
    assert page.body.count("<source") >= 1


def test_the_banner_s_picture_is_fetched_early_once_for_each_range():
    preload = emitted(image_layer()).preload
    lines = preload.strip().split("\n")
    assert all('rel="preload" as="image"' in line for line in lines)
    assert len({re.search(r'media="([^"]*)"', line)[1] for line in lines}) == len(lines)
    assert emitted().preload == ""
    assert emitted(image_layer(), role="band").preload == ""
