"""Reads pages: paints the ground behind each block's letters and judges it. Keeps what did not change."""

import math
from collections import OrderedDict
from collections.abc import Callable, Hashable
from functools import lru_cache

from ..colour.contrast import Requirement
from ..document import Page, Site
from ..draw.glyphs import Glyphs, Mask
from ..draw.paint import blank, paint_area
from ..draw.sample import PictureSource, Region, Sampler
from ..draw.words import paint_around
from ..resolve.fonts import FontBook
from ..resolve.page import resolve_page
from ..resolve.records import AreaRecord, BlockRecord, Box, PageRecord, Sheet
from .letters import PlacedLetter, Reading, grown, judge, ring_radius
from .situations import Situation, situations


class Reader:
    """Resolves, paints and judges for one set of fonts and one source of pictures."""

    KEPT = 2048

    def __init__(self, fonts: FontBook, source: PictureSource) -> None:
        self.fonts = fonts
        self.glyphs = Glyphs(fonts)
        self.pictures = Sampler(source)
        self._readings: OrderedDict[Hashable, Reading] = OrderedDict()
        self._grown: Callable[[Mask, float], tuple[int, int, object]] = lru_cache(maxsize=8192)(grown)
        self._placed = lru_cache(maxsize=512)(self._place)

    def _place(self, block: BlockRecord) -> tuple[list[PlacedLetter], Region]:
        """The rings of a block's letters, and the region of the page that has to be painted to judge them."""
        radius = ring_radius(block.size)
        hollow = block.stroke.width if block.stroke is not None and block.stroke.hollow else None
        placed: list[PlacedLetter] = []
        for number, line in enumerate(block.lines):
            for cluster, left, top, mask in self.glyphs.letters(block, line, hollow):
                dx, dy, ring = self._grown(mask, radius)
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
        situation: str,
        level: Requirement,
        keep: Callable[[AreaRecord], tuple[Sheet, ...]],
    ) -> Reading:
        """The reading of one block on a resolved page; `keep` says which sheets of an area are there."""
        placed, region = self._placed(block)
        if not placed:
            return judge(block, placed, blank(page, (0, 0, 1, 1)), region, situation, level)
        there = tuple((a, keep(a)) for a in page.areas if (a.sheets or a.plate) and a.touches(Box(*region)))
        key = (block, there, page.base, situation, level)
        if key in self._readings:
            self._readings.move_to_end(key)
            return self._readings[key]
        canvas = blank(page, region)
        for area, sheets in there:
            paint_area(canvas, area, sheets, region, self.pictures)
        paint_around(canvas, block, region, self.glyphs)
        reading = judge(block, placed, canvas, region, situation, level)
        self._readings[key] = reading
        while len(self._readings) > self.KEPT:
            self._readings.popitem(last=False)
        return reading

    def resolve(self, site: Site, page: Page, situation: Situation) -> PageRecord:
        """The page as it is laid out in a situation."""
        return resolve_page(site, page, situation.viewport, self.fonts, pointed=situation.pointed)

    def read_page(self, site: Site, page: Page) -> list[tuple[Situation, list[Reading]]]:
        """Every block of a page in every situation. Readings come in the page's order."""
        found = []
        records: dict[str, PageRecord] = {}
        for situation in situations(site, page):
            if situation.key not in records:
                records[situation.key] = self.resolve(site, page, situation)
            record = records[situation.key]
            readings = [
                self.read(record, b, situation.id, site.requirement, situation.sheets)
                for b in record.blocks()
                if b.words
            ]
            found.append((situation, readings))
        return found
