"""Font files for shaping: faces and families, by unicode-range and weight (CSS Fonts 4, sections 4.5 and 5.2), and
their metrics. Which families there are is said by the `book`."""

import io
import math
from collections.abc import Callable
from dataclasses import dataclass, field
from functools import cached_property, lru_cache

import numpy as np
import uharfbuzz as hb
from fontTools.ttLib import TTFont

GENERIC = {"sans-serif": "sans-serif", "serif": "serif", "handwriting": "cursive", "display": "sans-serif"}


def unpack_woff2(data: bytes) -> bytes:
    """The plain OpenType bytes of a woff2 file."""
    font = TTFont(io.BytesIO(data))
    font.flavor = None
    out = io.BytesIO()
    font.save(out, reorderTables=None)
    return out.getvalue()


def parse_unicode_range(text: str) -> tuple[tuple[int, int], ...]:
    """The first and last code points of each part of a unicode-range descriptor."""
    parts = (part.strip().removeprefix("U+").split("-") for part in text.split(","))
    return tuple((int(part[0], 16), int(part[-1], 16)) for part in parts)


def asked_size(size: float) -> float:
    """The font size as the browser keeps it: cut to 1/100 px, all in single precision. Kerning follows it."""
    return float(np.float32(np.floor(np.float32(size) * np.float32(100))) / np.float32(100))


def used_size(size: float) -> float:
    """The font size that letters are drawn with: what is asked for, cut to 1/64 px. Advances follow it."""
    return math.floor(asked_size(size) * 64) / 64


Axes = tuple[float, ...]
"""Where a variable font is set: a value for each of its axes, in the order of its `fvar` table."""

Variation = tuple[tuple[str, float], ...]
"""Axes that are set to something else than what weight and size say, by their tags (`font-variation-settings`)."""

BY_ITSELF = {"wdth": 100.0, "slnt": 0.0, "ital": 0.0}
"""What browsers set axes to of which nothing is said."""

ANY = ((0, 0x10FFFF),)
"""All code points."""


@dataclass(frozen=True, eq=False)
class Face:
    """One font file. `ranges` are the code points it serves, each as first and last; `weights` are the least and the
    greatest that it can be set to."""

    id: str
    load: Callable[[], bytes] = field(repr=False)
    weights: tuple[int, int]
    unicode_range: str = ""
    ranges: tuple[tuple[int, int], ...] = field(default=ANY, repr=False)

    @cached_property
    def data(self) -> bytes:
        """Its OpenType bytes, unpacked when they are first needed."""
        return self.load()

    @cached_property
    def _hb_face(self) -> "hb.Face":
        return hb.Face(self.data)

    @property
    def units_per_em(self) -> int:
        """Font units in an em."""
        return int(self._hb_face.upem)

    @cached_property
    def characters(self) -> frozenset[int]:
        """The code points it has glyphs for."""
        return frozenset(self._hb_face.unicodes)

    def serves(self, code: int) -> bool:
        """Whether its unicode-range holds the code point and it has a glyph for it."""
        return any(first <= code <= last for first, last in self.ranges) and code in self.characters

    def axes(self, weight: int, size: float, variation: Variation = ()) -> Axes:
        """Where its axes are set at a weight and a size, px, as the browser sets them: `wght` by the weight, `opsz` by
        the size (CSS Fonts 4, section 7.12), `wdth` to what is normal, others as they are by themselves."""
        said = {**BY_ITSELF, "wght": float(weight), "opsz": size, **dict(variation)}
        infos = self._hb_face.axis_infos
        return tuple(min(max(said.get(i.tag, i.default_value), i.min_value), i.max_value) for i in infos)

    def sized(self, size: float, axes: Axes) -> "hb.Font":
        """A shaping font whose units are 1/65536 px at this size."""
        return _sized(self, size, axes)

    def advances(self, size: float, axes: Axes) -> "Advances":
        """How far the pen goes by itself at a size as it was asked for, 1/65536 px."""
        return _advances(self, size, axes)

    def set_to(self, axes: Axes) -> dict[str, float]:
        """The same axes by their tags."""
        return {info.tag: value for info, value in zip(self._hb_face.axis_infos, axes, strict=True)}

    def extents(self, size: float, axes: Axes) -> tuple[float, float]:
        """Ascent and descent at a size, px."""
        found = self.sized(size, axes).get_font_extents("ltr")
        return found.ascender / 65536, -found.descender / 65536


@lru_cache(maxsize=512)
def _sized(face: Face, size: float, axes: Axes) -> "hb.Font":
    font = hb.Font(face._hb_face)
    if axes:
        font.set_variations(face.set_to(axes))
    font.scale = (round(size * 65536), round(size * 65536))
    return font


