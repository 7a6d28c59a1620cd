"""Lines of words in several voices, as the browser breaks and sets them.

Neighbours that are set alike are shaped together, whatever their colours (so a pair of letters keeps its kerning
across the edge of a link); each voice's part of a line is as wide as its letters, rounded up to 1/64 px by itself. A
line is as high as the highest of what stands in it and of its block's own letters (CSS 2.2, section 10.8.1).
"""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace
from functools import lru_cache
from itertools import groupby

from .lengths import ceiled, layout_unit
from .lines import Paragraph, first_safe
from .records import Line
from .shape import Setting, Shaped, shape, shape_line
from .voices import Voice


@dataclass(frozen=True)
class _Part:
    """What of a voice stands in a line: places in the paragraph, the voice, and its part of what is shaped together."""

    start: int
    end: int
    voice: Voice
    stretch: "_Stretch"


class _Stretch(Paragraph):
    """Neighbouring voices of a paragraph that are set alike, from `start` of it on."""

    def __init__(self, text: str, setting: Setting, start: int) -> None:
        super().__init__(text, setting)
        self.start = start

    def width(self, start: int, end: int, fresh: bool) -> float:
        """How wide its letters are between two places of it, px; `fresh`: a line begins there."""
        first = first_safe(start, end, self.unsafe) if fresh else start
        if first >= end:
            return shape(self.text[start:end], self.setting).width
        head = shape(self.text[start:first], self.setting).width if first > start else 0.0
        return head + self.pens[end] - self.pens[first]


class _Mixed(Paragraph):
    """A paragraph in several voices, whose places are told from its own start."""

    def __init__(self, text: str, voices: Sequence[Voice]) -> None:
        self.text = text
        self.parts: list[_Part] = []
        for setting, alike in groupby(voices, key=lambda voice: voice.setting):
            inner = list(alike)
            stretch = _Stretch(text[inner[0].start : inner[-1].end], setting, inner[0].start)
            self.parts += [_Part(voice.start, voice.end, voice, stretch) for voice in inner]

    def within(self, start: int, end: int) -> list[_Part]:
        """What of its voices stands between two places."""
        cut = (replace(p, start=max(start, p.start), end=min(end, p.end)) for p in self.parts)
        return [part for part in cut if part.start < part.end]

    def fits(self, start: int, end: int, room: float, fresh: bool = True) -> bool:
        """Whether a line from `start` to `end` has its room: its last part has what the others leave."""
        parts = self.within(start, start + len(self.text[start:end].rstrip(" ")))
        if not parts:
            return True
        for part in parts[:-1]:
            at = part.stretch.start
            room -= ceiled(part.stretch.width(part.start - at, part.end - at, fresh and part.start == start))
        last = parts[-1]
        at = last.stretch.start
        return last.stretch.fits(last.start - at, last.end - at, room, fresh and last.start == start)

    def shaped(self, start: int, end: int) -> list[tuple[_Part, Shaped]]:
        """The parts of a line with their glyphs."""
        found = []
        for part in self.within(start, end):
            stretch, at = part.stretch, part.stretch.start
            cut = (part.start == start, part.end == end)
            shaped = shape_line(stretch.text, part.start - at, part.end - at, stretch.setting, *cut)
            found.append((part, shaped))
        return found


def _paragraphs(wording: str, voices: Sequence[Voice]) -> Iterator[tuple[int, str, tuple[Voice, ...]]]:
    """Each paragraph, where it begins, and its voices, whose places are told from there."""
    offset = 0
    for text in wording.split("\n"):
        end = offset + len(text)
        inner = (replace(v, start=max(v.start, offset), end=min(v.end, end)) for v in voices)
        moved = (replace(v, start=v.start - offset, end=v.end - offset) for v in inner if v.start < v.end)
        yield offset, text, tuple(moved)
        offset = end + 1


Broken = tuple[int, str, tuple[tuple[int, str, Voice, Shaped], ...]]
"""A line: where it begins in the wording, its text, and its parts: where each begins, its text, voice and glyphs."""


@lru_cache(maxsize=2048)
def broken_mixed(wording: str, room: float, voices: tuple[Voice, ...]) -> tuple[Broken, ...]:
    """The lines of a wording in several voices, in a column `room` px wide."""
    found: list[Broken] = []
    for offset, paragraph, inner in _paragraphs(wording, voices):
        mixed = _Mixed(paragraph, inner)
        start = 0
        if not paragraph:
            found.append((offset, "", ()))
        while start < len(paragraph):
            end = mixed.line_end(start, room)
            text = paragraph[start:end].rstrip(" ")
            parts = tuple(
                (offset + p.start, paragraph[p.start : p.end], p.voice, shaped)
                for p, shaped in mixed.shaped(start, start + len(text))
            )
            found.append((offset + start, text, parts))
            start = end
            while start < len(paragraph) and paragraph[start] == " ":
                start += 1
    return tuple(found)


def mixed_width(wording: str, voices: Sequence[Voice]) -> float:
    """How wide the widest of its lines is where nothing makes them break, px."""
    return max(
        (
            sum(ceiled(shaped.width) for _, shaped in _Mixed(text, inner).shaped(0, len(text)))
            for _, text, inner in _paragraphs(wording, voices)
        ),
        default=0.0,
    )


def _stands(setting: Setting, height: float) -> tuple[float, float]:
    """How far letters of a setting reach above and below their baseline with their leading, px."""
    above = setting.baseline(height)
    return above, height - above


def set_mixed(
    wording: str, voices: tuple[Voice, ...], own: Setting, line_height: float, room: float, align: str,
    left: float, top: float,
) -> tuple[tuple[Line, ...], str, float]:  # fmt: skip
    """A line for each part of each line, placed from `left`, `top` in a column `room` px wide; the characters that have
    no glyph; and the height of all, px. `own`: how the block's other words are set; `line_height` is in px."""
    height = layout_unit(line_height)
    lines: list[Line] = []
    missing = ""
    y = top
    for _, _, parts in broken_mixed(wording, room, voices):
        stands = [_stands(own, height), *(_stands(voice.setting, height) for _, _, voice, _ in parts)]
        above, below = max(a for a, _ in stands), max(b for _, b in stands)
        widths = [ceiled(shaped.width) for *_, shaped in parts]
        free = max(0.0, room - sum(widths))
        x = left + layout_unit({"start": 0.0, "center": free / 2, "end": free}[align])
        for (start, text, voice, shaped), width in zip(parts, widths, strict=True):
            missing += shaped.missing
            said = (voice.fill, voice.phrase, voice.underlined)
            lines.append(Line(text, start, x, width, y + above, y, above + below, shaped.runs, *said))
            x += width
        y += above + below
    return tuple(lines), missing, y - top
