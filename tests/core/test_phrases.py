"""Phrases: stretches of a wording that are said otherwise, where its lines end by screen, and what comes of both."""

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from garnetfern.core.css import emit_page
from garnetfern.core.css.bundle import STANDARD
from garnetfern.core.document import Block, read_site
from garnetfern.core.document.addresses import with_links
from garnetfern.core.errors import DocumentError
from garnetfern.core.reading import situations
from garnetfern.core.remedy.fills import filled
from garnetfern.core.remedy.remedies import Remedies, no_colours
from garnetfern.core.resolve.lengths import Viewport
from garnetfern.core.resolve.lines import broken_lines
from garnetfern.core.resolve.moment import Moment
from garnetfern.core.resolve.phrased import broken_mixed, mixed_width
from garnetfern.core.resolve.shape import Setting
from garnetfern.core.resolve.voices import Voice
from garnetfern.demo.words import words
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.site_file import SiteFile
from tests.referee.banners import WORDINGS
from tests.sites import colour_layer, document, reader_of

WORDING = "Come to the fern fair on Saturday"
FAIR = {"start": 12, "end": 21}


def text(*phrases, **more):
    found = words("w", "text", WORDING, "Hanken Grotesk", "20px", "#ffffff")
    return {**found, "phrases": list(phrases), **more}


def site_of(*blocks, layers=()):
    return read_site(document(*layers, blocks=blocks), shipped_fonts().names())


@pytest.mark.parametrize(
    ("phrases", "more", "said"),
    [
        ([FAIR], {}, "strong, emphasised, a link or of a colour"),
        ([{"start": 5, "end": 5, "strong": True}], {}, "one letter at least"),
        ([{**FAIR, "end": 90, "strong": True}], {}, "ends at 90, the wording at 33"),
        ([{**FAIR, "strong": True}, {"start": 20, "end": 24, "emphasis": True}], {}, "begins inside another"),
        ([{**FAIR, "link": "fair.html"}], {"link": "all.html"}, "no other link inside"),
        ([{**FAIR, "link": "javascript:alert(1)"}], {}, "A link is a page of this site"),
        ([{**FAIR, "strong": True}], {"kind": "button"}, "Only headings, texts and logos"),
        ([], {"screens": {"phone": {"breaks": [13]}}}, "A line ends at a space; at 13"),
        ([], {"screens": {"phone": {"breaks": [11, 7]}}}, "in order, once each"),
    ],
)
def test_what_is_no_phrase_is_refused_with_the_reason(phrases, more, said):
    with pytest.raises(DocumentError, match=said):
        site_of(text(*phrases, **more))


@settings(max_examples=60, deadline=None)
@given(st.sampled_from(WORDINGS), st.floats(60, 900), st.data())
def test_voices_that_differ_in_colour_alone_break_as_one(wording, room, data):
    setting = Setting(shipped_fonts().family("Literata"), 400, 24.0)
    at = data.draw(st.integers(1, len(wording) - 1))
    voices = (Voice(0, at, setting), Voice(at, len(wording), setting, phrase=0))
    one = [(start, said) for start, said, _ in broken_lines(wording, room, setting)]
    mixed = broken_mixed(wording, room, voices)
    # each part is rounded up by itself, which may be 1/64 px more
    if [said for _, said, _ in mixed] != [said for _, said in one]:
        assert [said for _, said in one] == [said for _, said, _ in broken_mixed(wording, room + 1 / 32, voices)]
    for start, said, parts in mixed:
        assert "".join(part for _, part, *_ in parts) == said
        assert wording[start : start + len(said)] == said
        assert all(wording[there : there + len(part)] == part for there, part, *_ in parts)


def test_strong_words_need_more_room():
    book = shipped_fonts()
    plain, bold = (Setting(book.family("Hanken Grotesk"), weight, 20.0) for weight in (400, 700))
    whole = (Voice(0, 12, plain), Voice(12, 21, bold, phrase=0), Voice(21, len(WORDING), plain))
    assert mixed_width(WORDING, whole) > mixed_width(WORDING, (Voice(0, len(WORDING), plain),)) + 2


