"""The browser as referee over words in several voices: where every part of a line stands, and each phrase's reading."""

from dataclasses import replace

import numpy as np
import pytest

from garnetfern.core.css import bundle_files
from garnetfern.core.draw.words import draw_page
from garnetfern.core.reading import Reader, situations
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.memory import MemoryPictures
from tests.sampled import sampled

from .browser import HIDDEN, Opened
from .measure import letter_ratios
from .phrased import generate_phrased

ANY_COLOUR = ".gf-words .gf-phrase { color: inherit !important; text-decoration: none !important; }"


def entries(block, page):
    """The parts of a block without the marks of a list, which are no text in the browser."""
    words = next(b for b in page.blocks() if b.id == block.id)
    return [line for line in block.lines if line.start < len(words.wording)]


def off_at(lines, letters):
    """How far the ends of parts lie from where the browser has them, px."""
    seen = [letter for letter in letters if not letter[0].isspace() and letter[3] > 0]
    pen, worst = 0, 0.0
    for line in lines:
        count = sum(not letter.isspace() for letter in line.text)
        part = seen[pen : pen + count]
        pen += count
        if part and not line.text[0].isspace():
            worst = max(worst, abs(part[0][1] - line.x))
        if part and not line.text[-1].isspace():
            worst = max(worst, abs(part[-1][1] + part[-1][3] - line.x - line.width))
    assert pen == len(seen), f"{pen} letters, {len(seen)} in the browser"
    return worst


def fill_of(colour):
    return (*tuple(colour.rgb), colour.alpha)


@pytest.mark.parametrize("seed", sampled([*range(12)], 2))
def test_parts_of_lines_stand_where_the_browser_has_them_and_read_alike(browser, seed):
    sample = generate_phrased(seed)
    site, page, pictures = sample.site, sample.site.pages[0], MemoryPictures(sample.originals)
    reader = Reader(shipped_fonts(), pictures)
    opened = Opened(browser, bundle_files(site, reader.fonts, pictures.file))
    for situation in (s for s in situations(site, page) if s.kind == "rest"):
        record, view = reader.resolve(site, page, situation), situation.moment.viewport
        opened.at(int(view.width), int(view.height))
        boxes, letters = opened.boxes(), opened.letters()
        for block in record.blocks():
            name = f"{seed} {situation.screen} {block.id}"
            there = (block.box.x, block.box.y, block.box.width, block.box.height)
            assert there == pytest.approx(boxes[block.id], abs=1 / 32), name
            assert off_at(entries(block, page), letters[block.id]) <= 1, name
        seen = opened.styled("div.gf-control { display: none !important }")
        drawn = draw_page(record, (0, 0, seen.shape[1], seen.shape[0]), reader.pictures, reader.glyphs)
        off = np.abs(drawn.astype(np.float32) - seen).max(axis=2)
        # a line beneath a link has gaps in the browser where letters cross it
        assert float((off > 24).mean()) < 0.006, situation.screen
        if situation.screen == "phone":
            _readings(opened, reader, record, situation, site, page)
    opened.close()


def _readings(opened, reader, record, situation, site, page):
    ground = opened.styled(HIDDEN + ".gf-words .gf-phrase { color: transparent !important; }")
    for block in record.blocks():
        found = reader.read(record, replace(block, lines=tuple(entries(block, page))), situation, site.requirement)
        assert {number for number, _ in found.phrases} == {
            line.phrase for line in block.lines if line.phrase is not None and line.text.strip()
        }
        letters = opened.letters()[block.id]
        opened.page.add_style_tag(content=ANY_COLOUR)
        inks = opened.ink(block.id)
        opened.at(int(situation.moment.viewport.width), int(situation.moment.viewport.height))
        by_fill = {
            fill: dict(enumerate(letter_ratios(ground, inks, letters, block.size, fill)))
            for fill in {fill_of(block.fill_of(line)) for line in entries(block, page)}
        }
        fills = [fill_of(block.fill_of(line)) for line in entries(block, page) for c in line.text if not c.isspace()]
        count = len(next(iter(by_fill.values())))
        assert count == len(fills)
        worst = min(by_fill[fill][n][1] for n, fill in enumerate(fills))
        assert found.ratio == pytest.approx(worst, rel=0.04), block.id
