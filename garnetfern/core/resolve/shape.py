"""Shaping: a line's text to glyphs with positions."""

import math
from dataclasses import dataclass, replace
from functools import lru_cache
from itertools import pairwise

import uharfbuzz as hb

from .fonts import Face, Family, Variation, asked_size, used_size
from .records import Run

_UNIT = 1 / 65536
SPACES = (" ", "\u00a0")
"""Behind these the spacing of words is added (CSS Text 3, section 8.1)."""
UNJOINED = {"liga": False, "clig": False, "calt": False}
"""Spaced letters are not joined, nor fitted to their neighbours (CSS Text 3, section 8.2)."""


@dataclass(frozen=True)
class Setting:
    """A family at a size and weight, ready to shape with; `spacing` is added behind each cluster, px, and `between`
    behind each space.

    What stands in for another family is shaped as many times as large as it is adjusted; lines keep their size.
    """

    family: Family
    weight: int
    size: float
    spacing: float = 0.0
    italic: bool = False
    variation: Variation = ()
    between: float = 0.0

    @property
    def asked(self) -> float:
        """The size that is shaped with."""
        return asked_size(self.size * self.family.adjusted)

    @property
    def used(self) -> float:
        """The size that letters are drawn with."""
        return used_size(self.size * self.family.adjusted)

    @property
    def spaced(self) -> float:
        """What is added behind each cluster, cut towards nothing to 1/65536 px."""
        return math.trunc(self.spacing * 65536) / 65536

    @property
    def spaced_words(self) -> float:
        """What is added behind each space, cut likewise."""
        return math.trunc(self.between * 65536) / 65536

    @property
    def ascent_descent(self) -> tuple[int, int]:
        """Ascent and descent of its lines, px."""
        return self.family.ascent_descent(self.size, self.weight, self.italic)

    def baseline(self, height: float) -> int:
        """How far below the top of a line so high its baseline lies, px: half the leading is floored to whole px."""
        ascent, descent = self.ascent_descent
        return math.floor((height - (ascent + descent)) / 2) + ascent


@dataclass(frozen=True)
class Shaped:
    """Glyph runs of a text and its width in px. `missing` are the characters without a glyph.

    `unsafe` are the places where the text must not be cut without shaping both parts anew.
    """

    runs: tuple[Run, ...]
    width: float
    missing: str = ""
    unsafe: frozenset[int] = frozenset()


def _pieces(text: str, setting: Setting) -> list[tuple[int, str, Face | None]]:
    """The text cut where the face changes: start, piece, face."""
    pieces: list[tuple[int, str, Face | None]] = []
    for at, character in enumerate(text):
        face = setting.family.face_for(ord(character), setting.weight, setting.italic)
        if pieces and pieces[-1][2] is face:
            start, piece, _ = pieces[-1]
            pieces[-1] = (start, piece + character, face)
        else:
            pieces.append((at, character, face))
    return pieces


@lru_cache(maxsize=8192)
def shape(text: str, setting: Setting) -> Shaped:
    """Shape a text without line breaks. Characters without a glyph take the width of an em."""
    runs: list[Run] = []
    missing = ""
    unsafe = set(range(1, len(text)))
    pen, spacing, between = 0.0, setting.spaced, setting.spaced_words
    for start, piece, face in _pieces(text, setting):
        if face is None:
            missing += piece
            unsafe -= set(range(start, start + len(piece)))
            pen += (setting.used + spacing) * len(piece)
            continue
        buffer = hb.Buffer()
        buffer.add_str(piece)
        buffer.guess_segment_properties()
        axes = face.axes(setting.weight, setting.used, setting.variation)
        advances = face.advances(setting.asked, axes)
        hb.shape(face.sized(setting.asked, axes), buffer, UNJOINED if setting.spacing else None)
        glyphs, xs, ys, clusters = [], [], [], []
        joined: list[tuple[int, int, float]] = []
        ends = [*(i.cluster for i in buffer.glyph_infos[1:]), None]
        for info, position, after in zip(buffer.glyph_infos, buffer.glyph_positions, ends, strict=True):
            glyphs.append(info.codepoint)
            xs.append(pen + position.x_offset * _UNIT)
            ys.append(position.y_offset * _UNIT)
            clusters.append(start + info.cluster)
            if not info.flags & hb.GlyphFlags.UNSAFE_TO_BREAK:
                unsafe.discard(start + info.cluster)
            if position.x_advance:
                pen += (position.x_advance + advances.correction(info.codepoint)) * _UNIT
            if after != info.cluster:
                behind = len(piece) if after is None else after
                if behind - info.cluster > 1 and buffer.direction == "ltr" and clusters.count(clusters[-1]) == 1:
                    joined.append((clusters[-1], start + behind, pen))
                pen += spacing + (between if piece[info.cluster] in SPACES else 0.0)
        places = tuple(glyphs), tuple(xs), tuple(ys), tuple(clusters)
        runs.append(Run(face.id, setting.used, axes, *places, tuple(joined)))
    return Shaped(tuple(runs), pen, missing, frozenset(unsafe))


