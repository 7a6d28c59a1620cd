"""The contrast of words as an eye sees them. The same letters, rings, patches and figure as those of a reading.

Ground and letters are painted as ever, then seen through the veil; only then are they luminances. Where the veil blurs,
letters lose contrast because their strokes run into what is between them: their light keeps that share of its distance
from the ground which the blur leaves between strokes and gaps, in a square of one em round each place.
"""

import math

import cv2
import numpy as np

from ..colour.contrast import contrast
from ..colour.spaces import LUMINANCE, Bytes, Pixels, level_linear
from ..draw.sample import Region
from ..draw.words import draw_page, ink, letters_cover, paint_around
from ..reading import Reader
from ..reading.ground import Around, Ground, Painter, all_sheets, around
from ..reading.letters import SOME_INK, averaged, colours_of
from ..reading.plan import Plan
from ..reading.ring import NOWHERE, figures, patch_side
from ..resolve.box import Box
from ..resolve.records import BlockRecord, PageRecord
from .veil import Veil, seen_light


def _grown(region: Region, by: int) -> Region:
    left, top, width, height = region
    return left - by, top - by, width + 2 * by, height + 2 * by


def _reach(veil: Veil) -> int:
    """How far a blur brings in what is around, px."""
    return math.ceil(3 * veil.blur)


def _light(pixels: Bytes, veil: Veil) -> Pixels:
    """Relative luminance of pixels as they are seen."""
    return np.asarray(seen_light(level_linear(pixels), veil) @ LUMINANCE, dtype=np.float32)


def left_of_letters(cover: Pixels, blur: float, em: float) -> Pixels:
    """The share of the difference between strokes and gaps that a blur leaves, 0..1; 1 where there are no letters.

    `cover` is how much of each pixel letters cover, 0..1, height x width.
    """
    if blur <= 0:
        return np.ones_like(cover)
    soft = cv2.GaussianBlur(cover, (0, 0), blur, borderType=cv2.BORDER_CONSTANT).astype(np.float32)
    side = 2 * max(1, round(em / 2)) + 1

    def between(seen: Pixels) -> Pixels:
        strokes, gaps = averaged(cover, side), averaged(1 - cover, side)
        of_strokes = averaged(seen * cover, side) / np.maximum(strokes, SOME_INK)
        of_gaps = averaged(seen * (1 - cover), side) / np.maximum(gaps, SOME_INK)
        return np.asarray(of_strokes - of_gaps, dtype=np.float32)

    sharp = between(cover)
    left = np.clip(between(soft) / np.maximum(sharp, SOME_INK), 0, 1)
    return np.asarray(np.where(sharp > SOME_INK, left, 1), dtype=np.float32)


class _Words:
    """The words of one block on a page, as they are painted round their plan."""

    def __init__(
        self, reader: Reader, page: PageRecord, block: BlockRecord, plan: Plan, veil: Veil, there: Around
    ) -> None:
        self.reader, self.page, self.block, self.plan, self.veil = reader, page, block, plan, veil
        self.there, self.reach = there, _reach(veil)
        self.region = _grown(plan.region, self.reach)
        height, width = plan.region[3], plan.region[2]
        self.inner = np.s_[self.reach : self.reach + height, self.reach : self.reach + width]

    def _cut(self, wide: Pixels) -> Pixels:
        return wide[self.inner]

    def _ground(self) -> Ground:
        painter = Painter(self.page, self.block, self.plan, self.reader.pictures, self.reader.glyphs)
        return painter.ground(self.there)

    def _behind(self, ground: Ground) -> Bytes:
        """The ground, with as much round it as a blur brings in."""
        if not self.reach:
            return ground.behind
        wide = draw_page(self.page, self.region, self.reader.pictures, self.reader.glyphs, paint_around)
        wide[self.inner] = ground.behind
        return wide

    def _left(self) -> Pixels:
        if self.veil.plain:
            return np.ones((self.plan.region[3], self.plan.region[2]), dtype=np.float32)
        cover = np.zeros((self.region[3], self.region[2]), dtype=np.float32)
        for line in self.block.lines:
            np.maximum(cover, letters_cover(self.block, line, self.region, self.reader.glyphs), out=cover)
        return self._cut(left_of_letters(cover, self.veil.blur, self.block.size))

    def worst(self) -> float:
        """The ratio of the worst letter."""
        ground, plan, side = self._ground(), self.plan, patch_side(self.block.size)
        wide = self._behind(ground)
        light = self._cut(_light(wide, self.veil))
        behind, left = averaged(light, side), self._left()
        found = np.empty(plan.count, dtype=np.float32)
        free = np.ones(plan.count, dtype=bool)
        for front in ground.fronts:
            # what is painted over the letters is part of how they look
            part, chosen = np.s_[front.top : front.top + len(front.pixels)], plan.line == front.line
            over = light.copy()
            over[part] = _light(front.pixels, self.veil)
            free &= ~chosen
            found[chosen] = self._figures(plan.only(chosen), over, light, behind, left)
        for colour, having in colours_of(self.block, plan):
            chosen = having & free
            if chosen.any():
                whole = wide.copy()
                ink(whole, colour)
                letters = self._cut(_light(whole, self.veil))
                found[chosen] = self._figures(plan.only(chosen), letters, light, behind, left)
        return float(found.min())

    def _figures(self, plan: Plan, letters: Pixels, light: Pixels, behind: Pixels, left: Pixels) -> Pixels:
        side = patch_side(self.block.size)
        own = averaged(light + (letters - light) * left, side)
        ratios = np.append(contrast(own, behind).ravel(), NOWHERE)[plan.places]
        return figures(ratios, plan.levels, plan.totals, plan.most)


def ratio_seen(reader: Reader, page: PageRecord, block: BlockRecord, veil: Veil) -> float | None:
    """What a block's worst letter comes to on a page that was resolved for a moment, seen through a veil; None where no
    letter could be measured."""
    plan = reader.plan(block)
    if not plan.count or block.doubts:
        return None
    there, reach = around(page, block, Box(*plan.region), all_sheets), _reach(veil)
    sight = page.sight if there.moves else None
    shown = plan if sight is None else plan.seen(sight)
    if not shown.count:
        return None
    # a blur brings in what is further away
    further = around(page, block, Box(*_grown(plan.region, reach)), all_sheets) if reach else there
    key = (block, there, further, page.base, sight, veil.blur, veil.matrix.tobytes())
    return reader.cache.get("seen", key, lambda: _Words(reader, page, block, shown, veil, there).worst())
