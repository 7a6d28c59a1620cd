"""A menu's entries: side by side, wrapped into rows where there is no room (CSS Flexible Box Layout, section 9.3)."""

import math

from ...document import Block
from ..box import Box
from ..lengths import ceiled, layout_unit
from ..lettering import capitalised
from ..records import BlockRecord, Line
from ..shape import Setting, shape
from ..voices import Voice
from ._place import SetWords, WordRoom

GAP = 1.5
"""Space between entries, em."""
ROW_GAP = 0.35
"""Space between rows, em."""


def _entries(block: Block) -> list[str]:
    return [capitalised(item.wording, block.lettering) for item in block.items]


def wording(block: Block) -> str:
    """Its entries, one a line."""
    return "\n".join(_entries(block))


def natural_width(block: Block, setting: Setting, _: tuple[Voice, ...] = ()) -> float:
    """All entries in one row."""
    widths = [ceiled(shape(text, setting).width) for text in _entries(block)]
    return sum(widths) + layout_unit(GAP * setting.size) * max(0, len(widths) - 1)


def set_words(block: Block, setting: Setting, room: WordRoom) -> SetWords:
    """The entries placed as lines of one entry each."""
    entries = _entries(block)
    if not entries:
        return SetWords((), "", 0.0)
    height = layout_unit(room.line_height)
    gap, row_gap = layout_unit(GAP * setting.size), layout_unit(ROW_GAP * setting.size)
    ascent, descent = setting.ascent_descent
    baseline = math.floor((height - (ascent + descent)) / 2) + ascent
    shaped = [shape(text, setting) for text in entries]
    widths = [ceiled(s.width) for s in shaped]
    rows: list[list[int]] = [[]]
    used = 0.0
    for n, width in enumerate(widths):
        if rows[-1] and used + gap + width > room.width:
            rows.append([])
        used = used + gap + width if rows[-1] else width
        rows[-1].append(n)
    starts = [sum(len(text) + 1 for text in entries[:n]) for n in range(len(entries))]
    lines: list[Line] = []
    for r, row in enumerate(rows):
        free = room.width - sum(widths[n] for n in row) - gap * (len(row) - 1)
        x = room.left + layout_unit({"start": 0.0, "center": free / 2, "end": free}[room.align])
        y = room.top + r * (height + row_gap)
        for n in row:
            lines.append(Line(entries[n], starts[n], x, shaped[n].width, y + baseline, y, height, shaped[n].runs))
            x += widths[n] + gap
    missing = "".join(s.missing for s in shaped)
    return SetWords(tuple(lines), missing, len(rows) * height + (len(rows) - 1) * row_gap)


def targets(_: Block, words: BlockRecord, *__: float) -> tuple[Box, ...]:
    """Each entry."""
    return tuple(Box(line.x, line.top, line.width, line.height) for line in words.lines)
