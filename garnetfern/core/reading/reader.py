"""Reads pages: paints the ground behind each block's letters and judges it. Keeps what did not change."""

import math
from collections.abc import Collection, Iterable, Iterator
from dataclasses import replace

from ..cache import Cache
from ..colour.contrast import Requirement
from ..document import Page, Site
from ..draw.glyphs import Glyphs, Mask
from ..draw.sample import PictureSource, Sampler
from ..resolve.book import FontBook
from ..resolve.box import Box
from ..resolve.lengths import Viewport
from ..resolve.met import Met
from ..resolve.moment import Moment
from ..resolve.page import resolve_page
from ..resolve.records import BlockRecord, PageRecord
from .fade import MOMENTS, SURE, Fade, fades
from .flat import flat_ratio
from .graphics import graphic_readings
from .ground import Around, Ground, Keep, Painter, all_sheets, around
from .halving import least_at, lowest
from .kinds import AT_HAND
from .letters import Reading, judge, unread, worst_ratio
from .ligatures import single_letters
from .parts import edge_readings
from .plan import Placed, Plan, plan_of
from .ring import Ring, ring_of, ring_radius
from .situation import Situation
from .situations import situations
from .way import worst_place

UNNAMED = Situation("", "", "", Moment(Viewport(0, 0)), "")
"""For readings of which only the ratio is wanted."""