def test_a_block_is_read_phrase_by_phrase_and_its_worst_one_counts():
    blocks = text({**FAIR, "colour": "#3d5548"}, {"start": 25, "end": 33, "strong": True})
    for layers in ((), (colour_layer("#20302a", 0.5), {**colour_layer("#000000", 0.1), "id": "x", "blend": "screen"})):
        site = site_of(blocks, layers=layers)
        reader, page = reader_of(SiteFile(site, {})), site.pages[0]
        situation = next(s for s in situations(site, page) if s.kind == "rest")
        record = reader.resolve(site, page, situation)
        (block,) = record.blocks()
        reading = reader.read(record, block, situation, site.requirement)
        by_phrase = dict(reading.phrases)
        assert set(by_phrase) == {0, 1}
        assert by_phrase[0] == reading.ratio < 2 < 10 < by_phrase[1]
        assert reading.worst.phrase == 0
        assert reading.worst.word in ("fern", "fair")
        assert reader.ratio(record, block) == pytest.approx(reading.ratio, rel=1e-3)
    # the colour of the words takes its phrases with it; what was told by its colour alone is no phrase any more
    changed = filled(site.pages[0].bands[0].columns[0].blocks[0], "#fbf7ee")
    assert [(p.start, p.colour) for p in changed.phrases] == [(25, None)]


def test_links_among_words_take_the_other_colour_alone_while_pointed_at():
    block = text({**FAIR, "link": "fair.html"}, lettering={"size": "20px", "colour": "#ffffff", "over": "#f2d9a0"})
    page = site_of(block).pages[0]
    pointed = Moment(Viewport(900, 700), pointed=1.0).page(page).bands[0].columns[0].blocks[0]
    assert (pointed.lettering.colour, pointed.phrases[0].colour) == ("#ffffff", "#f2d9a0")
    printed = Moment(Viewport(900, 700), printed=True).page(page).bands[0].columns[0].blocks[0]
    assert printed.phrases[0].colour is None


def test_markup_says_what_the_phrases_mean_and_escapes_what_they_say():
    block = text(
        {"start": 0, "end": 4, "strong": True, "emphasis": True, "link": 'fair.html?a="b"&c'},
        {"start": 5, "end": 7, "colour": "#ff0000"},
        wording="<b>& to you",
        screens={"phone": {"breaks": [7]}},
    )
    site = site_of(block)
    emitted = emit_page(site, site.pages[0], shipped_fonts(), STANDARD)
    link = '<a class="gf-phrase gf-phrase-0 gf-underlined" href="fair.html?a=&quot;b&quot;&amp;c">'
    assert f"{link}<strong><em>&lt;b&gt;&amp;</em></strong></a>" in emitted.body
    assert '<span class="gf-phrase gf-phrase-1">to</span> <br class="gf-break-7">you' in emitted.body
    assert ".gf-w .gf-break-7 {\n  display: none;" in emitted.css
    assert "display: inline;" in emitted.css.split("/* Phone */")[1].split("@media print")[0]


def test_lines_end_where_a_screen_says():
    block = Block.model_validate(text(wording="One two\nthree four", screens={"phone": {"breaks": [3, 13]}}))
    assert block.on("phone").wording == "One\ntwo three\nfour"
    assert block.on("desktop").wording == block.wording


def test_links_among_words_follow_a_page_to_its_new_address():
    plain = document(blocks=(text({**FAIR, "link": "fair.html#when"}),))
    plain["pages"].append({"id": "fair", "slug": "fair", "title": "Fair"})
    before = read_site(plain, shipped_fonts().names())
    plain["pages"][1] = {**plain["pages"][1], "slug": "fern-fair"}
    after = with_links(before, read_site(plain, shipped_fonts().names()))
    assert next(after.pages[0].blocks()).addresses() == ("fern-fair.html#when",)


def test_the_nearest_way_out_for_a_phrase_alone_is_the_colour_of_the_others():
    site = site_of(text({**FAIR, "colour": "#3d5548", "link": "fair.html"}))
    reader, page = reader_of(SiteFile(site, {})), site.pages[0]
    found = Remedies(reader, site, page, next(page.blocks()), no_colours)
    first = next(r for r in found if r.kind == "fill")
    assert first.sentence == "All words become as most are, #ffffff."
    (phrase,) = next(first.page.blocks()).phrases
    assert (phrase.colour, phrase.link) == (None, "fair.html")
