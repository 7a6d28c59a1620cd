"""Every limit: what stands at it is taken, what is one beyond it is refused with the figures."""

import io
import re
import zipfile
from pathlib import Path

import pytest

from garnetfern.core import limits
from garnetfern.core.document import read_site
from garnetfern.core.errors import DocumentError, GarnetfernError, PictureError, SiteFileError, StylesheetError
from garnetfern.core.picture.decode import examine, load
from garnetfern.core.picture.unfold import unfold
from garnetfern.core.picture.vector import svg_facts
from garnetfern.core.plain import read_json
from garnetfern.core.stylesheet import Sources, read_stylesheets
from garnetfern.core.stylesheet.given import given
from garnetfern.core.stylesheet.letters import Fonts
from garnetfern.core.stylesheet.pages import read_page
from garnetfern.service.files.site_file import unpack_site_file
from garnetfern.service.workspace.patch import patched
from tests.conftest import jpeg
from tests.hostile import saved, svg
from tests.sites import HEADING, colour_layer, document
from tests.stylesheets.saying import SIZES

HOUSE = Path(__file__).resolve().parents[2]
CLIP = '<clipPath id="c"><rect width="9" height="9"/></clipPath>'


def used(n):
    """What is used n times over, one from the other."""
    return svg("".join(f'<g id="a{k}"><use href="#a{k + 1}"/></g>' for k in range(n)) + f'<rect id="a{n}"/>')


def primitives(n):
    return svg('<filter id="f">' + '<feOffset dx="1"/>' * n + "</filter>")


def zipped(count=1, size=10, packed=zipfile.ZIP_STORED):
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w", packed) as archive:
        for n in range(count):
            archive.writestr(f"member {n}", bytes(size))
    return out.getvalue()


def site_of(**more):
    """A site with so many blocks, layers, stops, words."""
    blocks = [{**HEADING, "id": f"b{n}", "wording": more.get("wording", "Fern")} for n in range(more.get("blocks", 1))]
    stops = [{"colour": "#123456"}] * more.get("stops", 2)
    layers = [colour_layer("#123456") | {"id": f"l{n}"} for n in range(more.get("layers", 0))]
    if "stops" in more:
        layers.append({"kind": "gradient", "id": "g", "name": "G", "gradient": {"stops": stops}})
    return document(*layers, blocks=blocks)


def with_pages(count):
    site = document()
    page = site["pages"][0]
    band = {**page["bands"][0], "columns": []}
    site["pages"] = [{**page, "id": f"p{n}", "slug": f"p{n}", "bands": [band]} for n in range(count)]
    return site


