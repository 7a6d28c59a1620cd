"""A page as it is laid out in one situation, for looking whether its words fit; and what does not."""

import math
from collections.abc import Iterator
from dataclasses import dataclass, replace
from functools import cached_property, partial

import numpy as np
from numpy.typing import NDArray

from ...document import Block, Page, Site
from ...draw.glyphs import Mask
from ...resolve.blocks import targets_of
from ...resolve.box import Box, around
from ...resolve.met import Met
from ...resolve.records import BlockRecord, Line, PageRecord
from ..reader import Reader
from ..situation import Situation

INKED = 0.3
"""A pixel of which letters cover less is not theirs."""


@dataclass(frozen=True)
class Misfit:
    """Words that do not fit: what is wrong in a sentence, and where, px of the page. `kind` is the module that found
    it. `other` are words that they are in each other's way with. `figure` tells how bad it is; more is worse.
    """

    kind: str
    block: str
    sentence: str
    boxes: tuple[Box, ...]
    figure: float
    grave: bool = True
    other: str | None = None


@dataclass(frozen=True, eq=False)
class Letter:
    """A letter's ink: its index in the wording, its line, its box in whole px, and how much of each px it covers."""

    index: int
    line: int
    box: Box
    cover: NDArray[np.float32]


Inked = tuple[int, int, int, NDArray[np.float32]]
"""A letter's index in its line, the left and the top of its ink, and how much of each px it covers."""


@dataclass(frozen=True)
class Target:
    """What can be pressed; `said`: its words, where they are not all of its block's."""

    block: str
    box: Box
    said: str = ""


class Look:
    """What the kinds of misfit look at."""

    def __init__(self, reader: Reader, site: Site, met: Met, situation: Situation) -> None:
        self.reader, self.site, self.situation = reader, site, situation
        self.page: Page = met.page_at(situation.moment)
        self.record: PageRecord = met.at(situation.moment)
        self._letters: dict[str, tuple[Letter, ...]] = {}
        self._line_ink: dict[str, tuple[Box | None, ...]] = {}

    @cached_property
    def words(self) -> tuple[BlockRecord, ...]:
        """The blocks of words that are to be seen."""
        return tuple(b for b in self.record.blocks() if b.words and b.lines)

    @cached_property
    def _blocks(self) -> dict[str, Block]:
        return {block.id: block for block in self.page.blocks()}

    def block(self, words: BlockRecord) -> Block:
        """The block that words are of."""
        return self._blocks[words.id]

    def running(self) -> Iterator[BlockRecord]:
        """Words that are read line after line."""
        return (words for words in self.words if self.block(words).of_kind.running)

    def letters(self, words: BlockRecord) -> tuple[Letter, ...]:
        """The ink of words, with the line along it."""
        if words.id not in self._letters:
            self._letters[words.id] = tuple(self._inked(words))
        return self._letters[words.id]

    def _inked(self, words: BlockRecord) -> Iterator[Letter]:
        for number in range(len(words.lines)):
            yield from self.line_letters(words, number)

    def line_letters(self, words: BlockRecord, number: int) -> Iterator[Letter]:
        """The ink of one line."""
        line = words.lines[number]
        x, y, found, _ = self._ink_of(words, line)
        for cluster, left, top, cover in found:
            box = Box(x + left, y + top, cover.shape[1], cover.shape[0])
            yield Letter(line.start + cluster, number, box, cover)

    def line_ink(self, words: BlockRecord) -> tuple[Box | None, ...]:
        """Where the ink of each line is; None: a line without any."""
        if words.id not in self._line_ink:
            found = []
            for line in words.lines:
                x, y, _, box = self._ink_of(words, line)
                found.append(None if box is None else replace(box, x=box.x + x, y=box.y + y))
            self._line_ink[words.id] = tuple(found)
        return self._line_ink[words.id]

    def _ink_of(self, words: BlockRecord, line: Line) -> tuple[int, int, list[Inked], Box | None]:
        """The whole px that a line stands at, and its letters and the box around them as if it stood at the page's
        corner: most lines are the same at many widths."""
        stroke = words.stroke.width if words.stroke is not None and words.stroke.hollow else None
        x, y = math.floor(line.x), math.floor(line.baseline)
        there = replace(line, text="", start=0, x=line.x - x, baseline=line.baseline - y, top=0.0)

        def made() -> tuple[list[Inked], Box | None]:
            found: list[Inked] = []
            for cluster, left, top, mask in self.reader.glyphs.letters(there, stroke):
                trimmed = self.reader.cache.get("trimmed", mask, partial(_trimmed, mask))
                if trimmed is not None:
                    found.append((cluster, left + trimmed[0], top + trimmed[1], trimmed[2]))
            boxes = [Box(left, top, cover.shape[1], cover.shape[0]) for _, left, top, cover in found]
            return found, around(boxes) if boxes else None

        letters, box = self.reader.cache.get("ink", (there, stroke), made)
        return x, y, letters, box

    def ink(self, words: BlockRecord) -> Box | None:
        """Where the ink of words is."""
        boxes = [box for box in self.line_ink(words) if box is not None]
        return around(boxes) if boxes else None

    def outside(self, words: BlockRecord, room: Box) -> list[Letter]:
        """The letters whose ink is not wholly in a room."""
        ink = self.ink(words)
        if ink is None or _holds(room, ink):
            return []
        return [letter for letter in self.letters(words) if not _holds(room, letter.box)]

    @cached_property
    def targets(self) -> tuple[Target, ...]:
        """All that can be pressed."""
        found: list[Target] = []
        for words in self.words:
            block = self.block(words)
            family = self.reader.fonts.of(self.site).family(words.family)
            extents = family.ascent_descent(words.size, words.weight, family.slanted(block.lettering.italic))
            found += [Target(words.id, box) for box in targets_of(block, words, *extents)]
        for block in (b for b in self.page.blocks() if b.link and b.assets()):
            boxes = (box for band in self.record.bands for name, box in band.pictures if name == block.id)
            found += [Target(block.id, box, block.said or "a picture") for box in boxes]
        return tuple(found)

    @cached_property
    def inline(self) -> tuple[Target, ...]:
        """The links among words, a line after the other. WCAG 2.2, 2.5.8 asks nothing of their size."""
        found: list[Target] = []
        for words in self.words:
            links = [bool(phrase.link) for phrase in self.block(words).phrases]
            family = self.reader.fonts.of(self.site).family(words.family)
            for line in words.lines:
                if line.phrase is not None and links[line.phrase]:
                    ascent, descent = family.ascent_descent(words.size, words.weight)
                    box = Box(line.x, line.baseline - ascent, line.width, ascent + descent)
                    found.append(Target(words.id, box, line.text))
        return tuple(found)


