"""Readings in every situation beside the browser's: the page is met there as a visitor meets it.

Missing pictures and fonts are really not there, the page is really scrolled, less motion is really asked for. What lies
under the pointer, half-way to it, or larger letters are emitted as the page that has them at rest: no pointer is over
everything.
"""

import random
from collections.abc import Callable, Iterator
from dataclasses import dataclass, replace
from typing import Any

import numpy as np
from numpy.typing import NDArray
from playwright.sync_api import Browser

from garnetfern.core.css import bundle_files
from garnetfern.core.document import Page, Site, read_site
from garnetfern.core.reading import KINDS, Reader, Situation, situations
from garnetfern.core.resolve.book import FontBook
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.memory import MemoryPictures

from .banners import Sample, generate
from .browser import Opened, Part, pixels
from .compare import without_fonts
from .measure import letter_ratios
from .moments import frozen, sought


@dataclass(frozen=True)
class Met:
    """One block in one situation: the core's worst ratio, the browser's, and what is required."""

    name: str
    kind: str
    core: float
    seen: float
    required: float

    @property
    def off(self) -> float:
        """How far the two are apart, as a share."""
        return abs(self.core / self.seen - 1)

    @property
    def other_verdict(self) -> bool:
        """Whether the two disagree where the reading is more than 3 % from what is required."""
        near = abs(self.core / self.required - 1) <= 0.03
        return not near and (self.core >= self.required) != (self.seen >= self.required)


class InSight(Opened):
    """A page of which only what is on the screen is looked at; the rest is white."""

    tall = 0

    def styled(self, css: str, part: Part | None = None) -> NDArray[np.float32]:
        """What is on the screen, at its place on the page, or a part of that."""
        handle = self.page.add_style_tag(content=css)
        shot = pixels(self.page.screenshot())
        handle.evaluate("e => e.remove()")
        top = int(self.page.evaluate("scrollY"))
        canvas = np.full((max(self.tall, top + shot.shape[0]), shot.shape[1], 3), 255, dtype=np.float32)
        canvas[top : top + shot.shape[0]] = shot
        if part is None:
            return canvas
        left, top, width, height = part
        return canvas[top : top + height, left : left + width]


def _whole(letter: list[Any], top: float, height: float) -> list[Any]:
    """A letter, without width where it is not whole on the screen."""
    character, x, y, width, tall = letter
    return [character, x, y, width if top <= y and y + tall <= top + height else 0, tall]


def _part(opened: Opened, letters: list[list[Any]], size: float) -> Part:
    """The part of the page around letters that their reading depends on."""
    wide, tall = opened.page.evaluate(
        "[document.documentElement.clientWidth, Math.max(innerHeight, document.documentElement.scrollHeight)]"
    )
    boxes = [(x, y, x + w, y + h) for _, x, y, w, h in letters if w]
    if not boxes:
        return (0, 0, int(wide), int(tall))
    left, top = (max(0, int(min(b[n] for b in boxes) - size)) for n in (0, 1))
    right, foot = (int(max(b[n] for b in boxes) + size) + 1 for n in (2, 3))
    return (left, top, min(int(wide), right) - left, min(int(tall), foot) - top)


def seen_ratio(opened: Opened, block: str, sight: tuple[float, float] | None = None) -> float | None:
    """The worst letter's ratio on a screenshot, by px of the screen; with `sight` (top, height) of those in it only."""
    letters = opened.letters()[block]
    if sight is not None:
        letters = [_whole(letter, *sight) for letter in letters]
    found = opened.lettering(block)
    part = _part(opened, letters, found.size)
    k = opened.density
    moved = [[c, k * (x - part[0]), k * (y - part[1]), k * w, k * h] for c, x, y, w, h in letters]
    front = opened.front(block, found.fill, part) if found.covered else None
    ground, inks = opened.ground(block, part), opened.ink(block, part)
    ratios = letter_ratios(ground, inks, moved, k * found.size, found.fill, front, k)
    return min((ratio for _, ratio in ratios), default=None)


def _cut_through(opened: Opened, block: str, top: float, height: float) -> bool:
    """Whether an edge of the screen runs through letters of a block, so that the two may count different ones."""
    boxes = [(y, y + tall) for _, _, y, width, tall in opened.letters()[block] if width]
    return any(a < edge < b for a, b in boxes for edge in (top, top + height))


def open_met(browser: Browser, reader: Reader, site: Site, page: Page, situation: Situation) -> Opened:
    """The page in the browser, in a situation."""
    met = situation.moment.page(page)
    shown = site.model_copy(update={"pages": tuple(met if p.id == page.id else p for p in site.pages)})
    files = bundle_files(shown, reader.fonts, reader.pictures._source.file)  # type: ignore[attr-defined]
    if situation.moment.missing:
        files = {name: data for name, data in files.items() if not name.startswith("pictures/")}
    if situation.moment.plain:
        files = without_fonts(shown, files, reader.fonts)
    moves = any(getattr(x, "attachment", "scroll") != "scroll" for a in page.areas() for x in a.backdrop.layers)
    opened = (InSight if moves and not situation.moment.missing else Opened)(browser, files)
    if situation.moment.less_motion:
        opened.page.emulate_media(reduced_motion="reduce")
    opened.at(int(situation.moment.viewport.width), int(situation.moment.viewport.height))
    if any(x.period() for area in met.areas() for x in area.backdrop.layers):
        times = {time for _, time in situation.moment.phases} or {situation.moment.time or 0.0}
        assert len(times) == 1, situation  # what moves is brought to one own time
        sought(frozen(opened), times.pop())
    if isinstance(opened, InSight):
        opened.tall = int(opened.page.evaluate("document.documentElement.scrollHeight"))
        way = max(0, opened.tall - situation.moment.viewport.height)
        opened.page.evaluate(f"scrollTo(0, {situation.moment.scroll * way})")
        opened.page.wait_for_timeout(60)
    return opened


