"""How words are set, as CSS."""

from ..colour.notation import parse_colour
from ..document import Lettering
from ..resolve.book import FontBook
from .declarations import Declarations, number
from .escape import css_string


def lettering_declarations(lettering: Lettering, fonts: FontBook) -> Declarations:
    """The declarations of a block's letters."""
    family = fonts.family(lettering.font)
    found: Declarations = [
        ("font-family", family.stack),
        ("font-weight", str(family.weight(lettering.weight, lettering.italic))),
        ("font-size", lettering.size),
        ("line-height", number(lettering.line)),
        ("color", lettering.colour),
    ]
    if lettering.italic and family.italics:
        found.append(("font-style", "italic"))
    if lettering.axes:
        settings = ", ".join(f"{css_string(tag)} {number(value)}" for tag, value in lettering.variation)
        found.append(("font-variation-settings", settings))
    if lettering.spacing not in ("0", "0px"):
        found.append(("letter-spacing", lettering.spacing))
    if lettering.word_spacing not in ("0", "0px"):
        found.append(("word-spacing", lettering.word_spacing))
    if lettering.capitals:
        found.append(("text-transform", "uppercase"))
    outline = lettering.outline
    if outline is not None:
        width = outline.width if lettering.hollow else f"calc(2 * {outline.width})"
        found.append(("-webkit-text-stroke", f"{width} {parse_colour(outline.colour).css()}"))
        found.append(("paint-order", "stroke fill"))
    if lettering.hollow:
        found.append(("-webkit-text-fill-color", "transparent"))
    shadow = lettering.shadow
    if shadow is not None:
        colour = parse_colour(shadow.colour).css()
        found.append(("text-shadow", f"{shadow.across} {shadow.down} {shadow.blur} {colour}"))
    return found