def _holds(room: Box, box: Box) -> bool:
    return box.x >= room.x and box.right <= room.right and box.y >= room.y and box.bottom <= room.bottom


def _trimmed(mask: Mask) -> tuple[int, int, NDArray[np.float32]] | None:
    """What of a mask is inked, and where it begins."""
    inked = mask.coverage > INKED
    if not inked.any():
        return None
    rows, columns = np.flatnonzero(inked.any(axis=1)), np.flatnonzero(inked.any(axis=0))
    top, left = int(rows[0]), int(columns[0])
    return left, top, mask.coverage[top : rows[-1] + 1, left : columns[-1] + 1]


def quoted(text: str) -> str:
    """Words in a sentence, not all of them where they are many."""
    flat = " ".join(text.split())
    return f"'{flat}'" if len(flat) <= 40 else f"'{flat[:38]} …'"


def word_at(text: str, index: int) -> str:
    """The word that a letter stands in."""
    start, end = index, index
    while start > 0 and not text[start - 1].isspace():
        start -= 1
    while end < len(text) and not text[end].isspace():
        end += 1
    return text[start:end]


def words_said(words: BlockRecord, letters: list[Letter]) -> str:
    """The words that some letters stand in, the first of them, and how many more there are."""
    found = list(dict.fromkeys(word_at(words.wording, letter.index) for letter in letters))
    more = "" if len(found) == 1 else f" and {len(found) - 1} more word{'' if len(found) == 2 else 's'}"
    return quoted(found[0]) + more


def by_line(letters: list[Letter]) -> tuple[Box, ...]:
    """The boxes around some letters, one for each line."""
    lines = dict.fromkeys(letter.line for letter in letters)
    return tuple(around(x.box for x in letters if x.line == line) for line in lines)
