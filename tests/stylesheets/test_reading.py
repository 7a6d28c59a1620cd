"""Somebody's stylesheet, read: layers as they were meant, what differs by width, and everything that could not be."""

import json
import time
from pathlib import Path

import pytest
from hypothesis import given as drawn
from hypothesis import settings
from hypothesis import strategies as st

from garnetfern.core.errors import StylesheetError
from garnetfern.core.stylesheet import Sources, read_stylesheets
from garnetfern.core.stylesheet.given import given
from garnetfern.core.stylesheet.matching import match
from garnetfern.core.stylesheet.pages import read_page
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.brought import fonts_known

from .saying import SIZES, read, said, zipped

BY_HAND = json.loads((Path(__file__).parent.parent / "tables" / "stylesheets.json").read_text())
FONTS = fonts_known(shipped_fonts())


def test_the_table_is_as_long_as_it_should_be():
    assert len({row["name"] for row in BY_HAND}) == len(BY_HAND) >= 60


@pytest.mark.parametrize("row", BY_HAND, ids=[row["name"] for row in BY_HAND])
def test_stylesheets_of_several_decades(row):
    assert {area.selector: said(area) for area in read(row["css"]).areas} == row["areas"]


UNREAD = [
    (".a { background: element(#b) }", (1, 6), "element() is not read"),
    (".a { background: cross-fade(url(a.png), url(b.png)) }", (1, 6), "cross-fade() is not read"),
    (".a {\n  color: red;\n  background: nonsense;\n}", (3, 3), "nonsense has no place"),
    (".a { background: var(--b) }", (1, 6), "--b is not set"),
    (":root { --a: var(--b); --b: var(--a) } .x { background: var(--a) }", (1, 45), "goes round in a circle"),
    ("@import url(https://elsewhere.test/a.css);", (1, 1), "it lies elsewhere; nothing is fetched"),
    ("@import 'not-there.css';", (1, 1), "did not come with the others"),
    ("@media (orientation: landscape) { .a { background: red } }", (1, 1), "by width here, not by orientation"),
    ("@media (prefers-color-scheme: dark) { .a { background: red } }", (1, 1), "not by prefers-color-scheme"),
    ("@container (min-width: 3px) { .a { background: red } }", (1, 1), "depends on the rest of the page"),
    (".a:hover { background: red }", (1, 1), "it holds in a state alone"),
    ("{ background: red }", (1, 1), "no selector"),
    (".a { background: red; color; margin: 0 }", (1, 28), "Stop token reached"),
    (".a { background: radial-gradient(20px 30px, red, blue) }", (1, 6), "of its own size"),
    (".a { background: linear-gradient(to top right, red, blue) }", (1, 6), "depends on the area's shape"),
    (".a { background: url(a.png) 10ch 0 }", (1, 6), "the unit ch is not known here"),
    (".a { background: red; opacity: .5 }", (1, 23), "it fades the words together"),
    (".a { background: red; background-clip: text }", (1, 6), "inside letters is not there"),
    (".a { background: red; height: 50% }", (1, 23), "depends on what is around it"),
    (".a { background: red; padding: 10px 20px 30px }", (1, 23), "its two sides differ"),
]


@pytest.mark.parametrize(("css", "place", "why"), UNREAD)
def test_what_is_not_read_is_told_with_its_place(css, place, why):
    brought = read(css)
    found = [*brought.unread, *(u for area in brought.areas for u in area.unread)]
    assert any((u.line, u.column) == place and why in u.why for u in found), found
    assert all(u.sheet == "style.css" for u in found)


LENGTHS = [
    ("10px", "10px"), ("1.5in", "144px"), ("3pt", "4px"), ("2.54cm", "96px"), ("25.4mm", "96px"), ("101.6q", "96px"),
    ("50dvh", "50vh"), ("10svw", "10vw"), ("0", "0px"), ("calc(2 * 3px + 1em)", "clamp(0px, 6px + 1em, 20000px)"),
    ("calc((10px + 6px) / 4)", "4px"), ("min(90vh, 600px)", "clamp(0px, 90vh, 600px)"),
    ("max(20rem, 50vh)", "clamp(50vh, 20rem, 20000px)"),
    ("clamp(1rem, 2vw + 1rem, 4rem)", "clamp(1rem, 2vw + 1rem, 4rem)"),
    ("max(10px, min(4vw, 60px))", "clamp(10px, 4vw, 60px)"),
    ("calc(100vh - 80px)", "clamp(0px, 100vh - 80px, 20000px)"),
]  # fmt: skip


