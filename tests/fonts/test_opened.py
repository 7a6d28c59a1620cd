"""Font files that somebody brings: what is found in them, what is kept, and what is refused with a sentence."""

import io

import pytest
from fontTools.ttLib import TTFont
from hypothesis import given, settings
from hypothesis import strategies as st

from garnetfern.core import limits
from garnetfern.core.errors import FontError
from garnetfern.core.fontfile import take_fonts
from garnetfern.core.fontfile.sample import build
from garnetfern.core.resolve.fonts import unpack_woff2
from garnetfern.sandbox import Room
from tests.fonts.hostile import HARD, HARM, collection, many, nested, os2, packed, with_table
from tests.referee.own_fonts import FILES, files_of


@pytest.fixture(scope="module")
def room():
    made = Room(1)
    yield made
    made.close()


@pytest.mark.parametrize(
    ("data", "tables"),
    [
        (build(), {"glyf"}),
        (build(outlines="CFF"), {"CFF "}),
        (packed("woff"), {"glyf"}),
        (packed("woff2"), {"glyf"}),
        (build(varies=True), {"glyf", "fvar", "gvar"}),
    ],
    ids=["TTF", "OTF", "WOFF", "WOFF2", "variable"],
)
def test_every_form_is_kept_as_woff2(data, tables):
    (taken,) = take_fonts(data, "fern.ttf")
    assert taken.data[:4] == b"wOF2"
    font = TTFont(io.BytesIO(unpack_woff2(taken.data)))
    assert tables <= set(font.keys())
    assert sorted(font.getBestCmap()) == [32, 65, 97]
    assert taken.facts.family == "Marrowby Sample"


def test_a_woff2_file_stays_as_it_is_to_the_byte():
    for package in FILES:
        for file in files_of(package)[:1]:
            (taken,) = take_fonts(file.read_bytes(), file.name)
            assert taken.data == file.read_bytes()


@pytest.mark.parametrize("data", [build(), build(outlines="CFF"), packed("woff"), collection(build())])
def test_the_same_file_comes_to_the_same_bytes_whenever_it_is_brought(data, monkeypatch):
    before = [font.data for font in take_fonts(data, "fern")]
    monkeypatch.setenv("SOURCE_DATE_EPOCH", "1900000000")  # what fontTools takes for the present moment
    assert [font.data for font in take_fonts(data, "fern")] == before


def test_a_collection_is_told_and_each_of_its_fonts_is_one():
    taken = take_fonts(collection(build(), build("Marrowby Second")), "ferns.ttc")
    assert [font.facts.family for font in taken] == ["Marrowby Sample", "Marrowby Second"]
    assert taken[1].facts.note == "Font 2 of the 2 in a collection."


def test_colours_are_left_out_and_said():
    (taken,) = take_fonts(with_table("SVG ", b"\0\0\0\0\0\x0a\0\0\0\0\0\0"), "fern.ttf")
    assert "left out" in taken.facts.note
    assert "SVG " not in TTFont(io.BytesIO(unpack_woff2(taken.data)))


@pytest.mark.parametrize(
    ("bits", "wanted"),
    [
        (0, "any"),
        (2, "none"),
        (4, "view"),
        (8, "edit"),
        (0x100, "any"),
        (0x200, "none"),
        (2 | 8, "edit"),
        (2 | 4, "view"),
    ],
)
def test_what_the_maker_allows_is_read_from_fs_type(bits, wanted):
    (taken,) = take_fonts(os2(build(), fsType=bits), "fern.ttf")
    assert taken.facts.embedding == wanted