class Advances:
    """Glyphs' own advances as the browser has them: whole font units of the instance, scaled by the drawn size, while
    what a font's tables add to them follows the size as it was asked for."""

    def __init__(self, face: Face, size: float, axes: Axes) -> None:
        self._shaped = face.sized(size, axes)
        upem = face.units_per_em
        self._units = _sized(face, upem / 65536, axes)
        self._scale = math.floor(math.floor(size * 64) * 65536 / upem + 0.5)
        self._more: dict[int, int] = {}

    def correction(self, glyph: int) -> int:
        """What is to be added to the advance that shaping gives, 1/65536 px."""
        if glyph not in self._more:
            own = math.floor(self._units.get_glyph_h_advance(glyph) * self._scale / 64 + 0.5)
            self._more[glyph] = own - self._shaped.get_glyph_h_advance(glyph)
        return self._more[glyph]


@lru_cache(maxsize=512)
def _advances(face: Face, size: float, axes: Axes) -> Advances:
    return Advances(face, size, axes)


def nearest(wanted: int, there: tuple[tuple[int, int], ...]) -> int:
    """The weight that is shown of those that there are, each as least and most (CSS Fonts 4, section 5.2)."""
    if any(least <= wanted <= most for least, most in there):
        return wanted
    above = sorted(least for least, _ in there if least > wanted)
    below = sorted((most for _, most in there if most < wanted), reverse=True)
    if 400 <= wanted <= 500:
        middle = [weight for weight in above if weight <= 500]
        return (middle + below + above)[0]
    return (below + above if wanted < 400 else above + below)[0]


@dataclass(frozen=True, eq=False)
class Family:
    """A family: its faces, most special first, and its italic ones, if it has any.

    `own`: the owner brought it along. `measured`: the family whose lines these letters keep while they stand in for it,
    `adjusted` times as large.
    """

    name: str
    category: str
    character: str
    faces: tuple[Face, ...]
    italics: tuple[Face, ...] = ()
    own: bool = False
    measured: "Family | None" = None
    adjusted: float = 1.0

    @property
    def files(self) -> tuple[Face, ...]:
        """All its faces, upright and italic."""
        return self.faces + self.italics

    @property
    def stack(self) -> str:
        """Its font-family value: what stands in for it, and a generic family, behind it."""
        return f'"{self.name}", "{self.stand_in}", {GENERIC[self.category]}'

    @property
    def stand_in(self) -> str:
        """The name of what stands in for it while it has not come."""
        return f"{self.name} stand-in"

    def _of(self, italic: bool) -> tuple[Face, ...]:
        return self.italics if italic and self.italics else self.faces

    def slanted(self, italic: bool) -> bool:
        """Whether words are slanted that shall be."""
        return italic and bool(self.italics)

    def weights(self, italic: bool = False) -> tuple[tuple[int, int], ...]:
        """The weights it has, each as least and most."""
        return tuple(dict.fromkeys(face.weights for face in self._of(italic)))

    @property
    def least_weight(self) -> int:
        """The lightest that it has."""
        return min(least for least, _ in self.weights())

    @property
    def most_weight(self) -> int:
        """The heaviest that it has."""
        return max(most for _, most in self.weights())

    def weight(self, wanted: int, italic: bool = False) -> int:
        """The weight it shows when `wanted` is asked for."""
        return nearest(wanted, self.weights(italic))

    def face_for(self, code: int, weight: int, italic: bool = False) -> Face | None:
        """The face that shows a code point at a weight it has, or None when the family has no glyph for it."""
        faces = (face for face in reversed(self._of(italic)) if face.weights[0] <= weight <= face.weights[1])
        return next((face for face in faces if face.serves(code)), None)

    def first_face(self, weight: int, italic: bool = False) -> Face:
        """The face whose metrics lines go by (CSS Fonts 4, section 2.2: the first available font)."""
        faces = self._of(italic)
        return next((f for f in reversed(faces) if f.weights[0] <= weight <= f.weights[1]), faces[-1])

    def ascent_descent(self, size: float, weight: int, italic: bool = False) -> tuple[int, int]:
        """Ascent and descent in px, each rounded as the browser rounds them."""
        if self.measured is not None:
            return self.measured.ascent_descent(size, self.measured.weight(weight, italic), italic)
        face, used = self.first_face(weight, italic), used_size(size)
        ascent, descent = face.extents(used, face.axes(weight, used))
        return math.floor(ascent + 0.5), math.floor(descent + 0.5)
