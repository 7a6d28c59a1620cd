"""Plates, buttons and lettering: where they are, what they look like, what they do to readings."""

import numpy as np
import pytest
from pydantic import ValidationError

from garnetfern.core.colour.notation import parse_colour
from garnetfern.core.css import Urls, emit_page
from garnetfern.core.document import Lettering, pointed_at, read_site
from garnetfern.core.draw.paint import paint_backdrops
from garnetfern.core.draw.plate import framed, rounded
from garnetfern.core.draw.words import draw_page
from garnetfern.core.errors import DocumentError
from garnetfern.core.reading import situations
from garnetfern.core.resolve.box import Box
from garnetfern.core.resolve.records import PlateRecord, ShadowRecord
from garnetfern.core.resolve.shape import Setting, shape
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.site_file import SiteFile
from tests.sites import HEADING, document, one_banner, reader_of

FONTS = shipped_fonts()
PLATE = {"backdrop": {"base": "#000000"}, "padding": {"block": "10px", "inline": "20px"}}


def block(**more):
    lettering = {**HEADING["lettering"], **more.pop("lettering", {})}
    return {**HEADING, "lettering": lettering, **more}


def resolved(*blocks, **more):
    file = SiteFile(read_site(document(blocks=blocks, **more), FONTS.names()), {})
    page = file.site.pages[0]
    reader = reader_of(file)
    return file, reader, reader.resolve(file.site, page, situations(file.site, page)[0])


def readings(*blocks, **more):
    file, reader, _ = resolved(*blocks, **more)
    return [r for _, found in reader.read_page(file.site, file.site.pages[0]) for r in found]


def test_a_plate_is_as_wide_as_its_words_and_their_space():
    plain = resolved(block())[2].bands[0].blocks[0]
    plated = resolved(block(plate=PLATE))[2].bands[0].blocks[0]
    assert plated.box.width == pytest.approx(plain.lines[0].width + 40, abs=0.02)
    assert plated.box.height == plain.box.height + 20
    assert plated.lines[0].x == plain.lines[0].x + 20


def test_a_plate_that_does_not_fit_is_as_wide_as_its_block():
    plated = resolved(block(plate={**PLATE, "fit": False}, width="500px"))[2].bands[0].blocks[0]
    assert plated.box.width == 500


def test_outer_space_keeps_neighbours_away():
    second = block(id="second")
    near = resolved(block(plate=PLATE), second)[2].bands[0].blocks
    far = resolved(block(plate={**PLATE, "space": {"block": "15px", "inline": "5px"}}), second)[2].bands[0].blocks
    assert far[1].box.y - near[1].box.y == 30
    assert far[0].box.x - near[0].box.x == 5


@pytest.mark.parametrize(("align", "share"), [("start", 0), ("center", 0.5), ("end", 1)])
def test_a_plate_stands_where_its_words_are_set(align, share):
    made = block(plate=PLATE, lettering={"align": align})
    record = resolved(made)[2].bands[0]
    room = record.content.width - record.blocks[0].box.width
    assert record.blocks[0].box.x == pytest.approx(record.content.x + room * share, abs=0.02)


def test_a_dark_plate_makes_white_words_readable_on_white():
    assert all(r.falls_short for r in readings(block(), base="#ffffff"))
    assert all(r.verdict == "enough" for r in readings(block(plate=PLATE), base="#ffffff"))


def test_a_thinner_plate_never_reads_better():
    found = []
    for alpha in ("ff", "d0", "90", "50", "10"):
        plate = {**PLATE, "backdrop": {"base": f"#000000{alpha}"}}
        found.append(min(r.ratio for r in readings(block(plate=plate), base="#ffffff")))
    assert found == sorted(found, reverse=True)


