"""What holds the keyboard's focus has to be seen (WCAG 2.2, 2.4.11 and 2.4.13): as much as a line of 2 px round it
changes by 3 to 1. Pages show it by a light and a dark line."""

from collections.abc import Iterator

import numpy as np

from ...colour.contrast import contrast
from ...colour.notation import parse_colour
from ...colour.spaces import Bytes, Pixels, level_luminance, luminance
from ...css.media import FOCUS_DARK, FOCUS_LIGHT, FOCUS_LINE
from ...draw.sample import Region
from ...draw.words import draw_page
from ...resolve.box import Box
from ...resolve.painting import painting
from ._look import Look, Misfit, Target, quoted

ORDER, TITLE, OURS, PAINTS = 13, "Focus", True, True
CHANGE = 3.0
LINE = 2.0
"""What changes enough is as large as a line so wide round the target, px."""


def _drawn(look: Look, box: Box) -> tuple[Bytes, Region]:
    """The page round a target, as far as it is on the page."""
    outer = box.grown(2 * FOCUS_LINE)
    left, top = max(0, int(outer.x)), max(0, int(outer.y))
    right, foot = min(int(look.record.width), int(outer.right)), min(int(look.record.height), int(outer.bottom))
    region = (left, top, max(0, right - left), max(0, foot - top))
    return draw_page(look.record, region, look.reader.pictures, look.reader.glyphs), region


def _lit(colour: str) -> float:
    return float(luminance(np.array(parse_colour(colour).rgb, dtype=np.float32)))


def _within(box: Box, region: Region) -> tuple[slice, slice]:
    x, y = int(box.x) - region[0], int(box.y) - region[1]
    return np.s_[max(0, y) : max(0, y + int(box.height)), max(0, x) : max(0, x + int(box.width))]


def changed(behind: Pixels, region: Region, box: Box, hidden: tuple[Box, ...]) -> float:
    """How many px change enough when the two lines round a box are shown; `behind` is the luminance of the region."""
    enough = np.zeros(behind.shape, dtype=bool)
    rings = ((box.grown(2 * FOCUS_LINE), FOCUS_DARK), (box.grown(FOCUS_LINE), FOCUS_LIGHT))
    for outer, colour in rings:
        part = _within(outer, region)
        enough[part] = contrast(np.full_like(behind[part], _lit(colour)), behind[part]) >= CHANGE
    enough[_within(box, region)] = False
    for other in hidden:
        enough[_within(other.snapped(), region)] = False
    return float(np.count_nonzero(enough))


def _above(look: Look, target: Target) -> tuple[Box, ...]:
    """The plates that are painted over a target and what is round it."""
    found: list[Box] = []
    after = False
    for step in painting(look.record):
        if step.words is not None and step.words.id == target.block:
            after = True
        elif after and step.area is not None and (step.area.sheets or step.area.plate):
            found.append(step.area.box)
    return tuple(found)


def found(look: Look) -> Iterator[Misfit]:
    """Targets round which too little changes. It is looked at at rest: the lines are the same everywhere."""
    if not look.situation.at_rest:
        return
    wording = {words.id: words.wording for words in look.words}
    for target in (*look.targets, *look.inline):
        box = target.box.snapped()
        if box.width < 1 or box.height < 1:
            continue
        pixels, region = _drawn(look, box)
        hidden = tuple(b for b in _above(look, target) if b.cut(box.grown(2 * FOCUS_LINE)))
        needed = 2 * LINE * (box.width + box.height)
        seen = changed(level_luminance(pixels), region, box, hidden) if region[2] and region[3] else 0.0
        if seen < needed:
            share = f"{seen / needed:.0%}".replace("%", " %")
            sentence = f"The focus on {quoted(target.said or wording[target.block])} is seen along {share} of its line."
            yield Misfit("focus", target.block, sentence, (box,), 1 - seen / needed)