@pytest.mark.parametrize(("css", "expected"), LENGTHS)
def test_heights(css, expected):
    (area,) = read(f".a {{ background: red; min-height: {css} }}").areas
    assert area.band.height.min == expected


def test_exceptions_by_width():
    (area,) = read(
        ".h { background: url(a.jpg) center / cover; min-height: 500px; padding: 4rem 2rem }"
        "@media (max-width: 700px) { .h { background-position: 20% 0; min-height: 300px; padding: 1rem } }"
        "@media (max-width: 400px) { .h { background-size: contain } }"
    ).areas
    (layer,) = area.band.backdrop.layers
    assert layer.screens["phone"].focal == (0.2, 0.0)
    assert layer.screens["phone"].size == "contain"
    assert set(layer.screens) == {"phone"}
    assert area.band.screens["phone"].height.min == "300px"
    assert (area.band.screens["phone"].padding.block, area.band.padding.inline) == ("1rem", "2rem")


def test_what_cannot_differ_by_width_is_told():
    (area,) = read(
        ".h { background: url(a.jpg) } @media (max-width: 700px) { .h { background-image: url(b.jpg) } }"
    ).areas
    assert ["phone" in u.what and "cannot differ" in u.why for u in area.unread] == [True]


def test_imports_within_what_was_given():
    brought = read(
        "@import 'base.css' layer(base); @import url(wide.css) (min-width: 900px); .a { background: lime }",
        **{"base.css": ".a { background: red } .b { background: url(x/y.png) }", "wide.css": ".c { background: blue }"},
    )
    assert {a.selector: (said(a), a.sheet, a.line) for a in brought.areas} == {
        ".a": ("base #00ff00", "base.css", 1),
        ".b": ("x/y.png natural at 0% 0% repeat repeat", "base.css", 1),
        ".c": ("base #0000ff", "wide.css", 1),
    }
    round_and_round = read("@import 'a.css'; .x { background: red }", **{"a.css": "@import 'style.css';"})
    assert len(round_and_round.areas) == 1


PAGE = """<!doctype html><title>Ferns</title><link rel="stylesheet" href="css/s.css?v=2"><style>h1 { margin: 0 }</style>
<header class="top">Marrowby</header>
<section class="hero"><div><h1>Ferns under<br>old glass</h1><p>Open <b>daily</b></p><a class="go" href="#">Come in</a>
</div></section>
<div class="plain" style="background: #eee"><h2>No picture</h2></div>
<article style="background-image: linear-gradient(#000a, #000a), url(img/b.jpg); color: white"><h2>Fern fair</h2>
</article>
"""
SHEET = """
body { font: 18px/1.5 'Literata', serif; color: #222 }
.hero { background: url(../img/a.jpg) center / cover; color: #fff; min-height: 60vh; display: flex;
  align-items: center }
.hero h1 { font-size: 2.5em; letter-spacing: -.01em } .hero p { font-size: 120%; text-transform: uppercase }
.go { background: gold; color: #000 } #nobody .hero { background: none }
@media (max-width: 600px) { .hero h1 { font-size: 28px } }
"""


def page(html=PAGE, **sheets):
    return read_page(html, "index.html", Sources({"css/s.css": SHEET, **sheets}), SIZES, FONTS)


