"""One CSS rule for somebody's own stylesheet: an area's backdrop as multiple backgrounds (CSS Backgrounds 3)."""

from dataclasses import dataclass

from ..document import Area, Band, Block, Page, Site
from ..resolve.book import FontBook
from .declarations import Declarations, rule
from .layers import Background, Ruling, layer_backgrounds
from .pictures import Emission
from .rules import height_of, plate_frame
from .urls import Urls

PLAIN = Background("")


@dataclass(frozen=True)
class EmittedRule:
    """The rule, and what one rule cannot say, a sentence each."""

    css: str
    left_out: tuple[str, ...]


def _longhands(found: list[tuple[Background, str]]) -> Declarations:
    """The backgrounds, topmost first; longhands that say nothing special of any of them are left out."""
    ordered = list(reversed(found))
    declarations: Declarations = []
    for name in ("image", "position", "size", "repeat", "attachment"):
        values = [getattr(background, name) for background, _ in ordered]
        if name == "image" or any(value != getattr(PLAIN, name) for value in values):
            declarations.append((f"background-{name}", (",\n    " if name == "image" else ", ").join(values)))
    if any(blend != "normal" for _, blend in ordered):
        declarations.append(("background-blend-mode", ", ".join(blend for _, blend in ordered)))
    return declarations


def emit_rule(site: Site, page: Page, area: Area, selector: str, fonts: FontBook, urls: Urls) -> EmittedRule:
    """The backdrop of an area as one rule. Nothing is dropped in silence: see `left_out`."""
    ruling = Ruling(Emission(site, page, fonts, urls), area)
    found: list[tuple[Background, str]] = []
    for layer in area.backdrop.layers:
        found += [(background, layer.blend) for background in layer_backgrounds(layer, ruling)]
        ruling.lowest = ruling.lowest and not layer.visible
    declarations: Declarations = []
    if area.backdrop.base:
        declarations.append(("background-color", area.backdrop.base))
    if found:
        declarations += _longhands(found)
    if isinstance(area, Band):
        declarations.append(("min-block-size", height_of(area, page)))
    if isinstance(area, Block) and area.plate is not None:
        declarations += plate_frame(area.plate)
    if area.backdrop.over is not None:
        names = [x.name for x in area.backdrop.layers if x.id in area.backdrop.over.layers]
        what = ", ".join(names) or "its base"
        ruling.left_out.append(f"Pointer over: what changes then ({what}) takes rules of its own; HTML + CSS has them.")
    return EmittedRule(rule(selector, declarations), tuple(ruling.left_out))
