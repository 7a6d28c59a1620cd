"""Lists: each line of the wording is an entry, indented, with a mark or a number before it."""

from collections.abc import Callable, Iterator
from dataclasses import replace

from ...document import Block
from ..lengths import ceiled, layout_unit
from ..records import Line
from ..shape import Setting, shape
from ._place import SetWords, WordRoom

MARK = "\u2022"
INDENT = {"marks": 1.4, "numbers": 2.0}
"""How far entries are indented, em."""
GAP = 0.35
"""Space between entries, em."""

Flowed = Callable[[WordRoom], SetWords]


def marks_of(block: Block, wording: str) -> Iterator[str]:
    """What stands before each entry of a shown wording."""
    for number in range(1, wording.count("\n") + 2):
        yield MARK if block.listed == "marks" else f"{number}."


def indent_of(block: Block, size: float) -> float:
    """How far its entries are indented, px; nothing where it is no list."""
    return layout_unit(INDENT[block.listed] * size) if block.listed else 0.0


def set_list(block: Block, wording: str, setting: Setting, room: WordRoom, flowed: Flowed) -> SetWords:
    """The entries as words that flow (`flowed`), with marks, whose places in the wording lie behind all entries."""
    indent, gap = indent_of(block, setting.size), layout_unit(GAP * setting.size)
    words = flowed(replace(room, left=room.left + indent, width=max(0.0, room.width - indent)))
    height = layout_unit(room.line_height)
    above = setting.baseline(height)
    entries: list[Line] = []
    marks: list[Line] = []
    missing, place, begun = words.missing, len(wording) + 1, -1
    texts = list(marks_of(block, wording))
    for line in words.lines:
        number = wording.count("\n", 0, line.start)
        down = number * gap
        moved = replace(line, top=line.top + down, baseline=line.baseline + down)
        entries.append(moved)
        if number != begun:
            begun = number
            shaped = shape(texts[number], setting)
            missing += shaped.missing
            start = place + sum(len(text) + 1 for text in texts[:number])
            top = moved.top
            marks.append(
                Line(texts[number], start, room.left, ceiled(shaped.width), top + above, top, height, shaped.runs)
            )
    return SetWords((*entries, *marks), missing, words.height + (len(texts) - 1) * gap)
