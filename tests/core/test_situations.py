"""Situations are enumerated from the document; visits; the run over widths."""

import pytest
from hypothesis import given
from hypothesis import strategies as st
from PIL import Image

from garnetfern.core.colour.notation import Rgba, mixed, parse_colour
from garnetfern.core.document import Visits, read_site
from garnetfern.core.reading import KINDS, situations
from garnetfern.core.reading.flat import flat_ratio
from garnetfern.core.reading.ground import all_sheets, around
from garnetfern.core.reading.visits import VisitsError, read_visits, share_of
from garnetfern.core.reading.widths import FIRST, LAST, Point, WidthRun, changes
from garnetfern.core.resolve.layout import lay_out_page
from garnetfern.core.resolve.lengths import Viewport
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.site_file import SiteFile
from garnetfern.service.views.every_situation import shipped_visits
from tests.conftest import jpeg
from tests.pictures import png
from tests.sites import HEADING, colour_layer, document, image_layer, one_banner, reader_of, with_picture

FONTS = shipped_fonts()


def kinds(site):
    return {s.kind for s in situations(site, site.pages[0], None)}


def with_over(plain, **over):
    plain["pages"][0]["bands"][0]["backdrop"]["over"] = over
    return read_site(plain)


def test_a_plain_page_is_met_at_rest_and_with_larger_letters():
    assert kinds(one_banner().site) == {"rest", "enlarged", "plain"}


def test_without_words_there_is_nothing_to_enlarge():
    assert kinds(one_banner(blocks=[]).site) == {"rest"}


@pytest.mark.parametrize(
    ("layer", "more"),
    [
        ({}, set()),
        ({"attachment": "fixed"}, {"way"}),
        ({"attachment": "slower"}, {"way", "still"}),
        ({"attachment": "slower", "visible": False}, None),
    ],
)
def test_pictures_can_be_missing_and_move_otherwise_than_the_page(layer, more):
    site = with_picture(document(image_layer(**layer)), jpeg()).site
    always = {"rest", "enlarged", "plain"}
    assert kinds(site) == (always if more is None else {*always, "missing"} | more)


def test_a_page_is_scrolled_in_even_steps_to_its_foot():
    site = with_picture(document(image_layer(attachment="fixed")), jpeg()).site
    found = [s.moment.scroll for s in situations(site, site.pages[0], {"rest", "scroll"}) if s.screen == "phone"]
    assert found == pytest.approx([n / 12 for n in range(13)])


@pytest.mark.parametrize(("fade", "more"), [(0, {"over"}), (200, {"over", "half"})])
def test_a_change_that_takes_time_is_met_half_way(fade, more):
    site = with_over(document(colour_layer("#ffffff", 0.0)), fade=fade, layers={"over": {"opacity": 0.8}})
    assert kinds(site) - {"rest", "enlarged", "plain"} == more


def test_every_situation_has_a_name_and_an_id_of_its_own():
    plain = document(image_layer(attachment="slower"))
    file = with_picture(plain, jpeg())
    found = situations(file.site, file.site.pages[0], None)
    assert len({s.id for s in found}) == len({s.name for s in found}) == len(found)
    assert {s.kind for s in found} <= set(KINDS)


def test_half_way_lies_between_rest_and_pointer_over():
    site = with_over(document(colour_layer("#000000", 0.2), base="#ffffff"), layers={"over": {"opacity": 0.8}})
    file = SiteFile(site, {})
    found = {s.kind: r[0].ratio for s, r in reader_of(file).read_page(site, site.pages[0], None) if s.screen == "phone"}
    assert found["rest"] < found["half"] < found["over"]


def test_enlarged_letters_are_twice_as_large_and_judged_as_they_are_set():
    heading = {**HEADING, "lettering": {**HEADING["lettering"], "size": "clamp(14px, 2vw, 20px)"}}
    file = one_banner(blocks=[heading])
    page = file.site.pages[0]
    reader = reader_of(file)
    by_kind = {s.kind: s for s in situations(file.site, page, None) if s.screen == "desktop"}
    plain, larger = (reader.resolve(file.site, page, by_kind[k]).bands[0].blocks[0] for k in ("rest", "enlarged"))
    assert larger.size == 2 * plain.size
    readings = dict(reader.read_page(file.site, page, None))
    assert readings[by_kind["enlarged"]][0].required == readings[by_kind["rest"]][0].required == 4.5


