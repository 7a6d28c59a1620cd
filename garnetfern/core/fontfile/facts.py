"""What a font file says of itself: its family, weights, axes, named instances, and what its maker allows (OpenType 1.9,
tables name, OS/2 and fvar)."""

import re
from dataclasses import dataclass
from typing import Any

from fontTools.ttLib import TTFont

from ..document.fonts import Axis, Category, Embedding, FontFile, Instance
from ..resolve.fonts import BY_ITSELF

WIDTHS = {
    1: "Ultra Condensed",
    2: "Extra Condensed",
    3: "Condensed",
    4: "Semi Condensed",
    6: "Semi Expanded",
    7: "Expanded",
    8: "Extra Expanded",
    9: "Ultra Expanded",
}
"""OS/2 usWidthClass."""
RESTRICTED, VIEWED, EDITED, BITMAPS = 0x2, 0x4, 0x8, 0x200
"""Bits of OS/2 fsType."""
SERIF_CLASSES = frozenset((1, 2, 3, 4, 5, 7))
"""OS/2 sFamilyClass, the high byte."""
PLAIN = re.compile(r'["\\<>{};\x00-\x1f\x7f]')


@dataclass(frozen=True)
class FontFacts:
    """What is known of a font file; the same as in the document (`FontFile`), without what it is called."""

    family: str
    category: Category
    italic: bool
    least_weight: int
    most_weight: int
    axes: tuple[Axis, ...]
    instances: tuple[Instance, ...]
    embedding: Embedding
    note: str

    def entry(self, font_id: str, name: str, hash_: str, size: int) -> FontFile:
        """The document's entry of a file of this kind."""
        return FontFile(id=font_id, name=name, hash=hash_, bytes=size, **vars(self))


def facts_to_plain(facts: FontFacts) -> dict[str, Any]:
    """The same as plain data, to be handed over."""
    found = dict(vars(facts))
    for name in ("axes", "instances"):
        found[name] = [one.model_dump() for one in found[name]]
    return found


def facts_from_plain(plain: dict[str, Any]) -> FontFacts:
    """Facts out of plain data; checked, as they come from where somebody's bytes are opened. Raises ValueError."""
    entry = FontFile.model_validate({**plain, "id": "font", "name": "font", "hash": "0" * 64, "bytes": 1})
    return FontFacts(**{name: getattr(entry, name) for name in FontFacts.__dataclass_fields__})


def _named(font: TTFont, *ids: int) -> str:
    """The first of these names that is there, in one line that needs no escaping."""
    found = (font["name"].getDebugName(number) for number in ids)
    text = next((text for text in found if text and text.strip()), "")
    return re.sub(r"\s+", " ", PLAIN.sub(" ", text)).strip()


def _weight(value: int) -> int:
    """A weight class; old files count from 1 to 9."""
    return max(1, min(1000, value * 100 if 0 < value < 10 else value or 400))


def _embedding(bits: int) -> Embedding:
    """What is allowed; where several bits are set the least restrictive holds (OS/2, version 2 and before)."""
    if bits & BITMAPS:
        return "none"
    if bits & EDITED:
        return "edit"
    if bits & VIEWED:
        return "view"
    return "none" if bits & RESTRICTED else "any"


def _category(font: TTFont, family: str) -> Category:
    """What kind of letters they are: by the class, else by PANOSE, else by the name."""
    table = font["OS/2"]
    kind = table.sFamilyClass >> 8
    panose = table.panose
    if kind == 10 or panose.bFamilyType == 3 or re.search(r"\b(script|hand)", family, re.IGNORECASE):
        return "handwriting"
    if kind in SERIF_CLASSES or (panose.bFamilyType == 2 and 2 <= panose.bSerifStyle <= 10):
        return "serif"
    if kind == 8 or (panose.bFamilyType == 2 and 11 <= panose.bSerifStyle <= 15):
        return "sans-serif"
    return "serif" if re.search(r"\bserif\b", family, re.IGNORECASE) and "sans" not in family.lower() else "sans-serif"


def _axes(font: TTFont) -> tuple[Axis, ...]:
    found = []
    for axis in font["fvar"].axes if "fvar" in font else ():
        name = _named(font, axis.axisNameID) or axis.axisTag
        values = (axis.minValue, axis.defaultValue, axis.maxValue)
        found.append(Axis(tag=axis.axisTag, name=name[:120], least=values[0], usual=values[1], most=values[2]))
    return tuple(found)


def _instances(font: TTFont, axes: tuple[Axis, ...], most: int) -> tuple[Instance, ...]:
    usual = {axis.tag: axis.usual for axis in axes}
    itself = {axis.tag: min(max(BY_ITSELF.get(axis.tag, axis.usual), axis.least), axis.most) for axis in axes}
    found = []
    for instance in font["fvar"].instances[:most] if "fvar" in font else ():
        there = {**usual, **instance.coordinates}
        name = _named(font, instance.subfamilyNameID)
        weight = _weight(round(there.pop("wght", font["OS/2"].usWeightClass)))
        own = {tag: value for tag, value in there.items() if value != itself[tag]}
        if name:
            found.append(Instance(name=name[:120], weight=weight, axes=own))
    return tuple(found)


def facts_of(font: TTFont, notes: list[str]) -> FontFacts:
    """What a font says of itself. Whatever fontTools raises over broken tables goes through."""
    table = font["OS/2"]
    axes = _axes(font)
    family = _named(font, 16, 1) or "A font without a name"
    width = WIDTHS.get(table.usWidthClass, "")
    narrow = re.search(r"narrow|condensed|wide|expanded|extended", family, re.IGNORECASE)
    if width and not narrow and not any(axis.tag == "wdth" for axis in axes):
        family = f"{family} {width}"
    italic = bool(table.fsSelection & 1 or font["head"].macStyle & 2)
    weight = next((axis for axis in axes if axis.tag == "wght"), None)
    least, most = (weight.least, weight.most) if weight else (table.usWeightClass,) * 2
    return FontFacts(
        family[:60].strip(),
        _category(font, family),
        italic,
        _weight(round(least)),
        _weight(round(most)),
        axes,
        _instances(font, axes, 400),
        _embedding(table.fsType),
        " ".join(notes)[:600],
    )
