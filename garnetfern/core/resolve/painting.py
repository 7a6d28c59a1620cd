"""The order in which a page's areas and words are painted (CSS 2.2, appendix E; Flexible Box Layout 1, section 5.4).

Bands and columns are each painted whole before the next one begins. Inside of a column the words without a plate and
the pictures come first, then each plate with its words, so that a plate lies over words that come later in the text.
"""

from collections.abc import Iterator
from dataclasses import dataclass

from .box import Box
from .records import AreaRecord, BandRecord, BlockRecord, PageRecord

LETTERS_REACH = 1.0
"""So far past its box a block's letters may paint, em."""


@dataclass(frozen=True)
class Step:
    """What is painted at once: an area's sheets, or a block's words."""

    area: AreaRecord | None = None
    words: BlockRecord | None = None

    def touches(self, region: Box) -> bool:
        """Whether it may paint something there."""
        if self.area is not None:
            return bool(self.area.sheets or self.area.plate) and self.area.touches(region)
        return self.words is not None and words_touch(self.words, region)


def words_touch(words: BlockRecord, region: Box) -> bool:
    """Whether a block's letters, or their shadow, may paint something there."""
    if not words.lines:
        return False
    shadow = words.shadow
    reach = 0.0 if shadow is None else 2 * shadow.blur + max(abs(shadow.across), abs(shadow.down))
    return words.box.grown(LETTERS_REACH * words.size + reach).cut(region) is not None


def _column(names: tuple[str, ...], areas: dict[str, AreaRecord], words: dict[str, BlockRecord]) -> Iterator[Step]:
    plated = [name for name in names if name in areas and areas[name].plate is not None]
    for name in names:
        if name not in plated:
            yield Step(words=words[name]) if name not in areas else Step(areas[name])
    for name in plated:
        yield Step(areas[name])
        yield Step(words=words[name])


def _band(band: BandRecord, areas: dict[str, AreaRecord]) -> Iterator[Step]:
    words = {block.id: block for block in band.blocks}
    if band.id in areas:
        yield Step(areas[band.id])
    for column in band.columns:
        if column.id in areas:
            yield Step(areas[column.id])
        yield from _column(column.blocks, areas, words)


def painting(page: PageRecord) -> tuple[Step, ...]:
    """All that a page paints over its canvas, the lowest first."""
    known: tuple[Step, ...] | None = page.__dict__.get("_painting")
    if known is None:
        known = _ordered(page)
        # worked out once for each record, which is frozen and does not count this
        page.__dict__["_painting"] = known
    return known


def _ordered(page: PageRecord) -> tuple[Step, ...]:
    areas = {area.id: area for area in page.areas}
    below = tuple(Step(area) for area in page.areas if area.kind in ("page", "join"))
    return (*below, *(step for band in page.bands for step in _band(band, areas)))
