"""Whether words fit, in Chromium: wider setting, paper, forced colours, the focus, what can be pressed."""

import numpy as np
import pytest

from garnetfern.core.colour.contrast import contrast
from garnetfern.core.colour.spaces import luminance
from garnetfern.core.css import bundle_files
from garnetfern.core.css.media import FOCUS_LINE
from garnetfern.core.draw.words import draw_page
from garnetfern.core.reading import Reader
from garnetfern.core.reading.fit import fit_in, fit_situations
from garnetfern.core.reading.fit._look import Look
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.memory import MemoryPictures
from tests.sampled import sampled

from .browser import Opened
from .pages import generate_page

WIDER = """* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important; }"""
SEEDS = sampled(range(6), 2)


class Looked:
    """A generated page, opened in the browser, and as the core has it in a situation."""

    def __init__(self, browser, file):
        pictures = MemoryPictures(file.originals)
        self.file, self.page = file, file.site.pages[0]
        self.reader = Reader(shipped_fonts(), pictures)
        self.opened = Opened(browser, bundle_files(file.site, self.reader.fonts, pictures.file))

    def at(self, kind, screen="phone", **media):
        self.situation = next(
            s
            for s in fit_situations(self.file.site, self.page)
            if s.kind == kind and (kind == "printed" or s.screen == screen)
        )
        viewport = self.situation.moment.viewport
        self.opened.page.emulate_media(**media)
        self.opened.at(int(viewport.width), int(viewport.height))
        self.look = Look(self.reader, self.file.site, self.reader.met(self.file.site, self.page), self.situation)
        return self.look.record

    def shot(self):
        return self.opened.styled("div.gf-control { display: none !important; }")


@pytest.fixture(params=SEEDS)
def looked(request, browser):
    file = generate_page(request.param)
    found = Looked(browser, file)
    yield found
    found.opened.close()


def test_words_set_wider_stand_where_the_browser_puts_them(looked):
    record = looked.at("spaced")
    style = looked.opened.page.add_style_tag(content=WIDER)
    seen = looked.opened.letters()
    for block in record.blocks():
        if not block.lines:
            continue
        boxes = {at: (x, y) for at, (_, x, y, *_) in enumerate(seen[block.id])}
        for line in block.lines:
            x, _ = boxes[line.start]
            assert x == pytest.approx(line.x, abs=1), (block.id, line.text)
        tops = [boxes[line.start][1] for line in block.lines]
        assert np.diff(tops) == pytest.approx(np.diff([line.top for line in block.lines]), abs=1)
    style.evaluate("e => e.remove()")


def test_paper_is_as_it_was_computed(looked):
    record = looked.at("printed", media="print")
    shot = looked.shot()
    region = (0, 0, shot.shape[1], shot.shape[0])
    drawn = draw_page(record, region, looked.reader.pictures, looked.reader.glyphs).astype(np.float32)
    assert record.height == pytest.approx(shot.shape[0], abs=1)
    off = np.abs(drawn - shot)
    assert off.mean() <= 0.6
    # words are dark on white: nothing else is on the sheet but pictures among the words
    for words in looked.look.words:
        box = words.box.snapped()
        part = shot[int(box.y) : int(box.bottom), max(0, int(box.x)) : int(box.right)]
        assert part.min() < 90
        assert np.median(part) == 255
    assert not looked.look.record.area(looked.page.id).sheets


def test_in_forced_colours_words_have_a_ground_and_pictures_stay(looked):
    record = looked.at("rest", forced_colors="active")
    forced = looked.shot()
    look = looked.look
    looked.at("rest", forced_colors="none")
    plain = looked.shot()
    for words in look.words:
        ink = look.ink(words)
        if ink is None or any(m.block == words.id for m in _found(looked, "forced")):
            continue
        part = forced[int(ink.y) : int(ink.bottom), max(0, int(ink.x)) : int(ink.right)]
        # one colour lies behind the letters, and it is the commonest
        colours, counts = np.unique(part.reshape(-1, 3), axis=0, return_counts=True)
        ground = luminance(colours[counts.argmax()][None].astype(np.float32))[0]
        ratios = contrast(luminance(part.reshape(-1, 3).astype(np.float32)), np.float32(ground))
        assert ratios.max() >= 4.5
        assert (np.ptp(part.astype(int), axis=2) <= 160).mean() > 0.5
    clear = np.ones(plain.shape[:2], dtype=bool)
    for words in look.words:
        box = words.box.grown(0.3 * words.size + 6)
        clear[max(0, int(box.y)) : int(box.bottom) + 1, max(0, int(box.x)) : int(box.right) + 1] = False
    for column in (a for a in record.areas if a.kind in ("column", "block")):
        # a colour of their own becomes the visitor's
        box = column.box.snapped()
        clear[int(box.y) : int(box.bottom), int(box.x) : int(box.right)] = False
    pictured = [a for a in record.areas if any(s.pictures() for s in a.sheets) and a.kind in ("band", "join")]
    for area in pictured:
        box = area.box.snapped()
        where = np.s_[int(box.y) : int(box.bottom), int(box.x) : int(box.right)]
        off = np.abs(forced[where] - plain[where]).max(axis=2)[clear[where]]
        assert (off <= 2).mean() > 0.97, "the picture is as it was"


def _found(looked, kind):
    pairs = fit_in(looked.reader, looked.file.site, looked.page, [looked.situation], (kind,))
    return [m for _, found in pairs for m in found]


def test_what_can_be_pressed_is_where_it_was_computed_and_its_focus_is_seen(looked):
    looked.at("rest")
    page = looked.opened.page
    boxes = page.evaluate(
        """() => [...document.querySelectorAll('.gf-page a')].map((a) => {
          const r = a.getBoundingClientRect(); return [r.x, r.y + scrollY, r.width, r.height]; })"""
    )
    targets = looked.look.targets
    assert len(boxes) == len(targets)
    troubled = {m.block for m in _found(looked, "focus")}
    before = looked.shot().astype(np.float32)
    for n, (target, box) in enumerate(zip(targets, boxes, strict=True)):
        assert box == pytest.approx((target.box.x, target.box.y, target.box.width, target.box.height), abs=1)
        if n >= 2:
            continue
        page.keyboard.press("Tab")
        page.evaluate("scrollTo(0, 0)")
        ratios = contrast(luminance(looked.shot().astype(np.float32)), luminance(before))
        enough = 4 * FOCUS_LINE / 2 * (round(box[2]) + round(box[3]))
        assert (np.count_nonzero(ratios >= 3) >= enough) == (target.block not in troubled)


def test_pages_are_wider_than_the_screen_where_words_run_off_it(looked):
    rest = looked.at("rest")
    wide = looked.opened.page.evaluate("document.documentElement.scrollWidth")
    off = [m for m in _found(looked, "off_screen") if any(b.right > rest.width for b in m.boxes)]
    assert (wide > rest.width) == bool(off)
