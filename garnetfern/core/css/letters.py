"""Fonts as CSS: the files that a page needs, and what stands in for them until they have come (CSS Fonts 4, section 4;
CSS Fonts 5, section 4)."""

from collections.abc import Iterable, Iterator
from dataclasses import dataclass, replace

from ..document import Block, Lettering, Page, Site
from ..resolve.book import FontBook
from ..resolve.fonts import Face, Family, Variation
from ..resolve.voices import lettering_in
from .declarations import Declarations, number, rule
from .escape import css_string, css_url, file_part
from .urls import Urls, data_hash

LOCALS = {
    ("sans-serif", 400, False): ("Arial", "ArialMT", "Liberation Sans", "LiberationSans", "Arimo"),
    ("sans-serif", 700, False): ("Arial Bold", "Arial-BoldMT", "Liberation Sans Bold", "LiberationSans-Bold"),
    ("sans-serif", 400, True): ("Arial Italic", "Arial-ItalicMT", "Liberation Sans Italic", "LiberationSans-Italic"),
    ("sans-serif", 700, True): (
        "Arial Bold Italic",
        "Arial-BoldItalicMT",
        "Liberation Sans Bold Italic",
        "LiberationSans-BoldItalic",
    ),
    ("serif", 400, False): ("Times New Roman", "TimesNewRomanPSMT", "Liberation Serif", "LiberationSerif", "Tinos"),
    ("serif", 700, False): ("Times New Roman Bold", "TimesNewRomanPS-BoldMT", "Liberation Serif Bold"),
    ("serif", 400, True): ("Times New Roman Italic", "TimesNewRomanPS-ItalicMT", "Liberation Serif Italic"),
    ("serif", 700, True): (
        "Times New Roman Bold Italic",
        "TimesNewRomanPS-BoldItalicMT",
        "Liberation Serif Bold Italic",
    ),
}
"""Fonts of equal widths that devices have, by their full and PostScript names, for each style of what stands in."""

UNITS = 1000.0
"""The size that metrics are taken at, px."""


@dataclass(frozen=True)
class Used:
    """A family at one of its weights, as a page uses it."""

    family: Family
    weight: int
    italic: bool
    variation: Variation

    def faces(self) -> Iterator[Face]:
        """The files that may be asked for."""
        faces = self.family.italics if self.italic else self.family.faces
        yield from (face for face in faces if face.weights[0] <= self.weight <= face.weights[1])


def _used_in(lettering: Lettering, fonts: FontBook) -> Used:
    family = fonts.family(lettering.font)
    italic = family.slanted(lettering.italic)
    return Used(family, family.weight(lettering.weight, italic), italic, lettering.variation)


def _used_by(block: Block, fonts: FontBook) -> list[Used]:
    among = (lettering_in(block.lettering, phrase) for phrase in block.phrases)
    return [_used_in(lettering, fonts) for lettering in (block.lettering, *among)]


def used_on(page: Page, fonts: FontBook) -> list[Used]:
    """The families that a page uses, in the order of the book, each weight once."""
    order = {family.name: n for n, family in enumerate(fonts.families)}
    found = dict.fromkeys(used for block in page.blocks() if block.lettered for used in _used_by(block, fonts))
    return sorted(found, key=lambda used: (order[used.family.name], used.italic, used.weight, used.variation))


def letter_files(site: Site, pages: Iterable[Page], fonts: FontBook) -> dict[str, bytes]:
    """The woff2 files that pages need, by the ids of their faces."""
    book = fonts.of(site)
    faces = {face.id: face for page in pages for used in used_on(page, book) for face in used.faces()}
    return {name: book.file(face) for name, face in faces.items()}


def lettered(site: Site, urls: Urls, letters: dict[str, bytes]) -> Urls:
    """Addresses under which font files are called by their content, an owner's own by family and style as well."""
    own = {f"{file.hash}.woff2": file for file in site.fonts}
    names = {}
    for face_id, data in letters.items():
        stem = face_id.removesuffix(".woff2")
        if face_id in own:
            file = own[face_id]
            weights = dict.fromkeys((file.least_weight, file.most_weight))
            style = "-".join(map(str, weights)) + ("-italic" if file.italic else "")
            stem = f"{file_part(file.family, 'font')}-{style}"
        names[face_id] = f"{stem}-{data_hash(data)}.woff2"
    return replace(urls, lettered=names)


def _face_rule(used: Used, face: Face, urls: Urls) -> str:
    least, most = face.weights
    declarations: Declarations = [
        ("font-family", css_string(used.family.name)),
        ("font-weight", f"{least} {most}" if least != most else str(least)),
        *([("font-style", "italic")] if used.italic else []),
        ("font-display", "swap"),
        ("src", f'{css_url(urls.font(face.id))} format("woff2")'),
        *([("unicode-range", face.unicode_range)] if face.unicode_range else []),
    ]
    return rule("@font-face", declarations)


def stand_in_rules(used: Used, fonts: FontBook, urls: Urls | None) -> str:
    """What stands in for a family at a weight: as wide on the whole, and with lines where its own will be. With `urls`
    the letters are those that readings are made with, instead of the device's own of the same widths."""
    found = fonts.standing_in(used.family.name, used.weight, used.italic, used.variation)
    stand_in, adjusted = found.family, found.family.adjusted
    face = used.family.first_face(used.weight, used.italic)
    ascent, descent = face.extents(UNITS, face.axes(used.weight, UNITS, used.variation))
    metrics: Declarations = [
        ("size-adjust", f"{number(100 * adjusted)}%"),
        ("ascent-override", f"{number(100 * ascent / UNITS / adjusted)}%"),
        ("descent-override", f"{number(100 * descent / UNITS / adjusted)}%"),
        ("line-gap-override", "0%"),
    ]
    named: Declarations = [
        ("font-family", css_string(used.family.stand_in)),
        ("font-weight", str(used.weight)),
        *([("font-style", "italic")] if used.italic else []),
    ]
    if urls is None:
        names = LOCALS[found.kind, found.weight, used.italic]
        return rule("@font-face", [*named, ("src", ", ".join(f"local({css_string(n)})" for n in names)), *metrics])
    faces = stand_in.italics if used.italic else stand_in.faces
    text = ""
    for one in faces:
        if one.weights[0] == found.weight:
            source = f'{css_url(urls.font(one.id))} format("woff2")'
            text += rule("@font-face", [*named, ("src", source), ("unicode-range", one.unicode_range), *metrics])
    return text


def font_css(page: Page, fonts: FontBook, urls: Urls, plain: bool = False) -> str:
    """The @font-face rules of the families that a page uses; `plain`: as if none of their files had come."""
    used = used_on(page, fonts)
    text = ""
    seen: set[tuple[str, str]] = set()
    for one in () if plain else used:
        for face in one.faces():
            if (one.family.name, face.id) not in seen:
                seen.add((one.family.name, face.id))
                text += _face_rule(one, face, urls)
    stand_ins = dict.fromkeys(stand_in_rules(one, fonts, urls if plain else None) for one in used)
    return text + "".join(stand_ins)
