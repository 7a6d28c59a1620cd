"""How a block's letters are set, in px: what is shaped, what lies around them, and the spaces of their plate."""

from ..colour.notation import parse_colour
from ..document import Block, Lettering
from .book import FontBook
from .lengths import Scale, Viewport, layout_unit
from .records import ShadowRecord, Stroke
from .shape import Setting

TAILORED = ("tr", "az", "lt", "el")
"""Languages whose capitals follow rules of their own."""


def capitalised(text: str, lettering: Lettering) -> str:
    """The text as it is shown (CSS Text 3, section 2.1: uppercase by the full mappings of Unicode)."""
    return text.upper() if lettering.capitals else text


def setting_of(block: Block, fonts: FontBook, viewport: Viewport, stand_in: bool = False) -> Setting:
    """What a block's letters are shaped with; `stand_in`: while the files of its font have not come."""
    return setting_for(block.lettering, fonts, viewport, stand_in)


def setting_for(lettering: Lettering, fonts: FontBook, viewport: Viewport, stand_in: bool = False) -> Setting:
    """The same of a lettering."""
    size = Scale(viewport).px(lettering.size)
    family = fonts.family(lettering.font)
    scale = Scale(viewport, size)
    spacing, between = scale.px(lettering.spacing), scale.px(lettering.word_spacing)
    italic = family.slanted(lettering.italic)
    if stand_in:
        found = fonts.standing_in(family.name, lettering.weight, italic, lettering.variation)
        return Setting(found.family, found.weight, size, spacing, found.italic, (), between)
    return Setting(family, family.weight(lettering.weight, italic), size, spacing, italic, lettering.variation, between)


def plate_spaces(block: Block, viewport: Viewport, size: float, room: float) -> tuple[float, float, float, float]:
    """Inner space beside and above the words, outer space beside and above the plate, px; nothing without a plate."""
    if block.plate is None:
        return 0.0, 0.0, 0.0, 0.0
    scale = Scale(viewport, size, room)
    padding, space = block.plate.padding, block.plate.space
    beside, above = layout_unit(scale.px(padding.inline)), layout_unit(scale.px(padding.block))
    return beside, above, layout_unit(scale.px(space.inline)), layout_unit(scale.px(space.block))


def clear_of(block: Block, viewport: Viewport) -> float:
    """The space around a picture that stays free, px."""
    return layout_unit(Scale(viewport).px(block.clear)) if block.clear else 0.0


def stroke_of(lettering: Lettering, size: float, viewport: Viewport) -> Stroke | None:
    """The line along the letters. Beside a fill only its outer half is seen, so it is twice as wide there."""
    if lettering.outline is None:
        return None
    width = Scale(viewport, size).px(lettering.outline.width)
    colour = parse_colour(lettering.outline.colour)
    return Stroke(width if lettering.hollow else 2 * width, colour, lettering.hollow)


def shadow_of(lettering: Lettering, size: float, viewport: Viewport) -> ShadowRecord | None:
    """The letters' shadow."""
    shadow = lettering.shadow
    if shadow is None:
        return None
    scale = Scale(viewport, size)
    across, down, blur = (scale.px(t) for t in (shadow.across, shadow.down, shadow.blur))
    return ShadowRecord(across, down, blur, 0.0, parse_colour(shadow.colour))


def doubts_of(wording: str, missing: str, font: str, capitals: bool, language: str) -> tuple[str, ...]:
    """Why a block cannot be vouched for."""
    found = [f"There is no glyph in {font} for {' '.join(sorted(set(missing)))}"] if missing else []
    if "\u00ad" in wording:
        found.append("It has soft hyphens, whose breaks are not computed")
    if capitals and language.lower().split("-")[0] in TAILORED:
        found.append("Capitals of this language follow rules that are not computed")
    return tuple(found)
