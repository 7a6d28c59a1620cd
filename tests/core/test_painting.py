"""The order of painting: what a later part of the page lays over words counts, and takes the letters along."""

import numpy as np
import pytest

from garnetfern.core.draw.words import draw_page, paint_around
from garnetfern.core.reading import situations
from garnetfern.core.reading.ground import Painter, all_sheets, around
from garnetfern.core.resolve.box import Box
from garnetfern.core.resolve.painting import painting
from garnetfern.demo.words import words
from tests.sites import one_banner, reader_of


def page_of(*blocks):
    columns = [{"id": "column", "gap": "0px", "blocks": list(blocks)}]
    file = one_banner(base="#20302a", columns=columns)
    reader = reader_of(file)
    page = file.site.pages[0]
    rest = situations(file.site, page)[0]
    return file.site, reader, reader.resolve(file.site, page, rest), rest


def block(name, wording="Ferns and a roof", colour="#ffffff", lettering=None, **more):
    found = words(name, "text", wording, "Hanken Grotesk", "30px", colour)
    found["lettering"] |= {"line": 1.1, **(lettering or {})}
    return found | more


def plate(shadow=None, base="#d0d0d0"):
    found = {"backdrop": {"base": base, "layers": []}, "padding": {"block": "6px", "inline": "6px"}}
    return {"plate": found | ({"shadow": shadow} if shadow else {})}


CAST = {"down": "-34px", "blur": "0px", "spread": "4px", "colour": "#00000080"}


def read(name, *blocks):
    site, reader, record, rest = page_of(*blocks)
    found = next(b for b in record.blocks() if b.id == name)
    return reader.read(record, found, rest, site.requirement)


def test_words_without_a_plate_come_first_then_each_plate_with_its_words():
    _, _, record, _ = page_of(block("one"), block("two", **plate()), block("three"))
    order = [step.area.id if step.area else f"words {step.words.id}" for step in painting(record)]
    assert order[-5:] == ["column", "words one", "words three", "two", "words two"]
    assert [area.id for area in record.areas][-1] == "two"


def test_the_shadow_of_a_later_plate_darkens_the_words_above_it():
    alone, under = read("one", block("one")), read("one", block("one"), block("two", **plate(CAST)))
    assert under.ratio < alone.ratio * 0.9
    ground, white = np.array([32, 48, 42]) * (127 / 255), np.full(3, 255 * 127 / 255)
    assert under.ratio == pytest.approx(contrast_of(white, ground), rel=0.02)


def contrast_of(one, other):
    def light(rgb):
        c = np.asarray(rgb) / 255
        return float(np.where(c <= 0.04045, c / 12.92, ((c + 0.055) / 1.055) ** 2.4) @ [0.2126, 0.7152, 0.0722]) + 0.05

    return max(light(one), light(other)) / min(light(one), light(other))


def test_words_beneath_an_opaque_plate_have_no_contrast_at_all():
    cover = block("two", **plate({"down": "-40px", "blur": "0px", "spread": "30px", "colour": "#d0d0d0"}))
    assert read("one", block("one"), cover).ratio == pytest.approx(1, abs=1e-3)
    assert read("two", block("one"), cover).ratio > 1.2, "its own plate lies beneath it"


def test_the_shadow_of_a_line_falls_on_the_line_before_it():
    shadow = {"down": "-26px", "blur": "0px", "colour": "#000000c0"}
    one_line = read("one", block("one", "Ferns", lettering={"shadow": shadow}))
    two_lines = read("one", block("one", "Ferns\nFerns", lettering={"shadow": shadow}))
    assert two_lines.ratio < one_line.ratio * 0.75
    assert two_lines.worst.line == 0


def test_where_nothing_lies_above_there_is_no_front():
    _, reader, record, _ = page_of(block("one"), block("two"))
    found = next(record.blocks())
    plan = reader.plan(found)
    there = around(record, found, Box(*plan.region), all_sheets)
    painter = Painter(record, found, plan, reader.pictures, reader.glyphs)
    assert not there.above
    assert painter.ground(there).fronts == ()


def test_the_ground_of_a_block_is_what_the_page_is_without_the_letters():
    _, reader, record, _ = page_of(
        block("one", "Ferns\nFerns", lettering={"shadow": {"down": "2px", "blur": "6px"}}), block("two", **plate(CAST))
    )
    found = next(record.blocks())
    plan = reader.plan(found)
    there = around(record, found, Box(*plan.region), all_sheets)
    ground = Painter(record, found, plan, reader.pictures, reader.glyphs).ground(there)
    whole = draw_page(record, plan.region, reader.pictures, reader.glyphs, paint_around)
    assert np.array_equal(ground.behind, whole)
    assert [front.line for front in ground.fronts] == [0, 1]