def test_a_page_with_its_words():
    hero, fair = page().areas
    assert (hero.selector, said(hero), said(fair)) == (
        ".hero", "../img/a.jpg cover at 50% 50%", "img/b.jpg natural at 0% 0% repeat repeat | #000000 66.67%",
    )  # fmt: skip
    assert (hero.band.height.min, hero.band.content.stand) == ("60vh", "center")
    h1, text, button = hero.band.columns[0].blocks
    assert (h1.kind, h1.level, h1.wording) == ("heading", 1, "Ferns under\nold glass")
    assert (h1.lettering.font, h1.lettering.size, h1.lettering.weight) == ("Literata", "45px", 700)
    assert (h1.lettering.colour, h1.lettering.spacing, h1.lettering.line) == ("#ffffff", "-0.01em", 1.5)
    assert h1.screens["phone"].size == "28px"
    assert (text.wording, text.lettering.size, text.lettering.capitals) == ("Open daily", "21.6px", True)
    assert (button.wording, button.plate.backdrop.base, button.lettering.colour) == ("Come in", "#ffd700", "#000000")
    assert [b.wording for b in fair.band.blocks()] == ["Fern fair"]
    assert (hero.sheet, hero.line, fair.sheet, fair.line) == ("css/s.css", 3, "index.html", 6)


def test_a_page_whose_stylesheet_is_missing():
    brought = read_page('<link rel=stylesheet href="gone.css"><h1>Ferns</h1>', "a.html", Sources({}), SIZES, FONTS)
    assert brought.areas == ()
    assert "did not come with the page" in brought.unread[0].why


def test_what_stretches_of_words_are_is_read():
    html = """<style>a { color: #7a1f2b; text-decoration: none } .under { text-decoration: underline }
      .gold { color: gold }</style><div style="background: linear-gradient(red, blue); color: #111">
      <p>Come to
         the <strong>fern <em>fair </em></strong>or <a href="room.html"> read</a>,<br><span class=gold>free</span> of
         <a class=under href="fee.html">a <i>fee</i></a> <a href="javascript:alert(1)">here</a> &amp; <b>now</b></p>
      <h2><a href="all.html">All of it</a></h2></div>"""
    (area,) = read_page(html, "a.html", Sources({}), SIZES, FONTS).areas
    text, heading = area.band.columns[0].blocks
    assert text.wording == "Come to the fern fair or read,\nfree of a fee here & now"
    told = {text.wording[p.start : p.end]: p for p in text.phrases}
    assert list(told) == ["fern", "fair", "read", "free", "a", "fee", "here", "now"]
    assert (told["fern"].strong, told["fern"].emphasis) == (True, False)
    assert (told["fair"].strong, told["fair"].emphasis) == (True, True)
    assert (told["read"].link, told["read"].underlined, told["read"].colour) == ("room.html", False, "#7a1f2b")
    assert (told["fee"].link, told["fee"].underlined, told["fee"].emphasis) == ("fee.html", True, True)
    assert told["free"].colour == "#ffd700"
    # an address that is none leaves the colour of its words
    assert (told["here"].link, told["here"].colour) == (None, "#7a1f2b")
    assert (heading.link, heading.phrases) == ("all.html", ())


def test_a_font_that_is_not_here_is_told():
    html = '<div style="background: linear-gradient(red, blue); font-family: Comic Fern, cursive"><p>Ferns</p></div>'
    (area,) = read_page(html, "a.html", Sources({}), SIZES, FONTS).areas
    assert [(u.why, u.nearest) for u in area.unread] == [("the font Comic Fern is not here", "Caveat")]


NAMES = {"img/fern close.jpg": 1, "shelf.png": 2, "Gläs (1).webp": 3, "a/logo.svg": 4, "b/logo.png": 5}


@pytest.mark.parametrize(
    ("address", "name", "said"),
    [
        ("../img/fern%20close.jpg", "img/fern close.jpg", ""),
        ("/x/shelf.png?v=3#a", "shelf.png", ""),
        ("fern-close.webp", "img/fern close.jpg", "fern-close.webp is called fern close.jpg here"),
        ("FERN_CLOSE.JPG", "img/fern close.jpg", "FERN_CLOSE.JPG is called fern close.jpg here"),
        ("glas-1.jpg", "Gläs (1).webp", "glas-1.jpg is called Gläs (1).webp here"),
        ("fern-close (2).png", "img/fern close.jpg", "fern-close (2).png is called fern close.jpg here"),
        ("shelf-300x200.png", "shelf.png", "shelf-300x200.png is called shelf.png here"),
        ("shelf - Copy.png", "shelf.png", "shelf - Copy.png is called shelf.png here"),
        ("shelf-2.png", None, "there is no picture shelf-2.png"),
        ("logo.gif", None, "2 pictures could be logo.gif"),
        ("https://cdn.test/shelf.png", "shelf.png", "lies elsewhere; the one of that name was taken"),
        ("https://cdn.test/other.png", None, "lies elsewhere, and nothing is fetched"),
        ("data:image/png;base64,AAAA", None, "written in the stylesheet itself"),
        ("nothing.png", None, "there is no picture nothing.png"),
    ],
)
def test_pictures_by_name(address, name, said):
    found = match(address, NAMES)
    assert found.name == name
    assert said in found.forgiven
    assert bool(said) == bool(found.forgiven)


