"""Ligatures: one glyph, and a reading for each of its letters."""

import numpy as np
import pytest

from garnetfern.core.cache import Cache
from garnetfern.core.reading import situations
from garnetfern.core.reading.ligatures import single_letters
from garnetfern.core.resolve.shape import Setting, pen_positions, shape, shape_line
from garnetfern.demo.words import words
from garnetfern.fonts import shipped_fonts
from tests.sites import one_banner, reader_of

LIGATURES = {
    "Hanken Grotesk": ["fi", "ffi", "ffl"],
    "Young Serif": ["fi", "ffi", "ffl"],
    "Literata": ["Th", "fi", "ffi", "ffl"],
    "Bitter": ["ffl"],
    "Oswald": ["fi", "ffi", "ffl"],
}
WORDING = "The first office waffle"
FAMILIES = {family.name: family for family in shipped_fonts().families}


def lines_of(wording, **lettering):
    block = words("w", "text", wording, lettering.pop("font", "Literata"), "40px", "#ffffff")
    block["lettering"] |= lettering
    file = one_banner(blocks=[block])
    reader = reader_of(file)
    rest = next(s for s in situations(file.site, file.site.pages[0]) if s.id == "desktop:rest")
    (found,) = reader.resolve(file.site, file.site.pages[0], rest).blocks()
    return reader.glyphs, found.lines


def letters_of(wording, stroke=None, **lettering):
    glyphs, (line,) = lines_of(wording, **lettering)
    return line, list(single_letters(glyphs, line, stroke, Cache())), glyphs.letters(line, stroke)


@pytest.mark.parametrize(("family", "wanted"), LIGATURES.items())
def test_what_a_font_joins_is_known_with_where_it_ends(family, wanted):
    setting = Setting(FAMILIES[family], 400, 40)
    found = [joined for run in shape(WORDING, setting).runs for joined in run.joined]
    assert [WORDING[first:behind] for first, behind, _ in found] == wanted
    pens = pen_positions(WORDING, setting)
    for _, behind, end in found:
        assert end == pytest.approx(pens[behind], abs=0.01)


def test_a_line_cut_out_of_a_paragraph_keeps_them_at_their_places():
    setting = Setting(FAMILIES["Literata"], 400, 40)
    alone = shape("office waffle", setting).runs[0].joined
    cut = [joined for run in shape_line(WORDING, 10, len(WORDING), setting).runs for joined in run.joined]
    assert [(first, behind) for first, behind, _ in cut] == [(first, behind) for first, behind, _ in alone]
    assert [end for *_, end in cut] == pytest.approx([end for *_, end in alone], abs=0.1)


@pytest.mark.parametrize("stroke", [None, 2.0])
def test_every_letter_is_one_and_together_they_cover_what_the_glyphs_cover(stroke):
    line, single, whole = letters_of(WORDING, stroke)
    assert [line.text[n] for n, *_ in single] == [c for c in WORDING if c != " "]
    assert len(whole) < len(single)
    assert [left for _, left, *_ in single] == sorted(left for _, left, *_ in single)

    def covered(found):
        return sum(float(mask.coverage.sum()) for *_, mask in found)

    assert covered(single) == pytest.approx(covered(whole))


@pytest.mark.parametrize(
    ("wording", "lettering"),
    [("office", {"spacing": "1px"}), ("e\u0301\u0323 a\u0308", {}), ("A\u2603B", {}), ("fern", {})],
    ids=["spaced letters", "marks on letters", "a missing glyph", "nothing to join"],
)
def test_what_is_no_ligature_is_left_as_it_is(wording, lettering):
    _, single, whole = letters_of(wording, **lettering)
    assert single == whole


def test_it_is_cut_between_its_letters_and_nothing_of_it_is_lost():
    _, single, whole = letters_of("Th")
    (_, left, _, mask), (beside, middle, _, _) = whole[0], single[1]
    assert beside == 1
    assert left < middle < left + mask.coverage.shape[1]
    assert np.array_equal(np.hstack([m.coverage for *_, m in single]), mask.coverage)
