"""Lines of text: breaking as the browser breaks, and where each line's baseline lies."""

import bisect
from functools import lru_cache

from .breaks import break_opportunities
from .lengths import ceiled, layout_unit
from .records import Line
from .shape import Setting, Shaped, pen_positions, shape, shape_line

TOLERANCE = 1 / 64
"""A line fits when it is wider than its room by no more than this, px."""


def first_safe(place: int, end: int, unsafe: frozenset[int]) -> int:
    """The first place from one on at which a text can be cut without shaping it anew; `end` where there is none."""
    while place < end and place in unsafe:
        place += 1
    return place


def last_safe(place: int, start: int, unsafe: frozenset[int]) -> int:
    """The last such place up to one; `start` where there is none."""
    while place > start and place in unsafe:
        place -= 1
    return place


class Paragraph:
    """A paragraph that is being broken: its pens, and where it can be cut without being shaped anew."""

    def __init__(self, text: str, setting: Setting) -> None:
        self.text, self.setting = text, setting
        self.pens, self.unsafe = pen_positions(text, setting), shape(text, setting).unsafe

    def _width(self, start: int, end: int) -> float:
        return shape(self.text[start:end], self.setting).width

    def fits(self, start: int, end: int, room: float, fresh: bool = True) -> bool:
        """Whether a line from `start` to `end` has its room, by the pens of the whole paragraph first; `fresh`: the
        line begins there, and does not go on."""
        while end > start and self.text[end - 1] == " ":
            end -= 1
        pens, limit = self.pens, room + TOLERANCE
        first = first_safe(start, len(self.text), self.unsafe) if fresh else start
        if first >= end:
            return pens[end] - pens[start] <= limit
        head = self._width(start, first) if first > start else 0.0
        if head + pens[end] - pens[first] > limit:
            return False
        last = last_safe(end, first, self.unsafe)
        if last == end:
            return True
        return ceiled(head + pens[last] - pens[first]) + ceiled(self._width(last, end)) <= limit

    def breaks_from(self, start: int) -> tuple[int, ...]:
        """Where a line that begins at `start` may end. Behind a break inside a word a hyphen before a digit is a minus
        sign, since the browser looks at nothing before the line."""
        found = break_opportunities(self.text)
        first = bisect.bisect_right(found, start)
        within = start > 0 and self.text[start - 1] != " "
        if (
            within
            and self.text[start] == "-"
            and found[first] == start + 1
            and self.text[start + 1 : start + 2].isdigit()
        ):
            first += 1
        return found[first:]

    def line_end(self, start: int, room: float) -> int:
        """Where the line that begins at `start` ends: the last break that fits, or inside a word too long for it."""
        breaks = self.breaks_from(start)
        fitting = bisect.bisect_left(breaks, True, key=lambda end: not self.fits(start, end, room))
        if fitting:
            return breaks[fitting - 1]
        end = start + 1
        while end < breaks[0] and self.fits(start, end + 1, room):
            end += 1
        return end


@lru_cache(maxsize=4096)
def broken_lines(wording: str, room: float, setting: Setting) -> tuple[tuple[int, str, Shaped], ...]:
    """The lines of a wording in a column `room` px wide: the start of each in the wording, its text, its glyphs."""
    found: list[tuple[int, str, Shaped]] = []
    offset = 0
    for paragraph in wording.split("\n"):
        start = 0
        if not paragraph:
            found.append((offset, "", Shaped((), 0.0)))
        broken = Paragraph(paragraph, setting)
        while start < len(paragraph):
            end = broken.line_end(start, room)
            text = paragraph[start:end].rstrip(" ")
            found.append((offset + start, text, shape_line(paragraph, start, start + len(text), setting)))
            start = end
            while start < len(paragraph) and paragraph[start] == " ":
                start += 1
        offset += len(paragraph) + 1
    return tuple(found)


def set_lines(
    wording: str, setting: Setting, line_height: float, room: float, align: str, left: float, top: float
) -> tuple[tuple[Line, ...], str]:
    """Lines placed from `left`, `top` in a column `room` px wide, and the characters that have no glyph.

    `line_height` is in px. Half the leading is floored to whole px, ascent and descent are rounded, as in the browser.
    """
    if not wording:
        return (), ""
    height = layout_unit(line_height)
    baseline = setting.baseline(height)
    lines: list[Line] = []
    missing = ""
    for number, (start, text, shaped) in enumerate(broken_lines(wording, room, setting)):
        missing += shaped.missing
        width = ceiled(shaped.width)
        free = max(0.0, room - width)
        x = left + layout_unit({"start": 0.0, "center": free / 2, "end": free}[align])
        y = top + number * height
        lines.append(Line(text, start, x, width, y + baseline, y, height, shaped.runs))
    return tuple(lines), missing
