"""Families by weight, own ones before shipped ones, and what stands in for them."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from garnetfern.core.document import FontFile
from garnetfern.core.fontfile import take_fonts
from garnetfern.core.fontfile.sample import build
from garnetfern.core.resolve.book import SAMPLE, SAMPLED
from garnetfern.core.resolve.fonts import nearest
from garnetfern.core.resolve.shape import Setting, shape
from garnetfern.fonts import shipped_fonts
from tests.referee.own_fonts import own_book

FONTS = shipped_fonts()


@pytest.mark.parametrize(
    ("wanted", "there", "shown"),
    [
        (400, (400, 700), 400),
        (400, (500, 300), 500),
        (400, (600, 300), 300),
        (450, (400, 500), 500),
        (500, (400, 600), 400),
        (500, (600, 700), 600),
        (300, (200, 400), 200),
        (300, (400, 700), 400),
        (600, (500, 700), 700),
        (900, (400, 700), 700),
        (100, (400,), 400),
    ],
)
def test_the_nearest_weight_is_that_of_css_fonts_4(wanted, there, shown):
    assert nearest(wanted, tuple((weight, weight) for weight in there)) == shown


@given(wanted=st.integers(1, 1000), ends=st.tuples(st.integers(1, 1000), st.integers(1, 1000)))
def test_in_one_range_the_nearest_weight_is_the_end_of_it(wanted, ends):
    least, most = sorted(ends)
    assert nearest(wanted, ((least, most),)) == min(max(wanted, least), most)


def own(family, data=None, **more):
    (taken,) = take_fonts(data or build(family), "a font")
    facts = {**vars(taken.facts), "family": family, **more}
    entry = FontFile(id="own", name="own.ttf", hash=taken.hash, bytes=len(taken.data), **facts)
    return entry, {taken.hash: taken.data}


def test_an_own_family_stands_before_a_shipped_one_of_its_name():
    entry, held = own("Karla")
    base = FONTS.with_own(held.__getitem__)
    book = base.with_files([entry])
    assert book.family("Karla").own
    assert not base.family("Karla").own
    assert len(book.families) == len(base.families)
    assert book.file(book.family("Karla").faces[0]) == held[entry.hash]
    assert book.file(book.family("Bitter").faces[0])[:4] == b"wOF2"


def test_the_same_files_give_the_same_book_and_none_the_shipped_one():
    entry, held = own("Own")
    base = FONTS.with_own(held.__getitem__)
    book = base.with_files([entry])
    assert base.with_files([entry.model_copy(update={"name": "other.ttf"})]) is book
    assert book.with_files([entry]) is book
    assert book.with_files([]) is base


def test_letters_of_an_own_font_are_drawn_by_whoever_knows_its_hash():
    entry, held = own("Own")
    base = FONTS.with_own(held.__getitem__)
    face = base.with_files([entry]).family("Own").faces[0]
    assert base.face(face.id).data == face.data


@pytest.mark.parametrize("family", [f.name for f in own_book().families])
@pytest.mark.parametrize("weight", [400, 700])
def test_a_stand_in_is_as_wide_on_the_whole_and_keeps_the_lines(family, weight):
    book = own_book()
    whole = book.family(family)
    found = book.standing_in(family, weight)
    ours = shape(SAMPLE, Setting(whole, whole.weight(weight), SAMPLED, 0.01)).width
    theirs = Setting(found.family, found.weight, SAMPLED, 0.01)
    assert shape(SAMPLE, theirs).width == pytest.approx(ours, rel=0.02)
    assert theirs.ascent_descent == Setting(whole, whole.weight(weight), SAMPLED).ascent_descent


def test_axes_are_set_within_what_the_font_has():
    entry, held = own("Own", build("Own", varies=True))
    face = FONTS.with_own(held.__getitem__).with_files([entry]).family("Own").faces[0]
    assert face.axes(400, 20.0) == (400.0, 100.0)
    assert face.axes(950, 20.0, (("wdth", 10.0),)) == (700.0, 75.0)
    assert face.set_to(face.axes(350, 20.0)) == {"wght": 350.0, "wdth": 100.0}