def test_scrolling_a_fixed_picture_changes_what_lies_behind_the_words():
    halves = Image.new("RGB", (200, 400), "#000000")
    halves.paste("#ffffff", (0, 0, 200, 200))
    plain = document(image_layer(attachment="fixed"), height={"min": "3000px"}, content={"stand": "center"})
    file = with_picture(plain, png(halves), "picture.png")
    found = [
        r[0].ratio
        for s, r in reader_of(file).read_page(file.site, file.site.pages[0], {"rest", "scroll"})
        if s.screen == "phone"
    ]
    seen = [ratio for ratio in found if ratio is not None]
    assert max(seen) > 2 * min(seen)
    # where the words are not on the screen nobody meets them
    assert found[0] is None
    assert 1 <= len(seen) < len(found)


@given(st.floats(0, 1))
def test_a_colour_on_its_way_lies_between(share):
    one, other = parse_colour("#20406080"), parse_colour("#a0c0e0")
    found = mixed(one, other, share)
    assert one.alpha - 1e-9 <= found.alpha <= other.alpha + 1e-9
    assert all(a <= v <= b for a, v, b in zip(one.rgb, found.rgb, other.rgb, strict=True))


def test_from_nothing_a_colour_only_appears():
    assert mixed(Rgba(0, 0, 0, 0.0), Rgba(10, 20, 30), 0.5) == Rgba(10, 20, 30, 0.5)


@pytest.mark.parametrize(
    ("text", "rows"),
    [
        ("390,10\n1440,30\n", [(390, 10), (1440, 30)]),
        ("width,visits\n390, 10\n\n390,5\n", [(390, 15)]),
        ("\ufeffbreite,besuche\n320,1", [(320, 1)]),
    ],
)
def test_a_table_of_visits_is_read(text, rows):
    assert [(v.width, v.visits) for v in read_visits(text)] == rows


@pytest.mark.parametrize(
    ("text", "words"),
    [
        ("390,ten", "Line 1"),
        ("width,visits\n390", "Line 2"),
        ("width,visits\n50,3", "between 200"),
        ("width,visits\n390,0", "no visits"),
        ("", "no visits"),
        ("390,1\n" * 500, "more than 400"),
    ],
)
def test_a_table_that_is_none_is_refused_with_its_line(text, words):
    with pytest.raises(VisitsError) as caught:
        read_visits(text)
    assert words in caught.value.message


def test_shares_of_visits():
    table = (Visits(width=390, visits=30), Visits(width=1440, visits=70))
    assert share_of(table, 0, 599) == 0.3
    assert share_of((), 0, 599) == 0
    assert sum(share_of(shipped_visits(), *span) for span in ((0, 599), (600, 1023), (1024, 10_000))) == 1


def worst_by_brute_force(run, widths):
    return {w: run.at(w).short for w in widths}


def test_the_run_finds_to_the_px_where_words_begin_to_fall_short(demo):
    page = demo.site.pages[0]
    reader = reader_of(demo)
    run = WidthRun(reader, demo.site, page)
    points = run.run()
    assert (points[0].width, points[-1].width) == (FIRST, LAST)
    found = list(changes(points))
    assert found
    for change in found[2:8]:
        before, here = run.at(change.width - 1), run.at(change.width)
        assert (change.block in here.short) == change.short
        assert (change.block in before.short) != change.short


def test_between_the_points_nothing_else_happens(demo):
    run = WidthRun(reader_of(demo), demo.site, demo.site.pages[0])
    points = run.run()
    looked = {p.width: p for p in points}
    for width in range(600, 700, 7):
        below = max(w for w in looked if w <= width)
        above = min(w for w in looked if w >= width)
        if looked[below].short == looked[above].short:
            assert run.at(width).short == looked[below].short


