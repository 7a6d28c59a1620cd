"""The reading of a block of words: its definition (WCAG 2.2, 1.4.3, measured where the letters are).

Luminance is averaged in linear light over a patch of max(3 px, 0.25 em); a letter's ratio is the figure of its ring;
the reading is the worst letter.
"""

from dataclasses import dataclass
from typing import Literal

import cv2
import numpy as np
from numpy.typing import NDArray

from ..colour.contrast import Requirement, contrast, required_ratio
from ..colour.notation import Rgba
from ..colour.spaces import Bytes, Pixels, level_luminance, lightness, luminance
from ..draw.words import letters_colour
from ..resolve.box import Box
from ..resolve.records import BlockRecord
from .ground import Front, Ground
from .plan import Plan
from .ring import NOWHERE, figures, patch_side

Verdict = Literal["enough", "short", "unread"]
"""What a reading comes to: every letter reaches what is required; one does not; no letter was measured."""


@dataclass(frozen=True)
class Letter:
    """A letter that was judged: its place in the wording, its line and word, its box, ratio and ground, and the number
    of the phrase that it is of."""

    index: int
    character: str
    line: int
    word: str
    box: Box
    ratio: float
    ground: str
    phrase: int | None = None


@dataclass(frozen=True)
class Reading:
    """The contrast of a block of words in a situation. `ratio` is None where no letter was measured, `busyness` where
    nobody asked for it."""

    block: str
    situation: str
    ratio: float | None
    required: float
    share: float
    busyness: float | None
    worst: Letter | None
    short: tuple[Letter, ...]
    doubts: tuple[str, ...] = ()
    away: bool = False
    """Whether it has letters, of which none is on the screen."""
    scroll: float | None = None
    """The share of its way that the page is scrolled where it is worst, 0..1, where all of the way was read."""
    phrases: tuple[tuple[int, float], ...] = ()
    """What each of its phrases comes to by itself, by their numbers."""

    @property
    def nbytes(self) -> int:
        """About what it weighs, for those that keep it."""
        return 500 + 700 * len(self.short)

    @property
    def vouched(self) -> bool:
        """Whether the figure can be trusted."""
        return not self.doubts

    @property
    def verdict(self) -> Verdict:
        """What it comes to. A reading of nothing is neither enough nor short."""
        if self.ratio is None:
            return "unread"
        return "enough" if self.ratio >= self.required else "short"

    @property
    def falls_short(self) -> bool:
        """Whether a letter was measured that does not reach what is required."""
        return self.verdict == "short"


SOME_INK = np.float32(1e-3)
"""A patch of which letters cover less has no letters in it."""


def averaged(values: Pixels, side: int) -> Pixels:
    """The mean over a square around each pixel."""
    return np.asarray(cv2.blur(values, (side, side), borderType=cv2.BORDER_REPLICATE), dtype=np.float32)


def ratio_map(ground: Bytes, light: Pixels, fill: Rgba, size: float) -> Pixels:
    """The contrast of the fill against each patch of the ground, whose luminance is `light`. Height x width."""
    side = patch_side(size)
    behind = averaged(light, side)
    colour = np.array(fill.rgb, dtype=np.float32)
    if fill.alpha >= 1:
        return contrast(luminance(colour), behind)
    below = ground.astype(np.float32)
    shown = below + (colour - below) * np.float32(fill.alpha)
    return contrast(averaged(luminance(shown), side), behind)


def _front_ratios(light: Pixels, front: Front, size: float) -> Pixels:
    """The contrast of letters over which something is painted: of what of them lies in a patch, and all that is behind
    it, whose luminance is `light`."""
    side = patch_side(size)
    seen = level_luminance(front.pixels)
    inked = averaged(front.cover, side)
    own = averaged(seen * front.cover, side) / np.maximum(inked, SOME_INK)
    return contrast(np.where(inked > SOME_INK, own, averaged(seen, side)), averaged(light, side))


def busyness_of(light: Pixels, inked: NDArray[np.int32], size: float) -> float:
    """Standard deviation of CIE L* at the places that are inked, after its part slower than an em is removed.

    `light` is relative luminance, height x width.
    """
    if not inked.size:
        return 0.0
    seen = lightness(light)
    fast = seen - averaged(seen, 2 * round(size / 2) + 1)
    return float(fast.ravel()[inked].std())


def _word_at(text: str, index: int) -> str:
    start = max(text.rfind(" ", 0, index), text.rfind("\n", 0, index)) + 1
    ends = [e for e in (text.find(" ", index), text.find("\n", index)) if e >= 0]
    return text[start : min(ends, default=len(text))]


def _taken(ratios: Pixels, plan: Plan) -> Pixels:
    """The ratios at each letter's places: a row for each, NOWHERE behind its last."""
    return np.append(ratios.ravel(), NOWHERE)[plan.places]


