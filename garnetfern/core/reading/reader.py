"""Reads pages: paints the ground behind each block's letters and judges it. Keeps what did not change."""

import math
from collections.abc import Callable, Collection, Iterable, Iterator

from ..cache import Cache
from ..colour.contrast import Requirement
from ..colour.spaces import Bytes
from ..document import Page, Site
from ..draw.glyphs import Glyphs, Mask
from ..draw.paint import blank, paint_area
from ..draw.sample import PictureSource, Region, Sampler
from ..draw.words import paint_around
from ..resolve.book import FontBook
from ..resolve.box import Box
from ..resolve.lengths import Viewport
from ..resolve.met import Met
from ..resolve.moment import Moment
from ..resolve.page import resolve_page
from ..resolve.records import AreaRecord, BlockRecord, PageRecord
from ..resolve.sheets import Sheet
from .flat import flat_ratio
from .halving import least_at
from .kinds import AT_HAND
from .letters import PlacedLetter, Reading, grown, judge, ring_radius, worst_ratio
from .parts import edge_readings
from .situation import Situation
from .situations import situations


def _in_sight(letter: PlacedLetter, sight: Box) -> bool:
    """Whether a letter is on the screen, whole, give or take a part of its ring."""
    height, width = letter.ring.shape
    middle = letter.left + width / 2, letter.top + height / 2
    return bool(sight.x <= middle[0] <= sight.right and sight.y <= middle[1] <= sight.bottom)


Keep = Callable[[AreaRecord], tuple[Sheet, ...]]
"""Which sheets of an area are looked at."""

There = tuple[tuple[AreaRecord, tuple[Sheet, ...]], ...]
"""Areas and those of their sheets that are there, in the order of painting."""


def _around(page: PageRecord, box: Box, keep: Keep) -> There:
    return tuple((a, keep(a)) for a in page.areas if (a.sheets or a.plate) and a.touches(box))


UNNAMED = Situation("", "", "", Moment(Viewport(0, 0)), "")
"""For readings of which only the ratio is wanted."""


def all_sheets(area: AreaRecord) -> tuple[Sheet, ...]:
    """All that are there."""
    return area.sheets


class Reader:
    """Resolves, paints and judges for one set of fonts and one source of pictures."""

    def __init__(self, fonts: FontBook, source: PictureSource, cache: Cache | None = None) -> None:
        self.fonts, self.cache = fonts, cache or Cache()
        self.glyphs = Glyphs(fonts, self.cache)
        self.pictures = Sampler(source, self.cache)

    def _ring(self, mask: Mask, radius: float) -> tuple[int, int, object]:
        return self.cache.get("ring", (mask, radius), lambda: grown(mask, radius))

    def _placed(self, block: BlockRecord) -> tuple[list[PlacedLetter], Region]:
        return self.cache.get("placed", block, lambda: self._place(block))

    def _place(self, block: BlockRecord) -> tuple[list[PlacedLetter], Region]:
        """The rings of a block's letters, and the region of the page that has to be painted to judge them."""
        radius = ring_radius(block.size)
        hollow = block.stroke.width if block.stroke is not None and block.stroke.hollow else None
        placed: list[PlacedLetter] = []
        for number, line in enumerate(block.lines):
            for cluster, left, top, mask in self.glyphs.letters(line, hollow):
                dx, dy, ring = self._ring(mask, radius)
                x, y = left - mask.left + dx, top - mask.top + dy
                placed.append(PlacedLetter(line.start + cluster, number, x, y, ring))  # type: ignore[arg-type]
        if not placed:
            return placed, (0, 0, 0, 0)
        margin = math.ceil(max(3.0, block.size / 2))
        left = min(p.left for p in placed) - margin
        top = min(p.top for p in placed) - margin
        right = max(p.left + p.ring.shape[1] for p in placed) + margin
        bottom = max(p.top + p.ring.shape[0] for p in placed) + margin
        return placed, (left, top, right - left, bottom - top)

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
        placed, region = self._placed(block)
        there = _around(page, Box(*region), keep)
        moves = any(a.moves and any(s.pictures() for s in sheets) for a, sheets in there)
        sight = page.sight if moves else None
        if sight is not None:
            placed = [p for p in placed if _in_sight(p, sight)]
        if not placed:
            return judge(block, placed, blank(page, (0, 0, 1, 1)), region, name, level, enlarged)
        key = (block, there, page.base, sight, name, level, enlarged)
        letters = placed

        def judged() -> Reading:
            canvas = self._ground(page, block, there, region)
            return judge(block, letters, canvas, region, name, level, enlarged)

        return self.cache.get("reading", key, judged)

    def _ground(self, page: PageRecord, block: BlockRecord, there: There, region: Region) -> Bytes:
        canvas = blank(page, region)
        for area, sheets in there:
            paint_area(canvas, area, sheets, region, self.pictures)
        paint_around(canvas, block, region, self.glyphs)
        return canvas

    def ratio(self, page: PageRecord, block: BlockRecord, keep: Keep = all_sheets) -> float | None:
        """The ratio of a block's worst letter alone: all that a run over many widths needs. As `read` gives it."""
        near = _around(page, block.box.grown(block.size), keep)
        flat = flat_ratio(page, block, near, self.pictures)
        if flat is not None:
            return flat
        if any(a.moves for a, _ in near):
            return self.read(page, block, UNNAMED, Requirement.AA, keep).ratio
        placed, region = self._placed(block)
        if not placed:
            return None
        there = _around(page, Box(*region), keep)

        def worst() -> float | None:
            return worst_ratio(block, placed, self._ground(page, block, there, region), region)

        return self.cache.get("ratio", (block, there, page.base), worst)

    def meet(self, met: Met, block_id: str, situation: Situation, level: Requirement) -> Reading | None:
        """The reading of a block on a page in a situation, of a change where it is worst; None where it has no words
        to be seen there."""
        if situation.until is None:
            record = met.at(situation.moment)
            block = next((b for b in record.blocks() if b.id == block_id), None)
            return None if block is None else self.read(record, block, situation, level)

        def far(share: float) -> float:
            there = met.at(situation.on_the_way(share).moment)
            words = next((b for b in there.blocks() if b.id == block_id), None)
            ratio = self.ratio(there, words) if words is not None else None
            return math.inf if ratio is None else ratio

        return self.meet(met, block_id, situation.on_the_way(least_at(far)), level)

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

    def edges_of(
        self, site: Site, page: Page, wanted: Iterable[Situation]
    ) -> Iterator[tuple[Situation, list[Reading]]]:
        """The edges of the page's buttons in these situations."""
        if not any(b.edged for b in page.blocks()):
            return
        met = self.met(site, page)
        for situation in wanted:
            yield situation, list(edge_readings(met.at(situation.moment), page, situation.id, self.pictures))

    def reading_of(
        self, site: Site, page: Page, wanted: Iterable[Situation]
    ) -> Iterator[tuple[Situation, list[Reading]]]:
        """Every block of words of a page in these situations, one after the other."""
        met = self.met(site, page)
        for situation in wanted:
            words = (b.id for b in met.at(situation.moment).blocks() if b.words)
            found = (self.meet(met, name, situation, site.requirement) for name in words)
            yield situation, [reading for reading in found if reading is not None]
