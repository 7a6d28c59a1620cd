"""The reading of a block of words: its definition (WCAG 2.2, 1.4.3, measured where the letters are).

A letter's ring is its ink grown by max(1 px, 0.08 em). Luminance is averaged in linear light over a patch of
max(3 px, 0.25 em). A letter's ratio is what 90 % of its ring reaches; the reading is the worst letter.
"""

import math
from dataclasses import dataclass

import cv2
import numpy as np
from numpy.typing import NDArray

from ..colour.contrast import Requirement, contrast, required_ratio
from ..colour.notation import Rgba
from ..colour.spaces import Bytes, Pixels, level_luminance, lightness, luminance
from ..draw.glyphs import Mask
from ..draw.sample import Region
from ..resolve.box import Box, round_half_up
from ..resolve.records import BlockRecord

INK = 1 / 3
REACHED = 0.9


@dataclass(frozen=True)
class Letter:
    """A letter that was judged: its place in the wording, its line and word, its box, ratio and ground."""

    index: int
    character: str
    line: int
    word: str
    box: Box
    ratio: float
    ground: str


@dataclass(frozen=True)
class Reading:
    """The contrast of a block of words in a situation. `ratio` is None where there are no letters to judge."""

    block: str
    situation: str
    ratio: float | None
    required: float
    share: float
    busyness: float
    worst: Letter | None
    short: tuple[Letter, ...]
    doubts: tuple[str, ...] = ()

    @property
    def vouched(self) -> bool:
        """Whether the figure can be trusted."""
        return not self.doubts

    @property
    def meets(self) -> bool:
        """Whether every letter reaches what is required; a block without letters does."""
        return self.ratio is None or self.ratio >= self.required


def ring_radius(size: float) -> float:
    """How far a letter's ink is grown, px."""
    return max(1.0, 0.08 * size)


def patch_side(size: float) -> int:
    """The side of the square over which luminance is averaged, an odd number of px."""
    side = max(3.0, 0.25 * size)
    return 2 * round_half_up((side - 1) / 2) + 1


def grown(mask: Mask, radius: float) -> tuple[int, int, NDArray[np.bool_]]:
    """The ring of a letter: left and top from the pen, and the pixels in it."""
    reach = math.ceil(radius)
    ink = cv2.copyMakeBorder((mask.coverage > INK).astype(np.uint8), reach, reach, reach, reach, cv2.BORDER_CONSTANT)
    offsets = np.arange(-reach, reach + 1)
    kernel = (offsets[:, None] ** 2 + offsets[None, :] ** 2 <= radius**2 + 0.25).astype(np.uint8)
    return mask.left - reach, mask.top - reach, cv2.dilate(ink, kernel).astype(bool)


def _averaged(values: Pixels, side: int) -> Pixels:
    return np.asarray(cv2.blur(values, (side, side), borderType=cv2.BORDER_REPLICATE), dtype=np.float32)


def ratio_map(ground: Bytes, light: Pixels, fill: Rgba, size: float) -> Pixels:
    """The contrast of the fill against each patch of the ground, whose luminance is `light`. Height x width."""
    side = patch_side(size)
    behind = _averaged(light, side)
    colour = np.array(fill.rgb, dtype=np.float32)
    if fill.alpha >= 1:
        return contrast(luminance(colour), behind)
    below = ground.astype(np.float32)
    shown = below + (colour - below) * np.float32(fill.alpha)
    return contrast(_averaged(luminance(shown), side), behind)


def percentile_reached(values: Pixels) -> float:
    """The ratio that 90 % of the values reach. There must be a value."""
    at = min(values.size - 1, int(values.size * (1 - REACHED) + 1e-9))
    return float(np.partition(values, at)[at])


def busyness_of(light: Pixels, ring: NDArray[np.bool_], size: float) -> float:
    """Standard deviation of CIE L* in the ring, after its part slower than an em is removed.

    `light` is relative luminance, height x width.
    """
    seen = lightness(light)
    side = 2 * round(size / 2) + 1
    fast = seen - _averaged(seen, side)
    return float(fast[ring].std()) if ring.any() else 0.0