SHARES = (0.0, 0.3, 0.5, 0.7, 1.0)
"""How far a change has come where the browser is looked at."""


def moments_of(situation: Situation) -> Iterator[Situation]:
    """The moments of a situation at which the browser is looked at: itself, where it is no change of its own accord."""
    if situation.until is None or situation.scrolls:
        yield situation
    else:
        yield from (situation.on_the_way(share) for share in SHARES)


def _places(reader: Reader, site: Site, page: Page, s: Situation) -> Iterator[tuple[Situation, str | None]]:
    """A situation for all blocks; moments of a change; of a whole way, the place where each block is worst."""
    if not s.scrolls:
        yield from ((each, None) for each in moments_of(s))
        return
    there = reader.met(site, page)
    for block in [b for b in there.at(s.moment).blocks() if b.words]:
        found = reader.meet(there, block.id, s, site.requirement)
        if found is not None and found.scroll is not None:
            yield s.on_the_way(found.scroll), block.id


def met(
    browser: Browser,
    sample: Sample,
    wanted: Callable[[Situation], bool] = lambda _: True,
    blocks: int = 9,
    book: FontBook | None = None,
) -> Iterator[Met]:
    """Every block of the sample's page in every wanted situation."""
    reader = Reader((book or shipped_fonts()).with_files(sample.site.fonts), MemoryPictures(sample.originals))
    site, page = sample.site, sample.site.pages[0]
    every = (place for s in situations(site, page, KINDS) if wanted(s) for place in _places(reader, site, page, s))
    for situation, only in every:
        record = reader.resolve(site, page, situation)
        opened = open_met(browser, reader, site, page, situation)
        sight = None
        if isinstance(opened, InSight):
            # the browser scrolls by whole px; the core is asked at the very place
            top = float(opened.page.evaluate("scrollY"))
            way = max(1.0, record.height - situation.moment.viewport.height)
            record = reader.resolve(site, page, replace(situation, moment=replace(situation.moment, scroll=top / way)))
            sight = (top, situation.moment.viewport.height)
        for block in [b for b in record.blocks() if b.words and b.lines and only in (None, b.id)][:blocks]:
            if sight and _cut_through(opened, block.id, *sight):
                continue
            core = reader.read(record, block, situation, site.requirement)
            seen = seen_ratio(opened, block.id, sight)
            if core.ratio is not None and seen is not None:
                name = f"{site.name}, {situation.name}, {block.id}"
                yield Met(name, situation.kind, core.ratio, seen, core.required)
        opened.close()


def fine_screens(browser: Browser, sample: Sample, book: FontBook, density: int = 2) -> Iterator[Met]:
    """Every block of the sample's page at rest: the core's reading, and the browser's on a screen of so many px per CSS
    px."""
    site, page = sample.site, sample.site.pages[0]
    reader = Reader(book.with_files(site.fonts), MemoryPictures(sample.originals))
    opened = Opened(browser, bundle_files(site, reader.fonts, reader.pictures._source.file), density)  # type: ignore[attr-defined]
    for situation in situations(site, page, {"rest"}):
        record = reader.resolve(site, page, situation)
        opened.at(int(situation.moment.viewport.width), int(situation.moment.viewport.height))
        for block in (b for b in record.blocks() if b.words and b.lines):
            core = reader.read(record, block, situation, site.requirement)
            seen = seen_ratio(opened, block.id)
            if core.ratio is not None and seen is not None:
                name = f"{site.name}, {situation.name}, {block.id}"
                yield Met(name, situation.kind, core.ratio, seen, core.required)
    opened.close()


def generate_met(seed: int) -> Sample:
    """The banner of a seed with a state under the pointer, some on a long page with a picture that moves otherwise."""
    rng = random.Random(9000 + seed)
    sample = generate(seed)
    plain = sample.site.model_dump(mode="json")
    band = next(b for b in plain["pages"][0]["bands"] if b["role"] == "banner")
    layers = band["backdrop"]["layers"]
    picture = next((x for x in layers if x["kind"] == "image"), None)
    overlay = next((x for x in layers if x["kind"] == "colour"), None)
    if overlay:
        change = {overlay["id"]: {"opacity": round(rng.random(), 2)}}
        band["backdrop"]["over"] = {"fade": rng.choice([0, 240]), "layers": change}
    if picture and rng.random() < 0.35:
        picture["attachment"] = rng.choice(["fixed", "slower"])
        band["height"] = {"min": "1700px"}
        band["content"]["stand"] = rng.choice(["start", "center"])
    return replace(sample, site=read_site(plain, shipped_fonts().names()))
