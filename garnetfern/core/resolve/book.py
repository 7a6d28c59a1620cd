"""Which font families there are: those that ship, those that the owner brought along, and what stands in for each
while its files have not come (CSS Fonts 5, section 4: size-adjust and the overrides of metrics)."""

from collections.abc import Callable, Iterable, Mapping
from dataclasses import dataclass, field
from functools import cached_property, lru_cache, partial

from ..cache import Cache
from ..document import FontFile, Site
from .fonts import Face, Family, Variation, unpack_woff2

LAID = 320
SAMPLED = 32.0
"""The size at which the sample is set, px: letters that answer to their size are as wide as there."""
SAMPLE = (
    "The glasshouse keeps its oldest ferns in the long room by the door, where visitors can read, rest and draw. "
    "Open daily from 10 to 5; every quiet Sunday in June, six extra guides walk you through it."
)
"""What the size of a stand-in goes by: letters about as often as texts have them."""


def _no_own(hash_: str) -> bytes:
    raise KeyError(hash_)


@dataclass(frozen=True)
class Standing:
    """How what stands in for a family is set at one weight: the family with its metrics, its own weight, and whether it
    is "serif" or "sans-serif"."""

    kind: str
    family: Family
    weight: int
    italic: bool


@dataclass(frozen=True)
class Brought:
    """What of an owner's font file makes a difference to how words are set."""

    family: str
    category: str
    italic: bool
    weights: tuple[int, int]
    hash: str


def _brought(file: FontFile) -> Brought:
    return Brought(file.family, file.category, file.italic, (file.least_weight, file.most_weight), file.hash)


@dataclass(frozen=True, eq=False)
class FontBook:
    """All families by name. An owner's own family stands before a shipped one of the same name.

    `files` gives the woff2 bytes of a shipped face by its id, `own_files` those of an owner's font file by its hash;
    `stand_ins` are families whose widths many devices have, "serif" and "sans-serif".
    """

    shipped: tuple[Family, ...]
    files: Callable[[str], bytes] = field(repr=False)
    stand_ins: Mapping[str, Family] = field(default_factory=dict, repr=False)
    own_files: Callable[[str], bytes] = field(default=_no_own, repr=False)
    brought: tuple[Brought, ...] = ()
    origin: "FontBook | None" = field(default=None, repr=False)

    def with_own(self, own_files: Callable[[str], bytes]) -> "FontBook":
        """The same, with a place from which owners' font files come."""
        return FontBook(self.shipped, self.files, self.stand_ins, own_files)

    def of(self, site: Site) -> "FontBook":
        """The book with a site's own families."""
        return self.with_files(site.fonts)

    def with_files(self, files: Iterable[FontFile]) -> "FontBook":
        """The book with these font files of an owner."""
        brought = tuple(map(_brought, files))
        if brought == self.brought:
            return self
        origin = self.origin or self
        return origin._with(brought) if brought else origin

    @cached_property
    def _with(self) -> Callable[[tuple[Brought, ...]], "FontBook"]:
        def made(brought: tuple[Brought, ...]) -> FontBook:
            return FontBook(self.shipped, self.files, self.stand_ins, self.own_files, brought, self)

        return lru_cache(maxsize=24)(made)

    @cached_property
    def _own_face(self) -> Callable[[Brought], Face]:
        def made(file: Brought) -> Face:
            return Face(f"{file.hash}.woff2", partial(self._unpacked, file.hash), file.weights)

        return lru_cache(maxsize=256)(made)

    def _unpacked(self, hash_: str) -> bytes:
        return unpack_woff2(self.own_files(hash_))

    @cached_property
    def families(self) -> tuple[Family, ...]:
        """All families: the owner's own first."""
        origin = self.origin or self
        found = []
        for name in dict.fromkeys(file.family for file in self.brought):
            files = [file for file in self.brought if file.family == name]
            upright = tuple(origin._own_face(f) for f in files if not f.italic)
            italic = tuple(origin._own_face(f) for f in files if f.italic)
            faces, slanted = (upright, italic) if upright else (italic, ())
            found.append(Family(name, files[0].category, "your own", faces, slanted, own=True))
        names = {family.name for family in found}
        return (*found, *(family for family in self.shipped if family.name not in names))

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

    def family(self, name: str) -> Family:
        """The family of this name; the document guarantees that it is there."""
        return self.by_name[name]

    def file(self, face: Face) -> bytes:
        """The woff2 bytes of a face."""
        known = face.id in self._ids
        return self.files(face.id) if known else self.own_files(face.id.removesuffix(".woff2"))

    @cached_property
    def _ids(self) -> dict[str, Face]:
        families = (*self.shipped, *self.stand_ins.values())
        return {face.id: face for family in families for face in family.files}

    @cached_property
    def _by_hash(self) -> Callable[[str], Face]:
        def made(face_id: str) -> Face:
            return Face(face_id, partial(self._unpacked, face_id.removesuffix(".woff2")), (1, 1000))

        return lru_cache(maxsize=64)(made)

    def face(self, face_id: str) -> Face:
        """The face of this id, of whatever site; for drawing."""
        return self._ids.get(face_id) or (self.origin or self)._by_hash(face_id)

    def standing_in(self, name: str, weight: int, italic: bool = False, variation: Variation = ()) -> Standing:
        """What stands in for a family at a weight while its files have not come."""
        family = self.family(name)
        shown = family.weight(weight, italic)
        kind = "serif" if family.category == "serif" else "sans-serif"
        stand_in, slanted = self.stand_ins[kind], family.slanted(italic)
        own = 700 if shown >= 600 else 400
        adjusted = _adjusted(family, shown, slanted, variation, stand_in, own)
        found = Family(
            name, family.category, family.character, stand_in.faces, stand_in.italics, False, family, adjusted
        )
        return Standing(kind, found, own, slanted)


def _width(family: Family, weight: int, italic: bool, variation: Variation) -> float:
    """How wide the sample is, em; letters that are not there count as they do in what stands in."""
    total, size = 0.0, SAMPLED
    for letter in SAMPLE:
        face = family.face_for(ord(letter), weight, italic)
        if face is None:
            return 0.0
        font = face.sized(size, face.axes(weight, size, variation))
        total += font.get_glyph_h_advance(font.get_nominal_glyph(ord(letter)) or 0) / 65536
    return total / size


@lru_cache(maxsize=512)
def _adjusted(
    family: Family, weight: int, italic: bool, variation: Variation, stand_in: Family, its_weight: int
) -> float:
    """How many times as large the stand-in is set, in whole hundredths of a percent; 1 where the sample cannot be."""
    wanted, has = _width(family, weight, italic, variation), _width(stand_in, its_weight, italic, ())
    return round(wanted / has, 4) if wanted and has else 1.0