@pytest.mark.parametrize("radius", [0, 6, 400])
def test_round_corners_cover_what_they_should(radius):
    box = Box(10, 10, 60, 40)
    cover = rounded(box, radius, (0, 0, 80, 60))
    r = min(radius, 20)
    assert cover.sum() == pytest.approx(60 * 40 - (4 - np.pi) * r * r, rel=0.01)
    assert cover[30, 40] == 1
    assert cover[5, 5] == 0


def test_a_key_line_lies_around_the_layers_and_a_shadow_outside():
    region = (0, 0, 100, 80)
    box = Box(20, 20, 60, 40)
    shadow = ShadowRecord(0, 0, 10, 0, parse_colour("#0000ff"))
    plate = PlateRecord(0, 3, parse_colour("#ff0000"), shadow)
    stack = np.zeros((80, 100, 4), dtype=np.float32)
    stack[..., 1] = stack[..., 3] = 1
    found = framed(plate, box, None, stack, region)
    assert found[40, 50].tolist() == [0, 1, 0, 1]
    assert found[40, 21].tolist() == [1, 0, 0, 1]
    assert found[40, 17, 2] > 0.2 > found[40, 3, 2]
    assert found[40, 17, 2] == found[40, 17, 3]


def test_a_button_is_a_link_and_its_states_are_emitted():
    made = {
        **block(kind="button", level=None, link="fair.html", lettering={"over": "#f2d9a0"}),
        "plate": {"backdrop": {"base": "#7a1f2b", "over": {"base": "#000000"}}},
    }
    file, _, _ = resolved(made)
    emitted = emit_page(file.site, file.site.pages[0], FONTS, Urls())
    assert '<a class="gf-words gf-button gf-plated gf-headline" href="fair.html">' in emitted.body
    assert ".gf-headline:is(:hover, :focus-visible) {\n  color: #f2d9a0;" in emitted.css
    assert ".gf-headline:is(:hover, :focus-within) > .gf-behind {\n  background-color: #000000;" in emitted.css
    pointed = pointed_at(file.site.pages[0])
    assert next(pointed.blocks()).lettering.colour == "#f2d9a0"


def test_words_that_are_only_heard_take_no_room_and_stay_in_the_page():
    second = block(id="second", wording="Seen")
    file, _, record = resolved(block(heard=True), second)
    assert [b.id for b in record.blocks()] == ["second"]
    body = emit_page(file.site, file.site.pages[0], FONTS, Urls()).body
    assert 'class="gf-words gf-heard gf-headline">Ferns under glass' in body


@pytest.mark.parametrize(
    ("lettering", "declaration"),
    [
        ({"spacing": "0.1em"}, "letter-spacing: 0.1em"),
        ({"capitals": True}, "text-transform: uppercase"),
        ({"italic": True, "font": "Literata"}, "font-style: italic"),
        ({"outline": {"width": "2px", "colour": "#000"}}, "-webkit-text-stroke: calc(2 * 2px) #000000"),
        ({"outline": {"width": "2px", "colour": "#000"}, "hollow": True}, "-webkit-text-fill-color: transparent"),
        ({"shadow": {"blur": "6px", "colour": "#000000"}}, "text-shadow: 0px 1px 6px #000000"),
    ],
)
def test_lettering_is_emitted(lettering, declaration):
    file, _, _ = resolved(block(lettering=lettering))
    assert declaration in emit_page(file.site, file.site.pages[0], FONTS, Urls()).css


def test_a_font_without_italics_stays_upright():
    file, _, _ = resolved(block(lettering={"italic": True, "font": "Oswald"}))
    assert "font-style: italic" not in emit_page(file.site, file.site.pages[0], FONTS, Urls()).css


def test_spacing_is_added_behind_each_letter():
    family = FONTS.family("Karla")
    plain = shape("office", Setting(family, 400, 20))
    spaced = shape("office", Setting(family, 400, 20, 3))
    unjoined = shape("office", Setting(family, 400, 20, 1e-9))
    assert spaced.width == pytest.approx(unjoined.width + 6 * 3, abs=1e-3)
    assert sum(len(r.glyphs) for r in spaced.runs) == 6
    assert plain.width <= unjoined.width + 1


