"""A menu's entries: side by side, wrapped into rows where there is no room (CSS Flexible Box Layout, section 9.3); or
folded behind a word that opens them, one under the other."""

from dataclasses import replace

from ...document import Block
from ..box import Box
from ..lengths import ceiled, layout_unit
from ..lettering import capitalised
from ..lines import set_lines
from ..records import BlockRecord, Line
from ..shape import Setting, shape
from ..voices import Voice
from ._place import SetWords, WordRoom

GAP = 1.5
"""Space between entries, em."""
ROW_GAP = 0.35
"""Space between rows, em."""
FOLDED = "Menu"
"""What entries fold behind where nothing else is said."""
SIGN, BESIDE_SIGN = 0.45, 0.5
"""How wide the sign behind that word is, and the space before it, em."""


def _entries(block: Block) -> list[str]:
    """Its words one after the other: those of its entries that are to be seen, and what they fold behind."""
    entries = [item.wording for item in block.items]
    if block.fold != "beside" and entries:
        entries = [block.wording or FOLDED, *(entries if block.fold == "open" else ())]
    return [capitalised(entry, block.lettering) for entry in entries]


def wording(block: Block) -> str:
    """Its entries, one a line."""
    return "\n".join(_entries(block))


def natural_width(block: Block, setting: Setting, _: tuple[Voice, ...] = ()) -> float:
    """All entries in one row; where they fold, the widest of them, or the word that opens them with its sign."""
    widths = [ceiled(shape(text, setting).width) for text in _entries(block)]
    if block.fold != "beside" and widths:
        return max(widths[0] + sign_width(setting.size), *widths)
    return sum(widths) + layout_unit(GAP * setting.size) * max(0, len(widths) - 1)


def sign_width(size: float) -> float:
    """How much the sign behind the word that opens a folded menu takes, px."""
    return layout_unit(SIGN * size) + layout_unit(BESIDE_SIGN * size)


def _folded(entries: list[str], setting: Setting, room: WordRoom) -> SetWords:
    """One under the other: the word that opens them in one line, entries in as many as they need."""
    height, gap = layout_unit(room.line_height), layout_unit(ROW_GAP * setting.size)
    word = shape(entries[0], setting)
    wide = ceiled(word.width) + sign_width(setting.size)
    free = max(0.0, room.width - wide)
    x = room.left + layout_unit({"start": 0.0, "center": free / 2, "end": free}[room.align])
    baseline = room.top + setting.baseline(height)
    lines = [Line(entries[0], 0, x, wide, baseline, room.top, height, word.runs)]
    missing, start, y = word.missing, len(entries[0]) + 1, room.top + height
    for text in entries[1:]:
        found, lacking = set_lines(text, setting, room.line_height, room.width, room.align, room.left, y + gap)
        lines += [replace(line, start=start + line.start) for line in found]
        missing += lacking
        start += len(text) + 1
        y += gap + len(found) * height
    return SetWords(tuple(lines), missing, y - room.top)


def set_words(block: Block, setting: Setting, room: WordRoom) -> SetWords:
    """The entries placed as lines of one entry each."""
    entries = _entries(block)
    if not entries:
        return SetWords((), "", 0.0)
    if block.fold != "beside":
        return _folded(entries, setting, room)
    height = layout_unit(room.line_height)
    gap, row_gap = layout_unit(GAP * setting.size), layout_unit(ROW_GAP * setting.size)
    baseline = setting.baseline(height)
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