@pytest.mark.parametrize(
    ("name", "limit", "make"),
    [
        ("DOCUMENT_AREAS", 6, lambda n: with_pages(n // 2) if n % 2 == 0 else with_pages(n // 2 + 1)),
        ("DOCUMENT_LAYERS", 5, lambda n: site_of(layers=n)),
        ("DOCUMENT_BLOCKS", 5, lambda n: site_of(blocks=n)),
        ("DOCUMENT_STOPS", 5, lambda n: site_of(stops=n)),
        ("DOCUMENT_WORDS", 5, lambda n: site_of(wording="fern " * n)),
    ],
)
def test_a_document_is_counted_as_a_whole(monkeypatch, name, limit, make):
    monkeypatch.setattr(limits, name, limit)
    assert read_site(make(limit))
    with pytest.raises(DocumentError, match=rf"{limit} .* at the most; this one has \d"):
        read_site(make(limit + 1))


NO_FONTS = Fonts({}, {})


def sheets(count):
    """A zip of so many stylesheets."""
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w") as archive:
        for n in range(count):
            archive.writestr(f"{n}.css", b"")
    return out.getvalue()


def test_rules_beyond_their_limit_are_told(monkeypatch):
    monkeypatch.setattr(limits, "STYLESHEET_RULES", 3)
    css = ".a{background:red}" * 2 + ".b{background:red}.c{background:red}"
    brought = read_stylesheets(Sources({"a.css": css}), SIZES)
    assert [a.selector for a in brought.areas] == [".a", ".b"]
    assert [(u.what, "too many rules" in u.why) for u in brought.unread] == [(".c", True)]


@pytest.mark.parametrize(("name", "most"), [("PAGE_UNFOLDED", 10), ("PAGE_UPLOAD", 10)])
def test_pages_that_unfold_to_too_much(monkeypatch, studio, name, most):
    monkeypatch.setattr(limits, name, most)
    monkeypatch.setattr("garnetfern.service.workspace.bringing.PAGE_UPLOAD", limits.PAGE_UPLOAD)
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w") as archive:
        archive.writestr("a.css", b"a" * 11)
    with pytest.raises(StylesheetError, match="Nothing was read"):
        given([("a.zip", out.getvalue())]) if name == "PAGE_UNFOLDED" else studio.bringing.read([("a.css", b"a" * 11)])


CASES = {
    "WHOLE_NUMBER": (lambda n: read_json(b"%d" % n), 1, DocumentError),
    "JSON_DEPTH": (lambda n: read_json(b"[" * n + b"]" * n), 1, DocumentError),
    "PATCH_STEPS": (lambda n: patched({"a": 1}, [{"op": "test", "path": "/a", "value": 1}] * n), 1, DocumentError),
    "SVG_REFERENCES": (lambda n: svg_facts(used(n), "d.svg"), 1, PictureError),
    "SVG_FILTERS": (lambda n: svg_facts(primitives(n), "d.svg"), 1, PictureError),
    "SITE_FILE_MEMBERS": (lambda n: unfold(zipped(n)), 1, SiteFileError),
    "STYLESHEET": (lambda n: given([("a.css", b" " * n)]), 1, StylesheetError),
    "STYLESHEET_DEPTH": (lambda n: given([("a.css", b"{" * n)]), 1, StylesheetError),
    "PAGE_MEMBERS": (lambda n: given([("a.zip", sheets(n))]), 1, StylesheetError),
    "PAGE_TAGS": (lambda n: read_page("<br>" * n, "a.html", Sources({}), SIZES, NO_FONTS), 1, StylesheetError),
    "SVG": (lambda n: svg_facts(svg("") + b" " * (n - len(svg(""))), "d.svg"), 1, PictureError),
    "PICTURE": (lambda n: examine(jpeg() + bytes(n - len(jpeg())), "p.jpg"), 1, PictureError),
}


@pytest.mark.parametrize("name", CASES)
def test_at_its_limit_it_is_taken_and_beyond_it_is_refused(name):
    action, step, error = CASES[name]
    most = getattr(limits, name)
    action(most)
    with pytest.raises(error) as refused:
        action(most + step)
    assert isinstance(refused.value, GarnetfernError)
    assert refused.value.message.rstrip().endswith((".", ")"))


def test_a_patch_may_not_make_the_document_grow_beyond_its_limit():
    def doubling(times):
        steps = [{"op": "copy", "from": "/a", "path": f"/a/{n}"} for n in range(times)]
        return patched({"a": {"x": "y" * 1000}}, steps, 1000)

    assert doubling(10)
    with pytest.raises(DocumentError, match="larger than 8 MB"):
        doubling(30)


def test_what_a_zip_says_of_itself_is_checked_before_it_is_unpacked(monkeypatch):
    monkeypatch.setattr(limits, "SITE_FILE_UNFOLDED", 100)
    assert unfold(zipped(10, 10))
    with pytest.raises(SiteFileError, match="It was not unfolded"):
        unfold(zipped(11, 10))
    monkeypatch.undo()
    tight = zipped(1, limits.MB, zipfile.ZIP_DEFLATED)
    assert limits.MB / len(tight) > limits.SITE_FILE_RATIO
    with pytest.raises(SiteFileError, match="200 times are the most"):
        unfold(tight)
    assert unfold(zipped(1, 64 * limits.KB, zipfile.ZIP_DEFLATED))


def test_a_site_file_has_a_greatest_size(monkeypatch, fonts):
    monkeypatch.setattr("garnetfern.service.files.site_file.SITE_FILE", 100)
    with pytest.raises(SiteFileError, match="at the most"):
        unpack_site_file(bytes(101), fonts.names())


def test_a_colour_profile_that_is_too_large_is_left_out(monkeypatch):
    from PIL import Image

    monkeypatch.setattr(limits, "PROFILE", 10)
    data = saved(Image.new("RGB", (4, 4), (9, 90, 9)), "PNG", icc_profile=b"x" * 11)
    assert load(data).getpixel((1, 1)) == (9, 90, 9)


@pytest.mark.parametrize(
    ("member", "said"),
    [
        ("a\\b", "no name"),
        ("../a", "no name"),
        ("/a", "no name"),
        ("a//b", "no name"),
        ("c:a", "no name"),
        ("x" * 300, "no name"),
    ],
)
def test_names_in_a_zip_are_plain(member, said):
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w") as archive:
        info = zipfile.ZipInfo("x")
        info.filename = member
        archive.writestr(info, b"")
    with pytest.raises(SiteFileError, match=said):
        unfold(out.getvalue())


def test_rare_ways_of_packing_and_names_that_differ_in_case_alone_are_refused():
    for packed in (zipfile.ZIP_BZIP2, zipfile.ZIP_LZMA):
        with pytest.raises(SiteFileError, match="stored or deflated"):
            unfold(zipped(1, 10, packed))
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w") as archive:
        archive.writestr("a", b"")
        archive.writestr("A", b"")
    with pytest.raises(SiteFileError, match="twice"):
        unfold(out.getvalue())


HELD_BY_WHAT_THEY_DO = {
    "HEADER_HOST": "test_guard: a host of 300 characters",
    "ROOM_MEMORY": "test_room: 4,000 MB are refused",
    "ROOM_FILES": "test_room: no file is opened",
    "ROOM_FILM_SECONDS": "test_film_room: a task that takes too long is ended",
    "ROOM_CODING_SECONDS": "test_film_room: a task that takes too long is ended",
    "ROOM_SECONDS": "test_room: what overruns is told",
    "ROOM_FONT_SECONDS": "test_room: what overruns is told",
    "FONT_UNFOLDED": "test_opened: 200 MB of zeros in WOFF and WOFF2",
    "LOG_BYTES": "the library's rotation",
    "LOG_FILES": "the library's rotation",
    "COPIES": "test_keeping: seven are kept",
}


def names():
    return [n for n in vars(limits) if n.isupper() and n not in ("KB", "MB")]


def test_every_limit_is_in_the_document_and_in_a_test():
    text = (HOUSE / "docs" / "reliability.md").read_text()
    listed = re.findall(r"^\| `([A-Z_]+)` \| ([^|]+) \|", text, re.MULTILINE)
    assert [n for n, _ in listed] == names()
    tests = "".join(f.read_text() for f in (HOUSE / "tests").rglob("*.py"))
    assert [n for n in names() if tests.count(n) == 0] == []
    figures = {n: re.sub(r"[^\d]", "", shown.split("(")[0]) for n, shown in listed}
    for name in names():
        value = getattr(limits, name)
        options = {f"{value:g}", str(value), str(value // limits.MB if isinstance(value, int) else value)}
        assert figures[name] in {re.sub(r"[^\d]", "", o) for o in options}, name