def test_capitals_are_those_of_unicode():
    record = resolved(block(wording="Straße", lettering={"capitals": True}))[2]
    assert record.bands[0].blocks[0].wording == "STRASSE"


@pytest.mark.parametrize(("language", "vouched"), [("en", True), ("tr", False), ("tr-TR", False)])
def test_capitals_of_some_languages_are_not_vouched_for(language, vouched):
    plain = {**document(blocks=[block(lettering={"capitals": True})]), "language": language}
    file = SiteFile(read_site(plain, FONTS.names()), {})
    found = reader_of(file).read_page(file.site, file.site.pages[0])
    assert all(r.vouched == vouched for _, readings_ in found for r in readings_)


def test_a_shadow_helps_white_words_on_a_light_ground():
    plain = min(r.ratio for r in readings(block(), base="#b0b0b0"))
    shadow = {"across": "0px", "down": "0px", "blur": "8px", "colour": "#000000"}
    helped = min(r.ratio for r in readings(block(lettering={"shadow": shadow}), base="#b0b0b0"))
    assert helped > plain * 1.3


def test_an_outline_is_the_ground_beside_the_letters():
    outline = {"width": "4px", "colour": "#000000"}
    helped = min(r.ratio for r in readings(block(lettering={"outline": outline}), base="#ffffff"))
    assert helped > 2 > min(r.ratio for r in readings(block(), base="#ffffff"))


def test_hollow_letters_are_judged_by_their_outline():
    hollow = {"outline": {"width": "2px", "colour": "#000000"}, "hollow": True, "colour": "#ffffff"}
    assert min(r.ratio for r in readings(block(lettering=hollow), base="#ffffff")) > 15
    assert max(r.ratio for r in readings(block(lettering=hollow), base="#000000")) < 1.1


def test_hollow_letters_show_what_lies_below_in_their_middle():
    hollow = {"outline": {"width": "2px", "colour": "#000000"}, "hollow": True, "size": "160px", "font": "Oswald"}
    _, reader, record = resolved(block(wording="I", lettering=hollow), base="#3f6f46")
    line = record.bands[0].blocks[0].lines[0]
    region = (int(line.x), int(line.baseline) - 60, int(line.width), 20)
    drawn = draw_page(record, region, reader.pictures, reader.glyphs)
    ground = paint_backdrops(record, region, reader.pictures)
    same = (drawn == ground).all(axis=2)
    assert same[:, same.shape[1] // 2].all()
    assert not same.all()


@pytest.mark.parametrize(
    "lettering", [{"hollow": True}, {"spacing": "4%"}, {"outline": {"width": "-1px"}}, {"shadow": {"blur": "2"}}]
)
def test_lettering_that_cannot_be_is_refused(lettering):
    with pytest.raises(ValidationError):
        Lettering(**lettering)


def test_only_words_have_a_plate():
    with pytest.raises(DocumentError) as caught:
        read_site(document(blocks=[{"id": "gap", "kind": "space", "plate": {}}]))
    assert "Only words have a plate" in caught.value.message


def test_a_plate_is_an_area_with_layers_of_its_own():
    layers = [{"kind": "colour", "id": "veil", "name": "Veil", "colour": "#ffffff", "opacity": 0.5}]
    file = one_banner(
        blocks=[block(plate={"backdrop": {"base": "#000000", "layers": layers}, "line": {"width": "2px"}})]
    )
    page = file.site.pages[0]
    assert [a.id for a in page.areas()] == ["home", "banner", "column", "headline"]
    reader = reader_of(file)
    record = reader.resolve(file.site, page, situations(file.site, page)[0])
    area = record.area("headline")
    assert area.kind == "block"
    assert area.sheets[1].box == Box(area.box.x + 2, area.box.y + 2, area.box.width - 4, area.box.height - 4).snapped()