def colours_of(block: BlockRecord, plan: Plan) -> list[tuple[Rgba, NDArray[np.bool_]]]:
    """The colours of a plan's letters, and which letters have each."""
    lines: dict[Rgba, list[int]] = {}
    for number, line in enumerate(block.lines):
        lines.setdefault(letters_colour(block, line), []).append(number)
    if len(lines) == 1:
        return [(colour, np.ones(plan.count, dtype=bool)) for colour in lines]
    found = ((colour, np.isin(plan.line, numbers)) for colour, numbers in lines.items())
    return [(colour, chosen) for colour, chosen in found if chosen.any()]


def plain_ratios(block: BlockRecord, plan: Plan, behind: Bytes, light: Pixels) -> Pixels:
    """The ratio of each letter of a plan over which nothing is painted; there must be one."""
    found = np.empty(plan.count, dtype=np.float32)
    for colour, chosen in colours_of(block, plan):
        some = plan.only(chosen)
        rows = _taken(ratio_map(behind, light, colour, block.size), some)
        found[chosen] = figures(rows, some.levels, some.totals, some.most)
    return found


def letter_ratios(block: BlockRecord, plan: Plan, ground: Ground, light: Pixels | None = None) -> Pixels:
    """The ratio of each letter of a plan; there must be one."""
    behind = ground.behind
    light = level_luminance(behind) if light is None else light
    if not ground.fronts:
        return plain_ratios(block, plan, behind, light)
    found = np.empty(plan.count, dtype=np.float32)
    whole = np.full(light.shape, NOWHERE, dtype=np.float32)
    free = np.ones(plan.count, dtype=bool)
    for front in ground.fronts:
        chosen = plan.line == front.line
        free &= ~chosen
        part = np.s_[front.top : front.top + len(front.pixels)]
        whole[part] = _front_ratios(light[part], front, block.size)
        some = plan.only(chosen)
        found[chosen] = figures(_taken(whole, some), some.levels, some.totals, some.most)
    if free.any():
        found[free] = plain_ratios(block, plan.only(free), behind, light)
    return found


def worst_ratio(block: BlockRecord, plan: Plan, ground: Ground) -> float | None:
    """The ratio of the worst letter alone; None where there is no letter, or one without ink."""
    if not plan.count or plan.faint:
        return None
    return float(letter_ratios(block, plan, ground).min())


def faint(count: int) -> tuple[str, ...]:
    """The doubt about letters that cover no part of any pixel: they have no ring to be judged in."""
    if count == 0:
        return ()
    which = "one letter is" if count == 1 else f"{count} letters are"
    return (f"{which} so thin at this size that no pixel is inked",)


def unread(
    block: BlockRecord, plan: Plan, situation: str, level: Requirement, enlarged: float = 1.0, away: bool = False
) -> Reading:
    """The reading of a block none of whose letters can be measured; `away`: none of them is on the screen."""
    required = required_ratio(block.size / enlarged, block.weight, level)
    return Reading(block.id, situation, None, required, 0.0, None, None, (), block.doubts + faint(plan.faint), away)


def _by_phrase(block: BlockRecord, plan: Plan, ratios: Pixels) -> tuple[tuple[int, float], ...]:
    found: dict[int, float] = {}
    for number, line in enumerate(block.lines):
        there = ratios[plan.line == number] if line.phrase is not None else ratios[:0]
        if line.phrase is not None and len(there):
            found[line.phrase] = min(float(there.min()), found.get(line.phrase, np.inf))
    return tuple(sorted(found.items()))


def judge(
    block: BlockRecord, plan: Plan, ground: Ground, level: Requirement, enlarged: float = 1.0, busy: bool = False
) -> Reading:
    """The reading of a block whose letters stand on `ground`, the pixels of the plan's region, in no situation yet;
    `busy`: with the busyness of that ground."""
    if not plan.count:
        return unread(block, plan, "", level, enlarged)
    required = required_ratio(block.size / enlarged, block.weight, level)
    light = level_luminance(ground.behind)
    ratios = letter_ratios(block, plan, ground, light)

    def described(n: int) -> Letter:
        left, top, width, height = (int(v) for v in plan.boxes[n])
        x, y = left - plan.region[0], top - plan.region[1]
        part = ground.behind[y : y + height, x : x + width]
        red, green, blue, _ = (round(v) for v in cv2.mean(part))
        index, line = int(plan.index[n]), int(plan.line[n])
        return Letter(
            index,
            block.wording[index],
            line,
            _word_at(block.wording, index),
            Box(left, top, width, height),
            float(ratios[n]),
            Rgba(red, green, blue).hex,
            block.lines[line].phrase,
        )

    short = sorted(np.flatnonzero(ratios < required), key=lambda n: int(plan.index[n]))
    worst = described(int(np.argmin(ratios)))
    return Reading(
        block.id,
        "",
        worst.ratio,
        required,
        1 - len(short) / plan.count,
        busyness_of(light, plan.inked, block.size) if busy else None,
        worst,
        tuple(described(int(n)) for n in short),
        block.doubts + faint(plan.faint),
        phrases=_by_phrase(block, plan, ratios),
    )
