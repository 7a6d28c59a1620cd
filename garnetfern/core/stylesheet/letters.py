"""The letters of a part of somebody's page: what is inherited down to it, as the document writes it."""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from typing import Any

from pydantic import ValidationError

from ..colour.notation import Rgba
from ..document.block import Lettering
from .colours import BLACK, colour
from .lengths import length
from .measures import font_parts, font_size, shadow_of, weight_of
from .tokens import Node, said, split, word
from .unread import Notes, UnreadError
from .values import Values

ALIGNS = {"left": "start", "start": "start", "center": "center", "right": "end", "end": "end"}
LINK = Rgba(0, 0, 238)
HEADS = {"h1": 2.0, "h2": 1.5, "h3": 1.17, "h4": 1.0, "h5": 0.83, "h6": 0.67}
"""How large headings are where nothing is said (HTML, section 15.3.7)."""
BOLD = frozenset({*HEADS, "b", "strong", "th"})
GENERIC = {"serif": "serif", "sans-serif": "sans-serif", "system-ui": "sans-serif", "cursive": "handwriting",
           "ui-serif": "serif", "ui-sans-serif": "sans-serif", "fantasy": "display",
           "monospace": "sans-serif"}  # fmt: skip


@dataclass(frozen=True)
class Fonts:
    """The fonts that there are, by their names in small letters, and one for each generic family."""

    named: Mapping[str, str]
    generic: Mapping[str, str]


@dataclass(frozen=True)
class Letters:
    """What an element hands down: the colour, the size as written and in px, and the rest of its letters."""

    colour: Rgba = BLACK
    size: str = "16px"
    px: float = 16.0
    family: tuple[str, ...] = ("serif",)
    weight: int = 400
    italic: bool = False
    line: float = 1.2
    spacing: str = "0px"
    word_spacing: str = "0px"
    capitals: bool = False
    align: str | None = None
    shadow: dict[str, Any] | None = None


def by_tag(letters: Letters, tag: str) -> Letters:
    """What browsers do to an element where no stylesheet says otherwise."""
    if tag in HEADS:
        px = letters.px * HEADS[tag]
        letters = replace(letters, size=f"{px:.6g}px", px=px)
    if tag in BOLD:
        letters = replace(letters, weight=700)
    if tag in ("em", "i", "cite"):
        letters = replace(letters, italic=True)
    if tag == "a":
        letters = replace(letters, colour=LINK)
    if tag in ("small",):
        letters = replace(letters, size=f"{letters.px / 1.2:.6g}px", px=letters.px / 1.2)
    return letters


def _families(nodes: list[Node]) -> tuple[str, ...]:
    found: list[str] = []
    for group in split(nodes, ","):
        text = " ".join(str(n.value) for n in group if n.type in ("ident", "string"))
        if text:
            found.append(text)
    return tuple(found)


def _line(nodes: list[Node], px: float, notes: Notes) -> float:
    node = nodes[0]
    if node.type == "number":
        return float(node.value)
    if node.type == "percentage":
        return float(node.value) / 100
    if word(node) == "normal":
        return 1.2
    text = length(node, notes)
    if text.endswith("px"):
        return float(text[:-2]) / px
    if text.endswith("rem"):
        return float(text[:-3]) * 16 / px
    return float(text[:-2]) if text.endswith("em") else 1.2


def _spacing(nodes: list[Node], notes: Notes) -> str:
    return "0px" if word(nodes[0]) == "normal" else length(nodes[0], notes)


def handed_down(parent: Letters, values: Values, tag: str) -> Letters:
    """The letters of an element, from its parent's and what is said of it. What cannot be read is noted in `values`."""
    letters = by_tag(parent, tag)
    single = {**values.single, **font_parts(values)}
    readers: dict[str, Any] = {
        "color": lambda nodes, notes: {"colour": colour(nodes[0], notes, parent.colour)},
        "font-family": lambda nodes, _: {"family": _families(nodes) or letters.family},
        "font-size": lambda nodes, notes: dict(zip(("size", "px"), font_size(nodes, parent.px, notes), strict=True)),
        "font-weight": lambda nodes, _: {"weight": weight_of(nodes)},
        "font-style": lambda nodes, _: {"italic": word(nodes[0]) in ("italic", "oblique")},
        "line-height": lambda nodes, notes: {"line": min(4.0, max(0.6, _line(nodes, letters.px, notes)))},
        "letter-spacing": lambda nodes, notes: {"spacing": _spacing(nodes, notes)},
        "word-spacing": lambda nodes, notes: {"word_spacing": _spacing(nodes, notes)},
        "text-transform": lambda nodes, _: {"capitals": word(nodes[0]) == "uppercase"},
        "text-align": lambda nodes, _: {"align": ALIGNS.get(word(nodes[0]), letters.align)},
        "text-shadow": lambda nodes, notes: {"shadow": shadow_of(nodes, letters.colour, notes)},
    }
    for name, read in readers.items():
        nodes = single.get(name)
        if not nodes or word(nodes[0]) in ("inherit", "unset"):
            continue
        notes = Notes()
        held = values.held.get(name) or values.held.get("font")
        try:
            letters = replace(letters, **read(nodes, notes))
        except (UnreadError, ValueError, AttributeError) as error:
            why = error.why if isinstance(error, UnreadError) else "it is no value that can be read"
            if held is not None:
                values.note(held, f"{name}: {said(nodes)}", why)
            continue
        for why, nearest in notes:
            if held is not None:
                values.note(held, f"{name}: {said(nodes)}", why, nearest)
    return letters


def lettering(letters: Letters, fonts: Fonts) -> tuple[Lettering, str]:
    """The letters as the document has them, and the name of the font that was asked for where it is not here."""
    wanted = letters.family[0] if letters.family else ""
    font = next((fonts.named[f.lower()] for f in letters.family if f.lower() in fonts.named), None)
    missing = "" if font is not None and font.lower() == wanted.lower() else wanted
    if font is None:
        kind = next((GENERIC[f.lower()] for f in letters.family if f.lower() in GENERIC), "serif")
        font = fonts.generic.get(kind) or next(iter(fonts.named.values()))
    made: dict[str, Any] = {
        "font": font,
        "weight": letters.weight,
        "size": letters.size,
        "line": letters.line,
        "colour": letters.colour.hex,
        "spacing": letters.spacing,
        "word_spacing": letters.word_spacing,
        "capitals": letters.capitals,
        "italic": letters.italic,
        "shadow": letters.shadow,
    }
    if letters.align:
        made["align"] = letters.align
    try:
        return Lettering(**made), missing
    except ValidationError as error:
        wrong = {str(e["loc"][0]) for e in error.errors()}
        return Lettering(**{name: value for name, value in made.items() if name not in wrong}), missing