class Reader:
    """Resolves, paints and judges for one set of fonts and one source of pictures; `busy`: readings tell how busy the
    ground is, which takes a fifth of their time."""

    def __init__(self, fonts: FontBook, source: PictureSource, cache: Cache | None = None, busy: bool = False) -> None:
        self.fonts, self.cache, self.busy = fonts, cache or Cache(), busy
        self.glyphs = Glyphs(fonts, self.cache)
        self.pictures = Sampler(source, self.cache)

    def pause(self) -> None:
        """Between two parts of long work; readers that give way to others do it here."""

    def plan(self, block: BlockRecord) -> Plan:
        """Where a block's letters are judged."""
        return self.cache.get("plan", block, lambda: self._planned(block))

    def _planned(self, block: BlockRecord) -> Plan:
        radius = ring_radius(block.size)
        hollow = block.stroke.width if block.stroke is not None and block.stroke.hollow else None
        rings: list[Placed] = []
        for number, line in enumerate(block.lines):
            for index, left, top, mask in single_letters(self.glyphs, line, hollow, self.cache):
                rings.append((line.start + index, number, left, top, self._ring(mask, radius)))
        return plan_of(rings, block.size)

    def _ring(self, mask: Mask, radius: float) -> Ring:
        return self.cache.get("ring", (mask, radius), lambda: ring_of(mask, radius))

    def read(
        self,
        page: PageRecord,
        block: BlockRecord,
        situation: Situation,
        level: Requirement,
        keep: Keep = all_sheets,
    ) -> Reading:
        """The reading of one block on a page that was resolved for a situation; `keep`: with which sheets of an area.

        Over pictures that move otherwise than the page only the letters on the screen are read: nobody meets the
        others. Where letters are enlarged, what is required goes by how they are set.
        """
        name, enlarged = situation.id, situation.moment.enlarged
        plan = self.plan(block)
        there = around(page, block, Box(*plan.region), keep)
        sight = page.sight if there.moves else None
        shown = plan if sight is None else plan.seen(sight)
        if not shown.count:
            return unread(block, shown, name, level, enlarged, away=plan.count > 0)

        def judged() -> Reading:
            return judge(block, shown, self._ground(page, block, shown, there), level, enlarged, self.busy)

        # it is the same in every situation that has this ground
        found = self.cache.get("reading", (block, there, page.base, sight, level, enlarged, self.busy), judged)
        return replace(found, situation=name)

    def _ground(self, page: PageRecord, block: BlockRecord, plan: Plan, there: Around) -> Ground:
        return Painter(page, block, plan, self.pictures, self.glyphs).ground(there)

    def ratio(self, page: PageRecord, block: BlockRecord, keep: Keep = all_sheets) -> float | None:
        """The ratio of a block's worst letter alone: all that a run over many widths needs. As `read` gives it."""
        near = around(page, block, block.box.grown(block.size), keep)
        flat = flat_ratio(page, block, near, self.pictures)
        if flat is not None:
            return flat
        if near.moves:
            return self.read(page, block, UNNAMED, Requirement.AA, keep).ratio
        plan = self.plan(block)
        if not plan.count:
            return None
        there = around(page, block, Box(*plan.region), keep)

        def worst() -> float | None:
            return worst_ratio(block, plan, self._ground(page, block, plan, there))

        return self.cache.get("ratio", (block, there, page.base), worst)

    def meet(self, met: Met, block_id: str, situation: Situation, level: Requirement) -> Reading | None:
        """The reading of a block on a page in a situation, of a change where it is worst; None where it has no words
        to be seen there."""
        if situation.scrolls:
            return self._along(met, block_id, situation, level)
        if situation.until is None:
            record = met.at(situation.moment)
            block = next((b for b in record.blocks() if b.id == block_id), None)
            return None if block is None else self.read(record, block, situation, level)

        return self.meet(met, block_id, self.worst_of(met, block_id, situation), level)

    def worst_of(self, met: Met, block_id: str, situation: Situation) -> Situation:
        """The moment of a change at which a block fares worst, as a situation of its own."""

        def there(share: float) -> tuple[PageRecord, BlockRecord | None]:
            record = met.at(situation.on_the_way(share).moment)
            return record, next((b for b in record.blocks() if b.id == block_id), None)

        def far(share: float) -> float:
            record, words = there(share)
            ratio = self.ratio(record, words) if words is not None else None
            return math.inf if ratio is None else ratio

        likely = self._of_a_fade([there(share) for share in MOMENTS])
        return situation.on_the_way(min(likely, key=far) if likely else least_at(far))

    def _of_a_fade(self, moments: list[tuple[PageRecord, BlockRecord | None]]) -> list[float]:
        """Shares of a change at which words may fare worst, found without painting what lies in between; none where it
        is no change of that kind. `moments`: the page and the words at MOMENTS of it."""
        record, words = moments[0]
        if words is None or any(other != words for _, other in moments):
            return []
        plan = self.plan(words)
        grounds = [around(page, words, Box(*plan.region), all_sheets) for page, _ in moments] if plan.count else []
        if not grounds or plan.faint or grounds[0].moves or not fades(grounds):
            return []
        first, last = grounds[0], grounds[-1]

        def likely() -> list[float]:
            fade = Fade(self._ground(record, words, plan, first), self._ground(record, words, plan, last))

            def far(share: float) -> float:
                self.pause()
                ratio = worst_ratio(words, plan, fade.at(share))
                return math.inf if ratio is None else ratio

            return lowest(far, SURE)

        return self.cache.get("fade", (words, first, last, record.base), likely)

    def _along(self, met: Met, block_id: str, situation: Situation, level: Requirement) -> Reading | None:
        """The reading of a block where the page is scrolled to its worst."""

        def words_at(place: int) -> tuple[PageRecord, BlockRecord]:
            record = met.at(situation.on_the_way(place / way).moment)
            return record, next(b for b in record.blocks() if b.id == block_id)

        def there(place: int) -> Around:
            record, words = words_at(place)
            return around(record, words, Box(*plan.region), all_sheets)

        def exact(place: int) -> float:
            ratio = self.read(*words_at(place), situation, level).ratio
            return math.inf if ratio is None else ratio

        record = met.at(situation.moment)
        block = next((b for b in record.blocks() if b.id == block_id), None)
        if block is None:
            return None
        height = situation.moment.viewport.height
        way = max(1.0, record.height - height)
        plan = self.plan(block)
        if not around(record, block, Box(*plan.region), all_sheets).moves:
            return self.read(record, block, situation, level)
        place = worst_place(record, block, plan, height, there, self.pictures, exact)
        if place is None:
            return self.read(record, block, situation, level)
        return replace(self.read(*words_at(place), situation, level), scroll=place / way)

    def met(self, site: Site, page: Page) -> Met:
        """The page as it is met at many moments."""
        return Met(site, page, self.fonts)

    def resolve(self, site: Site, page: Page, situation: Situation) -> PageRecord:
        """The page as it is laid out in one situation."""
        return resolve_page(site, page, situation.moment, self.fonts)

    def read_page(
        self, site: Site, page: Page, kinds: Collection[str] | None = AT_HAND
    ) -> list[tuple[Situation, list[Reading]]]:
        """Every block of a page in every situation of some kinds (None: of all). Readings come in the page's order."""
        return list(self.reading_of(site, page, situations(site, page, kinds)))

    def parts_of(
        self, site: Site, page: Page, wanted: Iterable[Situation]
    ) -> Iterator[tuple[Situation, list[Reading]]]:
        """The edges of the page's buttons in these situations, where the site requires them, and the parts of its
        graphics."""
        edges = site.edges and any(b.edged for b in page.blocks())
        if not edges and not any(b.graphic for b in page.blocks()):
            return
        met = self.met(site, page)
        for situation in wanted:
            there = met.at(situation.moment), page, situation.id, self.pictures
            yield situation, [*(edge_readings(*there) if edges else ()), *graphic_readings(*there)]

    def reading_of(
        self, site: Site, page: Page, wanted: Iterable[Situation]
    ) -> Iterator[tuple[Situation, list[Reading]]]:
        """Every block of words of a page in these situations, one after the other."""
        met = self.met(site, page)
        for situation in wanted:
            words = (b.id for b in met.at(situation.moment).blocks() if b.words)
            found = (self.meet(met, name, situation, site.requirement) for name in words)
            yield situation, [reading for reading in found if reading is not None]