@dataclass(frozen=True)
class PlacedLetter:
    """A letter's ring on the page: index in the wording, line number, left, top, pixels."""

    index: int
    line: int
    left: int
    top: int
    ring: NDArray[np.bool_]


def _word_at(text: str, index: int) -> str:
    start = max(text.rfind(" ", 0, index), text.rfind("\n", 0, index)) + 1
    ends = [e for e in (text.find(" ", index), text.find("\n", index)) if e >= 0]
    return text[start : min(ends, default=len(text))]


def fill_of(block: BlockRecord) -> Rgba:
    """The colour that letters are judged by: hollow ones by their outline."""
    stroke = block.stroke
    return stroke.colour if stroke is not None and stroke.hollow else block.fill


def _place_of(letter: PlacedLetter, region: Region) -> tuple[slice, slice]:
    height, width = letter.ring.shape
    y, x = letter.top - region[1], letter.left - region[0]
    return np.s_[y : y + height, x : x + width]


def worst_ratio(block: BlockRecord, letters: list[PlacedLetter], ground: Bytes, region: Region) -> float | None:
    """The ratio of the worst letter alone; None where there is no letter, or one without ink."""
    if not letters or not all(letter.ring.any() for letter in letters):
        return None
    ratios = ratio_map(ground, level_luminance(ground), fill_of(block), block.size)
    return min(percentile_reached(ratios[_place_of(letter, region)][letter.ring]) for letter in letters)


def faint(count: int) -> tuple[str, ...]:
    """The doubt about letters of which no pixel is covered by more than INK: they have no ring to be judged in."""
    if count == 0:
        return ()
    which = "one letter is" if count == 1 else f"{count} letters are"
    return (f"{which} so thin at this size that no pixel is inked",)


def judge(
    block: BlockRecord,
    letters: list[PlacedLetter],
    ground: Bytes,
    region: Region,
    situation: str,
    level: Requirement,
    enlarged: float = 1.0,
) -> Reading:
    """The reading of a block whose letters stand on `ground`, the pixels of `region` without the letters' fill."""
    required = required_ratio(block.size / enlarged, block.weight, level)
    inked = [letter for letter in letters if letter.ring.any()]
    doubts = block.doubts + faint(len(letters) - len(inked))
    letters = inked
    if not letters:
        return Reading(block.id, situation, None, required, 1.0, 0.0, None, (), doubts)
    light = level_luminance(ground)
    ratios = ratio_map(ground, light, fill_of(block), block.size)
    everywhere = np.zeros(ratios.shape, dtype=bool)
    judged: list[Letter] = []
    for letter in letters:
        height, width = letter.ring.shape
        place = _place_of(letter, region)
        everywhere[place] |= letter.ring
        ratio = percentile_reached(ratios[place][letter.ring])
        character = block.wording[letter.index]
        box = Box(letter.left, letter.top, width, height)
        colour = ""
        judged.append(Letter(letter.index, character, letter.line, "", box, ratio, colour))
    judged.sort(key=lambda found: found.index)
    short = [found for found in judged if found.ratio < required]
    worst = min(judged, key=lambda found: found.ratio)

    def described(letter: Letter) -> Letter:
        x, y = int(letter.box.x) - region[0], int(letter.box.y) - region[1]
        part = ground[y : y + int(letter.box.height), x : x + int(letter.box.width)]
        red, green, blue = (round(float(v)) for v in part.reshape(-1, 3).mean(axis=0))
        word = _word_at(block.wording, letter.index)
        return Letter(
            letter.index, letter.character, letter.line, word, letter.box, letter.ratio, Rgba(red, green, blue).hex
        )

    return Reading(
        block.id,
        situation,
        worst.ratio,
        required,
        1 - len(short) / len(judged),
        busyness_of(light, everywhere, block.size),
        described(worst),
        tuple(described(letter) for letter in short),
        doubts,
    )
