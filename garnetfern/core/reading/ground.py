"""What a block's letters stand on: all that is painted beneath them, and what is painted over them later."""

from collections.abc import Callable, Iterator
from dataclasses import dataclass

from ..colour.spaces import Bytes, Pixels
from ..draw.glyphs import Glyphs
from ..draw.paint import blank, paint_area
from ..draw.sample import Region, Sampler
from ..draw.words import ink, letters_colour, letters_cover, line_span, paint_above, paint_around, paint_beneath
from ..resolve.box import Box
from ..resolve.painting import painting, words_touch
from ..resolve.records import AreaRecord, BlockRecord, PageRecord
from ..resolve.sheets import Sheet
from .plan import Plan
from .ring import patch_side

Keep = Callable[[AreaRecord], tuple[Sheet, ...]]
"""Which sheets of an area are looked at."""


@dataclass(frozen=True)
class Layer:
    """What is painted at once: an area with those of its sheets that are there, or what is painted beside a block's
    words."""

    area: AreaRecord | None = None
    sheets: tuple[Sheet, ...] = ()
    words: BlockRecord | None = None

    def touches(self, room: Box) -> bool:
        """Whether it may paint something in a room."""
        if self.words is not None:
            return words_touch(self.words, room)
        return self.area is not None and self.area.touches(room)


def all_sheets(area: AreaRecord) -> tuple[Sheet, ...]:
    """All that are there."""
    return area.sheets


@dataclass(frozen=True)
class Around:
    """What paints something round a block's letters, in the browser's order: `beneath` them, and `above`."""

    beneath: tuple[Layer, ...]
    above: tuple[Layer, ...] = ()

    @property
    def moves(self) -> bool:
        """Whether a picture of it moves otherwise than the page."""
        layers = (*self.beneath, *self.above)
        return any(x.area is not None and x.area.moves and any(s.pictures() for s in x.sheets) for x in layers)


def around(page: PageRecord, block: BlockRecord, room: Box, keep: Keep) -> Around:
    """What paints something in a room round the block's words."""
    beneath: list[Layer] = []
    above: list[Layer] = []
    chosen = beneath
    for step in painting(page):
        area, words = step.area, step.words
        if area is not None:
            if (area.sheets or area.plate) and area.touches(room):
                chosen.append(Layer(area, keep(area)))
        elif words is None:
            continue
        elif words.id == block.id:
            chosen = above
        elif (words.shadow or words.stroke) and words_touch(words, room):
            chosen.append(Layer(words=words))
    return Around(tuple(beneath), tuple(above))


@dataclass(frozen=True, eq=False)
class Front:
    """How letters of one line would look in some rows of the region if they covered everything there, and how much of
    each pixel they do cover."""

    line: int
    top: int
    pixels: Bytes
    cover: Pixels


@dataclass(frozen=True, eq=False)
class Ground:
    """The pixels of a region without the letters' own colour; `fronts`: what has become of that colour in those lines
    over which something is painted."""

    behind: Bytes
    fronts: tuple[Front, ...] = ()


class Painter:
    """Paints the ground of one block's letters."""

    def __init__(self, page: PageRecord, block: BlockRecord, plan: Plan, pictures: Sampler, glyphs: Glyphs) -> None:
        self.page, self.block, self.plan = page, block, plan
        self.pictures, self.glyphs = pictures, glyphs

    def _paint(self, canvas: Bytes, layer: Layer, region: Region) -> None:
        if layer.area is not None:
            paint_area(canvas, layer.area, layer.sheets, region, self.pictures)
        elif layer.words is not None:
            paint_around(canvas, layer.words, region, self.glyphs)

    def _room(self, number: int) -> Box | None:
        """As far as the patches of a line's letters reach."""
        boxes = self.plan.boxes[self.plan.line == number]
        if not len(boxes):
            return None
        left, top = (int(v) for v in boxes[:, :2].min(axis=0))
        right, foot = (int(v) for v in (boxes[:, :2] + boxes[:, 2:]).max(axis=0))
        return Box(left, top, right - left, foot - top).grown(patch_side(self.block.size) // 2 + 1)

    def _rows(self, number: int) -> tuple[int, int] | None:
        """From which row of the region to which that is."""
        room = self._room(number)
        if room is None:
            return None
        top, height = self.plan.region[1], self.plan.region[3]
        return max(0, int(room.y) - top), min(int(room.bottom) - top, height)

    def _shadowed(self) -> bool:
        """Whether a shadow of the words falls on their own letters."""
        if self.block.shadow is None:
            return False
        if self.block.stroke is not None and self.block.stroke.hollow:
            return True
        for number in range(len(self.block.lines) - 1):
            rows = self._rows(number)
            after = line_span(self.block, self.block.lines[number + 1])
            if rows is not None and after.y < rows[1] + self.plan.region[1]:
                return True
        return False

    def _parts(self, canvas: Bytes, fronts: list[Front]) -> Iterator[tuple[Bytes, Region]]:
        """All that is painted on: pixels, and the region that they are."""
        left, top, width, _ = self.plan.region
        yield canvas, self.plan.region
        for front in fronts:
            yield front.pixels, (left, top + front.top, width, len(front.pixels))

    def ground(self, there: Around) -> Ground:
        """Everything in the browser's order. A line's shadow lies on the lines before it."""
        block, region = self.block, self.plan.region
        canvas = blank(self.page, region)
        for layer in there.beneath:
            self._paint(canvas, layer, region)
        shadowed = self._shadowed()
        if not there.above and not shadowed:
            paint_around(canvas, block, region, self.glyphs)
            return Ground(canvas)
        fronts: list[Front] = []
        for number, line in enumerate(block.lines):
            for pixels, part in self._parts(canvas, fronts):
                paint_beneath(pixels, block, line, part, self.glyphs)
            room, rows = self._room(number), self._rows(number)
            changed = room is not None and (shadowed or any(layer.touches(room) for layer in there.above))
            if rows is not None and changed:
                pixels = canvas[rows[0] : rows[1]].copy()
                ink(pixels, letters_colour(block, line))
                part = (region[0], region[1] + rows[0], region[2], len(pixels))
                fronts.append(Front(number, rows[0], pixels, letters_cover(block, line, part, self.glyphs)))
            for pixels, part in self._parts(canvas, fronts):
                paint_above(pixels, block, line, part, self.glyphs)
        for layer in there.above:
            for pixels, part in self._parts(canvas, fronts):
                self._paint(pixels, layer, part)
        return Ground(canvas, tuple(fronts))