def test_a_zip_of_a_page():
    data = zipped(**{"site/index.html": PAGE, "site/css/s.css": SHEET, "site/img/a.jpg": b"x", "site/notes.txt": "n",
                     "__MACOSX/site/x.css": "y"})  # fmt: skip
    found = given([("site.zip", data)])
    assert (list(found.pages), list(found.sheets), list(found.pictures)) == (
        ["index.html"],
        ["css/s.css"],
        ["img/a.jpg"],
    )
    assert found.others == ["notes.txt"]


HOSTILE = {
    "nested": b"a{" * 10_000,
    "brackets": b".a{background:" + b"(" * 10_000 + b"}",
    "large": b"a" * (100 * 1024 * 1024),
    "no text": b"\x00\x01\x02" * 100,
    "a way out": zipped(**{"../../etc/a.css": "a{}"}),
    "an absolute path": zipped(**{"/etc/a.css": "a{}"}),
    "no stylesheet": zipped(**{"a.txt": "a"}),
    "broken": b"PK\x03\x04" + b"\x00" * 50,
}


@pytest.mark.parametrize("name", HOSTILE)
def test_hostile_files_get_a_sentence(name):
    ending = "css" if not HOSTILE[name].startswith(b"PK") else "zip"
    begin = time.process_time()
    with pytest.raises(StylesheetError, match="Nothing was read"):
        given([(f"a.{ending}", HOSTILE[name])])
    assert time.process_time() - begin < 30  # it ends; how fast is the benchmarks' concern


STRANGE = [
    ".a { width: expression(alert(1)); background: red }",
    ".a { background: url(javascript:alert(1)) }",
    ".a { background: url(file:///etc/passwd) }",
    ".a { background: url('\x07\x1b[31m.png') }",
    ".a { behavior: url(x.htc); background: red }",
    ".a { background: var(--v0);" + "".join(f"--v{n}: var(--v{n + 1}) var(--v{n + 1});" for n in range(60)) + "}",
    ".a" + ".b" * 5000 + " { background: red }",
    "@media " + "(min-width: 1px) and " * 3000 + "(min-width: 1px) { .a { background: red } }",
    "".join(f"@import 'a{n}.css';" for n in range(2000)),
    "@supports " + "not (" * 50 + "(color: red)" + ")" * 50 + " { .a { background: red } }",
]  # fmt: skip


@pytest.mark.parametrize("css", STRANGE, ids=range(len(STRANGE)))
def test_strange_stylesheets_are_read_as_far_as_they_go(css):
    brought = read(css)
    for area in brought.areas:
        assert not any(
            address.startswith("javascript") and match(address, NAMES).name for address in area.pictures.values()
        )
        assert area.band.name.isprintable()


@settings(max_examples=120)
@drawn(st.text("{}()[];:,.#@&'\"/\\*!<>-=abz09% \n\t", max_size=120))
def test_any_text_is_read_or_told(text):
    brought = read_stylesheets(Sources({"s.css": text + ".a { background: red }"}), SIZES)
    assert all(u.line >= 1 and u.column >= 1 for u in brought.unread)


@settings(max_examples=80)
@drawn(st.text(st.sampled_from("<>/=\"' abhp1!-&;#\n"), max_size=200))
def test_any_page_is_read_or_told(text):
    try:
        read_page(text, "a.html", Sources({"s.css": "* { background: linear-gradient(red, blue) }"}), SIZES, FONTS)
    except StylesheetError as error:
        assert "Nothing was read" in error.message