def test_each_block_is_looked_at_by_itself_and_none_is_guessed_wrong(demo):
    page = demo.site.pages[1]
    reader = reader_of(demo)
    run = WidthRun(reader, demo.site, page)
    points = run.run()
    looked = {width: set(look.ratios) for width, look in run._looks.items()}
    assert len({frozenset(blocks) for blocks in looked.values()}) > 1, (
        "some widths were looked at for some blocks alone"
    )
    fresh = WidthRun(reader, demo.site, page)
    for point in points[:: max(1, len(points) // 12)]:
        true = fresh.at(point.width)
        assert [block for block, _, _ in point.ratios] == [block for block, _, _ in true.ratios]
        assert point.short == true.short
        assert point.breaks == true.breaks
        for (block, said, _), (_, is_, _) in zip(point.ratios, true.ratios, strict=True):
            assert said == pytest.approx(is_, rel=1e-9 if block in looked[point.width] else 0.25), (point.width, block)


def test_words_that_some_screens_do_not_have_are_said_of_no_width_there():
    both = [{**HEADING, "id": "all"}, {**HEADING, "id": "wide", "screens": {"phone": {"visible": False}}}]
    fade = {"stops": [{"colour": "#20302a"}, {"colour": "#f4efe4"}], "angle": 90}
    file = one_banner({"kind": "gradient", "id": "fade", "name": "Fade", "gradient": fade}, blocks=both)
    run = WidthRun(reader_of(file), file.site, file.site.pages[0])
    said = {point.width: [block for block, _, _ in point.ratios] for point in run.run()}
    least = next(s.least for s in file.site.screens if s.id == "tablet")
    assert {tuple(blocks) for width, blocks in said.items() if width < least} == {("all",)}
    assert {tuple(blocks) for width, blocks in said.items() if width >= least} == {("all", "wide")}


def test_changes_are_named_from_narrow_to_wide():
    points = [
        Point(320, (("a", 2.0, 3.0),), ()),
        Point(400, (("a", 3.2, 3.0),), ()),
        Point(500, (("a", 3.2, 3.0), ("b", 4.0, 4.5)), ()),
    ]
    assert [(c.width, c.block, c.short) for c in changes(points)] == [
        (320, "a", True),
        (400, "a", False),
        (500, "b", True),
    ]


def test_layout_does_not_depend_on_what_was_laid_out_before(demo):
    page = demo.site.pages[0]
    for s in situations(demo.site, page, None):
        one = lay_out_page(demo.site, s.moment.page(page), s.moment.viewport, FONTS)[1]
        assert lay_out_page(demo.site, s.moment.page(page), s.moment.viewport, FONTS)[1] == one


@pytest.mark.parametrize("width", [333, 700, 1441])
def test_a_ratio_alone_is_that_of_the_reading(demo, width):
    reader = reader_of(demo)
    seen = set()
    for page in demo.site.pages:
        for situation in situations(demo.site, page, {"rest"}):
            met = situation.at(Viewport(width, 900))
            record = reader.resolve(demo.site, page, met)
            for block in (b for b in record.blocks() if b.words and b.lines):
                read = reader.read(record, block, met, demo.site.requirement)
                assert reader.ratio(record, block) == pytest.approx(read.ratio, abs=2e-3)
                there = around(record, block, block.box.grown(block.size), all_sheets)
                seen.add(flat_ratio(record, block, there, reader.pictures) is None)
    assert True in seen


@pytest.mark.parametrize(
    ("change", "flat"),
    [
        ({}, True),
        ({"shadow": {}}, False),
        ({"outline": {}}, False),
        ({"line": 0.7}, False),
    ],
)
def test_only_plain_grounds_are_taken_as_plain(change, flat):
    lettering = {"size": "40px", "colour": "#ffffffd0", **change}
    file = one_banner(colour_layer("#405030", 0.6), blocks=[{**HEADING, "lettering": lettering}])
    page = file.site.pages[0]
    reader = reader_of(file)
    situation = situations(file.site, page)[0]
    record = reader.resolve(file.site, page, situation)
    block = next(record.blocks())
    there = around(record, block, block.box, all_sheets)
    found = flat_ratio(record, block, there, reader.pictures)
    assert (found is not None) is flat
    read = reader.read(record, block, situation, file.site.requirement)
    assert reader.ratio(record, block) == pytest.approx(read.ratio, abs=2e-3)
