"""Lines of text: breaking as the browser breaks, and where each line's baseline lies."""

import bisect
import math
from functools import lru_cache

from .breaks import break_opportunities
from .lengths import layout_unit
from .records import Line
from .shape import Setting, Shaped, pen_positions, shape_line

TOLERANCE = 1 / 64
"""A line fits when it is wider than its room by no more than this, px."""
UNSURE = 0.5
"""An estimate of a line's width nearer to its room than this is checked by shaping the line, em.

The estimate comes from shaping the whole paragraph; where a cut changes letters, the line is a bit wider."""


def _fits(text: str, start: int, end: int, pens: tuple[float, ...], room: float, setting: Setting) -> bool:
    while end > start and text[end - 1] == " ":
        end -= 1
    estimate = pens[end] - pens[start]
    if abs(estimate - room) > UNSURE * setting.size:
        return estimate < room
    return shape_line(text, start, end, setting).width <= room + TOLERANCE


def _line_end(text: str, start: int, breaks: tuple[int, ...], room: float, setting: Setting) -> int:
    """Where the line that begins at `start` ends: the last break that fits, or inside a word too long for a line."""
    pens = pen_positions(text, setting)
    first = bisect.bisect_right(breaks, start)
    low, high = first, len(breaks)
    while low < high:
        middle = (low + high) // 2
        if _fits(text, start, breaks[middle], pens, room, setting):
            low = middle + 1
        else:
            high = middle
    if low > first:
        return breaks[low - 1]
    end = start + 1
    while end < breaks[first] and _fits(text, start, end + 1, pens, room, setting):
        end += 1
    return end


@lru_cache(maxsize=4096)
def broken_lines(wording: str, room: float, setting: Setting) -> tuple[tuple[int, str, Shaped], ...]:
    """The lines of a wording in a column `room` px wide: the start of each in the wording, its text, its glyphs."""
    found: list[tuple[int, str, Shaped]] = []
    offset = 0
    for paragraph in wording.split("\n"):
        start = 0
        breaks = break_opportunities(paragraph)
        if not paragraph:
            found.append((offset, "", Shaped((), 0.0)))
        while start < len(paragraph):
            end = _line_end(paragraph, start, breaks, room, setting)
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
    ascent, descent = setting.ascent_descent
    baseline = math.floor((height - (ascent + descent)) / 2) + ascent
    lines: list[Line] = []
    missing = ""
    for number, (start, text, shaped) in enumerate(broken_lines(wording, room, setting)):
        missing += shaped.missing
        free = max(0.0, room - shaped.width)
        x = left + layout_unit({"start": 0.0, "center": free / 2, "end": free}[align])
        y = top + number * height
        lines.append(Line(text, start, x, shaped.width, y + baseline, y, height, shaped.runs))
    return tuple(lines), missing