@pytest.mark.parametrize(
    ("values", "wanted"),
    [
        ({"usWeightClass": 700}, {"least_weight": 700, "most_weight": 700}),
        ({"usWeightClass": 4}, {"least_weight": 400}),
        ({"usWeightClass": 0}, {"least_weight": 400}),
        ({"usWeightClass": 9000}, {"most_weight": 1000}),
        ({"fsSelection": 1}, {"italic": True}),
        ({"usWidthClass": 3}, {"family": "Marrowby Sample Condensed"}),
        ({"sFamilyClass": 0x0100}, {"category": "serif"}),
        ({"sFamilyClass": 0x0800}, {"category": "sans-serif"}),
        ({"sFamilyClass": 0x0A00}, {"category": "handwriting"}),
    ],
)
def test_what_a_font_says_of_its_style(values, wanted):
    (taken,) = take_fonts(os2(build(), **values), "fern.ttf")
    assert {name: getattr(taken.facts, name) for name in wanted} == wanted


def test_axes_and_named_instances_are_told():
    (taken,) = take_fonts(build(varies=True), "fern.ttf")
    facts = taken.facts
    assert [(axis.tag, axis.least, axis.usual, axis.most) for axis in facts.axes] == [
        ("wght", 300, 400, 700),
        ("wdth", 75, 100, 125),
    ]
    assert (facts.least_weight, facts.most_weight) == (300, 700)
    assert [(one.name, one.weight, one.axes) for one in facts.instances] == [("Narrow Bold", 700, {"wdth": 75.0})]


def test_a_name_that_would_have_to_be_escaped_is_made_plain():
    (taken,) = take_fonts(build('Fern"</style>\\{}; \u201cGlass\u201d'), "fern.ttf")
    assert taken.facts.family == "Fern /style \u201cGlass\u201d"


@pytest.mark.parametrize("name", HARM)
def test_what_does_harm_is_refused_with_a_sentence(room, name):
    with pytest.raises(FontError) as refused:
        room.fonts(HARM[name](), "fern.ttf")
    assert refused.value.message.startswith("fern.ttf ")
    assert refused.value.message.endswith("othing was changed.")


@pytest.mark.parametrize("name", HARD)
def test_what_is_odd_and_harmless_is_taken(room, name):
    assert room.fonts(HARD[name](), "fern.ttf")


def test_a_font_of_many_letters_is_drawn_whole(room):
    (taken,) = room.fonts(many(9_000), "many.ttf")
    assert taken.facts.family == "Many"


@pytest.mark.parametrize(
    ("limit", "good", "bad"),
    [
        ("FONT_NESTING", lambda n: nested(n - 1), lambda n: nested(n)),
        ("FONT_POINTS", lambda n: nested(1, n // 60), lambda n: nested(1, n // 60 + 1)),
        ("FONT_MEMBERS", lambda n: collection(*[build()] * n), lambda n: collection(*[build()] * (n + 1))),
    ],
)
def test_what_stands_at_a_limit_is_taken_and_one_beyond_it_is_not(limit, good, bad):
    most = getattr(limits, limit)
    assert take_fonts(good(most), "fern.ttf")
    with pytest.raises(FontError, match=f"{most:,}"):
        take_fonts(bad(most), "fern.ttf")


@settings(max_examples=120, deadline=None)
@given(
    flips=st.lists(st.tuples(st.integers(0, 5000), st.integers(1, 255)), min_size=1, max_size=12),
    form=st.sampled_from(["TTF", "OTF", "WOFF2", "variable"]),
    cut=st.integers(0, 400),
)
def test_whatever_is_turned_in_a_font_it_is_taken_or_refused(room, flips, form, cut):
    whole = {"TTF": build(), "OTF": build(outlines="CFF"), "WOFF2": packed("woff2"), "variable": build(varies=True)}
    data = bytearray(whole[form])
    for at, by in flips:
        data[at % len(data)] ^= by
    data = data[: max(1, len(data) - cut)] if cut < 40 else data
    try:
        for taken in room.fonts(bytes(data), "fern.ttf"):
            assert taken.facts.least_weight <= taken.facts.most_weight
    except FontError as error:
        assert error.message.startswith("fern.ttf ")
