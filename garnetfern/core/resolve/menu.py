"""A menu's entries: side by side, wrapped into rows where there is no room (CSS Flexible Box Layout, section 9.3)."""

import math

from ..document import MenuItem
from .lengths import layout_unit
from .records import Line
from .shape import Setting, shape

GAP = 1.5
"""Space between entries, em."""
ROW_GAP = 0.35
"""Space between rows, em."""


def menu_wording(items: tuple[MenuItem, ...]) -> str:
    """What a menu says: its entries, one a line."""
    return "\n".join(item.wording for item in items)


def set_menu(
    items: tuple[MenuItem, ...], setting: Setting, line_height: float, room: float, align: str, left: float, top: float
) -> tuple[tuple[Line, ...], str, float]:
    """The entries placed as lines of one entry each, the characters without a glyph, and the height they take, px."""
    if not items:
        return (), "", 0.0
    height = layout_unit(line_height)
    gap, row_gap = layout_unit(GAP * setting.size), layout_unit(ROW_GAP * setting.size)
    ascent, descent = setting.family.ascent_descent(setting.size)
    baseline = math.floor((height - (ascent + descent)) / 2) + ascent
    shaped = [shape(item.wording, setting) for item in items]
    widths = [math.ceil(s.width * 64 - 1e-6) / 64 for s in shaped]
    rows: list[list[int]] = [[]]
    used = 0.0
    for n, width in enumerate(widths):
        if rows[-1] and used + gap + width > room:
            rows.append([])
        used = used + gap + width if rows[-1] else width
        rows[-1].append(n)
    starts = [sum(len(i.wording) + 1 for i in items[:n]) for n in range(len(items))]
    lines: list[Line] = []
    for r, row in enumerate(rows):
        free = room - sum(widths[n] for n in row) - gap * (len(row) - 1)
        x = left + layout_unit({"start": 0.0, "center": free / 2, "end": free}[align])
        y = top + r * (height + row_gap)
        for n in row:
            text = items[n].wording
            lines.append(Line(text, starts[n], x, shaped[n].width, y + baseline, y, height, shaped[n].runs))
            x += widths[n] + gap
    missing = "".join(s.missing for s in shaped)
    return tuple(lines), missing, len(rows) * height + (len(rows) - 1) * row_gap
