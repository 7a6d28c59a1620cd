"""Lines of text: nothing is lost, everything fits, and breaks stand where they may."""

import json
from pathlib import Path

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from garnetfern.core.draw.glyphs import Glyphs
from garnetfern.core.resolve.breaks import break_opportunities
from garnetfern.core.resolve.fonts import parse_unicode_range, used_size
from garnetfern.core.resolve.lengths import Scale, Viewport, ceiled, layout_unit, line_height
from garnetfern.core.resolve.lines import broken_lines, set_lines
from garnetfern.core.resolve.shape import Setting, pen_positions, shape, shape_line
from garnetfern.fonts import shipped_fonts
from tests.referee.banners import WORDINGS

SEEN = json.loads((Path(__file__).parents[1] / "tables" / "lines.json").read_text())
"""What the browser did: scripts/line_tables.py."""

families = st.sampled_from(shipped_fonts().families)


def setting(family="Karla", size=20.0, weight=400):
    return Setting(shipped_fonts().family(family), weight, size)


@settings(max_examples=60, deadline=None)
@given(st.sampled_from(WORDINGS), families, st.floats(10, 90), st.floats(20, 1500))
def test_no_word_is_lost_and_every_line_fits(wording, family, size, room):
    found = Setting(family, family.weight(400), size)
    broken = broken_lines(wording, room, found)
    lines = [text for _, text, _ in broken]
    assert "".join(lines).replace(" ", "") == wording.replace(" ", "").replace("\n", "")
    whole = [shape(paragraph, found) for paragraph in wording.split("\n")]
    safe = not any(len(w.unsafe) for w in whole)
    for _, text, shaped in broken:
        # where nothing in a line can be cut without shaping it anew, the browser goes by the paragraph's pens alone
        assert len(text) == 1 or shaped.width <= room + (1 / 64 if safe else 0.1 * size)
        assert all(0 <= c < len(text) for run in shaped.runs for c in run.clusters)


@settings(max_examples=40, deadline=None)
@given(st.sampled_from(WORDINGS), families, st.floats(60, 900))
def test_more_room_never_needs_more_lines(wording, family, room):
    found = Setting(family, family.weight(400), 24.0)
    assert len(broken_lines(wording, room * 1.3, found)) <= len(broken_lines(wording, room, found))


@pytest.mark.parametrize(
    ("text", "pieces"),
    [
        ("two words", ["two ", "words"]),
        ("well-kept", ["well-", "kept"]),
        ("at -4 degrees", ["at ", "-4 ", "degrees"]),
        ("01-555", ["01-", "555"]),
        ("either/or", ["either/or"]),
        ("what?yes", ["what?", "yes"]),
        ("a\u00a0b c", ["a\u00a0b ", "c"]),
        ("spores – pots", ["spores ", "– ", "pots"]),
        ("one—two", ["one", "—", "two"]),
        ("(see below)", ["(see ", "below)"]),
    ],
)
def test_breaks_stand_where_the_browser_breaks(text, pieces):
    ends = break_opportunities(text)
    starts = (0, *ends[:-1])
    assert [text[a:b] for a, b in zip(starts, ends, strict=True)] == pieces


def test_words_are_as_wide_as_in_the_browser():
    assert len(SEEN["widths"]) > 200
    for row in SEEN["widths"]:
        found = Setting(shipped_fonts().family(row["family"]), row["weight"], row["size"], row["spacing"])
        assert ceiled(shape(row["text"], found).width) == pytest.approx(row["width"], abs=1 / 64), row


def test_lines_break_beside_dashes_as_in_the_browser():
    assert len(SEEN["dashes"]) > 800
    for text, seen in SEEN["dashes"]:
        assert list(break_opportunities(text)[:-1]) == seen, text


def test_letters_stand_on_the_row_that_the_browser_gives_them():
    glyphs = Glyphs(shipped_fonts())
    for row in SEEN["baselines"]:
        (line,), _ = set_lines("H", setting(size=row["size"]), row["size"] * 1.5, 100, "start", 0, row["start"])
        ((_, _, top, mask),) = glyphs.letters(line)
        assert top + int(np.flatnonzero(mask.coverage.max(axis=1) > 0.5)[-1]) == row["foot"], row


def test_behind_a_break_inside_a_word_a_hyphen_before_a_digit_is_a_minus():
    found = setting(size=20)
    wording = "aaa-55555"
    room = shape("aaa-", found).width - 0.5
    lines = [text for _, text, _ in broken_lines(wording, room, found)]
    assert lines == ["aaa", "-55", "555"]


def test_a_word_too_long_for_its_line_is_broken_inside():
    lines = [text for _, text, _ in broken_lines("a" * 60, 100, setting())]
    assert len(lines) > 3
    assert "".join(lines) == "a" * 60


@pytest.mark.parametrize(("asked", "used"), [(17.3, 1106 / 64), (41.7, 2668 / 64), (36, 36), (78.0998, 4997 / 64)])
def test_sizes_are_floored_as_the_browser_floors_them(asked, used):
    assert used_size(asked) == used


@pytest.mark.parametrize(("align", "place"), [("start", 0), ("center", 0.5), ("end", 1)])
def test_alignment_shares_out_the_free_space(align, place):
    (line,), missing = set_lines("Ferns", setting(), 30, 400, align, 10, 5)
    assert line.x == pytest.approx(10 + (400 - line.width) * place, abs=1 / 32)
    assert missing == ""
    assert 5 < line.baseline < 35


def test_characters_without_a_glyph_are_reported():
    lines, missing = set_lines("fern 蕨", setting(), 30, 400, "start", 0, 0)
    assert missing == "蕨"
    assert lines[0].width > 0


def test_letters_outside_the_first_face_come_from_the_second():
    shaped = shape("Žofie", setting("Hanken Grotesk"))
    assert [run.face.split("-latin")[1][:4] for run in shaped.runs] == ["-ext", "-wgh"]
    assert shaped.missing == ""


def test_pen_positions_rise_to_the_width():
    pens = pen_positions("office fair", setting())
    assert list(pens) == sorted(pens)
    assert pens[-1] == shape("office fair", setting()).width


def test_unicode_ranges_are_read():
    assert parse_unicode_range("U+0-FF, U+131") == ((0, 255), (0x131, 0x131))


def test_a_line_keeps_the_letters_its_paragraph_gave_it():
    wording = "Fern fair 2027: pots, spores, books, cut-price baskets and what-have-you"
    found = Setting(shipped_fonts().family("Caveat"), 400, 86.4)
    start = wording.index("baskets")
    end = start + len("baskets and what-have-")
    whole, line = shape(wording, found), shape_line(wording, start, end, found)
    inside = [g for run in whole.runs for g, c in zip(run.glyphs, run.clusters, strict=True) if start <= c < end]
    own = [g for run in line.runs for g in run.glyphs]
    assert len(own) == len(inside)
    assert own[6:-4] == inside[6:-4], "only its ends are shaped anew"
    assert line.width == pytest.approx(709.6, abs=0.5)
    assert shape(wording[start:end], found).width > line.width + 3


def test_a_line_that_is_the_whole_paragraph_is_shaped_as_it_is():
    found = setting()
    assert shape_line("Under old glass", 0, 15, found) == shape("Under old glass", found)


def test_lines_and_ems_are_as_high_as_in_the_browser():
    for size, line, height, em in SEEN["heights"]:
        assert line_height(size, line) == height, (size, line)
        assert layout_unit(Scale(Viewport(800, 600), size).px(f"{line}em")) == em, (size, line)
