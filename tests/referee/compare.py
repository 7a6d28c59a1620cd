"""The core beside the browser, for one sample on one screen."""

from dataclasses import dataclass, field, replace

import numpy as np
from playwright.sync_api import Browser

from garnetfern.core.colour.spaces import Bytes
from garnetfern.core.css import bundle_files
from garnetfern.core.css.bundle import STANDARD
from garnetfern.core.css.letters import font_css, letter_files, lettered
from garnetfern.core.document import Site
from garnetfern.core.draw.glyphs import Glyphs
from garnetfern.core.draw.sample import Region
from garnetfern.core.draw.words import draw_page, paint_around, paint_words
from garnetfern.core.reading import Reader, situations
from garnetfern.core.resolve.book import FontBook
from garnetfern.core.resolve.records import BlockRecord, PageRecord
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.memory import MemoryPictures

from .banners import Sample
from .browser import HIDDEN, Opened, lines_of
from .measure import letter_ratios


@dataclass
class Outcome:
    """What one sample on one screen showed."""

    name: str
    box: float = 0.0
    lines_equal: int = 0
    lines_total: int = 0
    mean: float = 0.0
    within: float = 1.0
    readings: list[tuple[str, float, float, float]] = field(default_factory=list)
    """Block, the core's ratio, the browser's ratio, what is required."""
    hollow: int = 0
    """How many of these are of hollow letters."""


def _boxes(record: PageRecord, opened: Opened, outcome: Outcome) -> None:
    seen = opened.boxes()
    items = [(band.id, band.box) for band in record.bands]
    items += [(column.id, column.box) for band in record.bands for column in band.columns]
    items += [(b.id, b.box) for b in record.blocks()]
    for name, box in items:
        there = seen[name]
        off = max(abs(a - b) for a, b in zip((box.x, box.y, box.width, box.height), there, strict=True))
        outcome.box = max(outcome.box, off)


def _without_fill(canvas: Bytes, block: BlockRecord, region: Region, glyphs: Glyphs) -> None:
    hollow = block.stroke is not None and block.stroke.hollow
    (paint_words if hollow else paint_around)(canvas, block, region, glyphs)


def _pixels(record: PageRecord, opened: Opened, reader: Reader, outcome: Outcome) -> None:
    seen = opened.styled(HIDDEN)
    height, width = seen.shape[:2]
    region = (0, 0, width, height)
    drawn = draw_page(record, region, reader.pictures, reader.glyphs, _without_fill)
    off = np.abs(drawn.astype(np.float32) - seen)
    outcome.mean = float(off.mean())
    outcome.within = float((off.max(axis=2) <= 3).mean())


def _reading(block: str, core: float, required: float, opened: Opened, plates: bool, outcome: Outcome) -> None:
    found = opened.lettering(block)
    front = opened.front(block, found.fill) if plates or found.covered else None
    letters = opened.letters()[block]
    ratios = letter_ratios(opened.ground(block), opened.ink(block), letters, found.size, found.fill, front)
    outcome.readings.append((block, core, min(ratio for _, ratio in ratios), required))


def without_fonts(site: Site, files: dict[str, bytes], book: FontBook) -> dict[str, bytes]:
    """A bundle as a visitor meets it before the fonts have come: other letters stand in, those that we reckon with."""
    page, fonts = site.pages[0], book.of(site)
    urls = lettered(site, STANDARD, letter_files(site, [page], fonts))
    ours, stood = font_css(page, fonts, urls), font_css(page, fonts, STANDARD, plain=True)
    changed = {name: data.replace(ours.encode(), stood.encode()) for name, data in files.items() if name[:4] == "css/"}
    assert any(stood.encode() in data for data in changed.values())
    stand_ins = (face for family in book.stand_ins.values() for face in family.files)
    return {**files, **changed, **{f"fonts/{face.id}": book.file(face) for face in stand_ins}}


def compare(
    browser: Browser,
    sample: Sample,
    with_readings: bool = True,
    book: FontBook | None = None,
    plain: bool = False,
) -> list[Outcome]:
    """All screens of a sample; `plain`: before its fonts have come."""
    pictures = MemoryPictures(sample.originals)
    reader = Reader(book or shipped_fonts(), pictures)
    page = sample.site.pages[0]
    files = bundle_files(sample.site, reader.fonts, pictures.file)
    opened = Opened(browser, without_fonts(sample.site, files, reader.fonts) if plain else files)
    outcomes = []
    for situation in situations(sample.site, page):
        if situation.moment.missing:
            continue
        situation = replace(situation, moment=replace(situation.moment, plain=plain))
        record = reader.resolve(sample.site, page, situation)
        opened.at(int(situation.moment.viewport.width), int(situation.moment.viewport.height))
        outcome = Outcome(f"{sample.site.name}, {situation.name}")
        _boxes(record, opened, outcome)
        letters = opened.letters()
        for block in (b for b in record.blocks() if b.words):
            ours = [line.text for line in block.lines if line.text]
            outcome.lines_total += 1
            outcome.lines_equal += [t.upper() for t in ours] == [t.upper() for t in lines_of(letters[block.id])]
        _pixels(record, opened, reader, outcome)
        # a plate, or its shadow, may lie over words
        plates = any(block.plate is not None for block in sample.site.pages[0].blocks())
        if with_readings:
            for block in (b for b in record.blocks() if b.words):
                found = reader.read(record, block, situation, sample.site.requirement)
                if found.ratio is not None:
                    outcome.hollow += block.stroke is not None and block.stroke.hollow
                    _reading(block.id, found.ratio, found.required, opened, plates, outcome)
        outcomes.append(outcome)
    opened.close()
    return outcomes
