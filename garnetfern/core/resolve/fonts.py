"""Font files for shaping: families, their faces by unicode-range (CSS Fonts 4, section 4.5), and their metrics."""

import io
import math
from collections.abc import Callable
from dataclasses import dataclass, field
from functools import cached_property, lru_cache

import numpy as np
import uharfbuzz as hb
from fontTools.ttLib import TTFont

from ..cache import Cache

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


def used_size(size: float) -> float:
    """The font size the browser really shapes with: floored to 1/100 px, in single precision, then to 1/64 px."""
    single = float(np.float32(size))
    return math.floor(math.floor(single * 100) / 100 * 64 + 1e-9) / 64


@dataclass(frozen=True, eq=False)
class Face:
    """One font file. `ranges` are the code points it serves, as first and last."""

    id: str
    load: Callable[[], bytes] = field(repr=False)
    unicode_range: str
    ranges: tuple[tuple[int, int], ...] = field(repr=False)

    @cached_property
    def data(self) -> bytes:
        """Its OpenType bytes, unpacked when they are first needed."""
        return self.load()

    @cached_property
    def _hb_face(self) -> "hb.Face":
        return hb.Face(self.data)

    @cached_property
    def characters(self) -> frozenset[int]:
        """The code points it has glyphs for."""
        return frozenset(self._hb_face.unicodes)

    def serves(self, code: int) -> bool:
        """Whether its unicode-range holds the code point and it has a glyph for it."""
        return any(first <= code <= last for first, last in self.ranges) and code in self.characters

    @lru_cache(maxsize=256)  # noqa: B019  (faces live as long as the process)
    def sized(self, size: float, weight: int, variable: bool) -> "hb.Font":
        """A shaping font whose units are 1/65536 px at this size."""
        font = hb.Font(self._hb_face)
        if variable:
            font.set_variations({"wght": weight})
        font.scale = (round(size * 65536), round(size * 65536))
        return font


@dataclass(frozen=True, eq=False)
class Family:
    """A family: its faces, most special first, the weights it has, and its italic faces, if it has any."""

    name: str
    category: str
    character: str
    least_weight: int
    most_weight: int
    variable: bool
    faces: tuple[Face, ...]
    italics: tuple[Face, ...] = ()

    @property
    def files(self) -> tuple[Face, ...]:
        """All its faces, upright and italic."""
        return self.faces + self.italics

    @property
    def stack(self) -> str:
        """Its font-family value, with a generic family behind it."""
        return f'"{self.name}", {GENERIC[self.category]}'

    def weight(self, wanted: int) -> int:
        """The weight it shows when `wanted` is asked for."""
        return min(max(wanted, self.least_weight), self.most_weight)

    def thickened(self, wanted: int) -> bool:
        """Whether the browser would fake this weight by thickening the letters."""
        return wanted >= 600 and self.most_weight < 600

    def face_for(self, code: int, italic: bool = False) -> Face | None:
        """The face that shows a code point, or None when the family has no glyph for it."""
        faces = self.italics if italic and self.italics else self.faces
        return next((face for face in reversed(faces) if face.serves(code)), None)

    def ascent_descent(self, size: float) -> tuple[int, int]:
        """Ascent and descent in px, each rounded as the browser rounds them."""
        extents = self.faces[-1].sized(used_size(size), self.least_weight, self.variable).get_font_extents("ltr")
        return math.floor(extents.ascender / 65536 + 0.5), math.floor(-extents.descender / 65536 + 0.5)


LAID = 320


@dataclass(frozen=True, eq=False)
class FontBook:
    """All families by name."""

    families: tuple[Family, ...]

    @cached_property
    def by_name(self) -> dict[str, Family]:
        """Family by its name."""
        return {family.name: family for family in self.families}

    @cached_property
    def laid(self) -> Cache:
        """Bands that were laid out with these fonts, counted: they are many small records, slow to weigh."""
        return Cache(LAID, lambda _: 1)

    def names(self) -> frozenset[str]:
        """The names of all families."""
        return frozenset(self.by_name)

    def face(self, face_id: str) -> Face:
        """The face of this id."""
        return next(face for family in self.families for face in family.files if face.id == face_id)

    def family(self, name: str) -> Family:
        """The family of this name; the document guarantees that it is there."""
        return self.by_name[name]

    def family_of(self, face_id: str) -> Family:
        """The family a face belongs to."""
        return next(family for family in self.families if any(face.id == face_id for face in family.files))