@lru_cache(maxsize=1024)
def pen_positions(text: str, setting: Setting) -> tuple[float, ...]:
    """How far the pen has come before each character of the text, and at its end, px.

    Within a cluster of several characters the advance is spread evenly.
    """
    shaped = shape(text, setting)
    starts = sorted({(c, x) for run in shaped.runs for c, x in zip(run.clusters, run.x, strict=True)})
    found: dict[int, float] = {}
    for cluster, x in starts:
        found.setdefault(cluster, x)
    marks = [*found.items(), (len(text), shaped.width)]
    positions = [0.0] * (len(text) + 1)
    for (at, x), (after, x_after) in pairwise(marks):
        for k in range(at, after):
            positions[k] = x + (x_after - x) * (k - at) / (after - at)
    positions[len(text)] = shaped.width
    return tuple(positions)


def _moved(shaped: Shaped, by: float, clusters: int) -> tuple[Run, ...]:
    return tuple(
        replace(
            r,
            x=tuple(x + by for x in r.x),
            clusters=tuple(c + clusters for c in r.clusters),
            joined=tuple((c + clusters, behind + clusters, x + by) for c, behind, x in r.joined),
        )
        for r in shaped.runs
    )


def _part(whole: Shaped, first: int, last: int, pens: tuple[float, ...]) -> Shaped:
    """What of a shaped text stands from `first` to `last`, both safe places, as if it began there."""
    runs: list[Run] = []
    for run in whole.runs:
        inside = [n for n, c in enumerate(run.clusters) if first <= c < last]
        if inside:
            take = slice(inside[0], inside[-1] + 1)
            xs = tuple(x - pens[first] for x in run.x[take])
            clusters = tuple(c - first for c in run.clusters[take])
            cut = [(c - first, behind - first, x - pens[first]) for c, behind, x in run.joined if first <= c < last]
            glyphs, ys = run.glyphs[take], run.y[take]
            runs.append(replace(run, glyphs=glyphs, x=xs, y=ys, clusters=clusters, joined=tuple(cut)))
    return Shaped(tuple(runs), pens[last] - pens[first])


@lru_cache(maxsize=8192)
def shape_line(
    paragraph: str, start: int, end: int, setting: Setting, opens: bool = True, closes: bool = True
) -> Shaped:
    """A line of a paragraph as the browser shapes it: the paragraph's own glyphs, and only what a cut changes anew.
    `opens`, `closes`: it is cut there; otherwise the line has other letters beyond, of another colour say."""
    whole = shape(paragraph, setting)
    text = paragraph[start:end]
    if (start, end) == (0, len(paragraph)) or whole.missing:
        return shape(text, setting)
    first, last = start, end
    while opens and first < end and first in whole.unsafe:
        first += 1
    while closes and last > first and last in whole.unsafe:
        last -= 1
    if last <= first:
        return shape(text, setting)
    head, tail = shape(paragraph[start:first], setting), shape(paragraph[last:end], setting)
    middle = _part(whole, first, last, pen_positions(paragraph, setting))
    runs = (
        *head.runs,
        *_moved(middle, head.width, first - start),
        *_moved(tail, head.width + middle.width, last - start),
    )
    return Shaped(runs, head.width + middle.width + tail.width)
