"""One CSS rule for somebody's own stylesheet: an area's backdrop as multiple backgrounds (CSS Backgrounds 3)."""

from collections.abc import Iterator
from dataclasses import dataclass

from ..colour.notation import Rgba, parse_colour
from ..document import Area, Band, ColourLayer, ImageLayer, Layer, Page, Site
from ..resolve.fonts import FontBook
from .layers import Declarations, background_position, background_repeat, background_size, rule
from .pictures import Emission
from .rules import height_of
from .urls import Urls

NAMES = (
    "background-image",
    "background-position",
    "background-size",
    "background-repeat",
    "background-attachment",
)


@dataclass(frozen=True)
class EmittedRule:
    """The rule, and what one rule cannot say, a sentence each."""

    css: str
    left_out: tuple[str, ...]


Background = tuple[str, str, str, str, str]
"""Image, position, size, repeat and attachment of one background."""


def _flat(colour: Rgba) -> Background:
    return (f"linear-gradient({colour.css()}, {colour.css()})", "0 0", "auto", "repeat", "scroll")


def _backgrounds(emission: Emission, area: Area, layer: Layer, lowest: bool) -> tuple[list[Background], str | None]:
    """A layer as backgrounds from bottom to top, and what cannot be said of it."""
    if isinstance(layer, ColourLayer):
        return [_flat(parse_colour(layer.colour).faded(layer.opacity))], None
    asset = emission.site.asset(layer.asset)
    image = emission.image_set(asset, emission.served(area.id, layer)[-1])
    size, repeat = background_size(layer, asset), background_repeat(layer)
    attachment = "fixed" if layer.attachment == "fixed" else "scroll"
    found: list[Background] = [(image, background_position(layer), size, repeat, attachment)]
    if layer.opacity >= 1:
        return found, None
    base = parse_colour(area.backdrop.base) if area.backdrop.base else None
    if lowest and base is not None and base.alpha >= 1:
        # a picture at opacity o over an opaque colour is the picture with that colour over it at 1 - o
        return [*found, _flat(base.faded(1 - layer.opacity))], None
    return found, (
        f"{layer.name}: its opacity of {round(layer.opacity * 100)} % cannot be said here, "
        "as it does not lie on the base colour; it is emitted opaque. HTML + CSS says it."
    )


def _cannot(emission: Emission, area: Area, layer: ImageLayer) -> Iterator[str]:
    """What one rule cannot say of an image layer, a sentence each."""
    if layer.attachment == "slower":
        yield f"{layer.name}: moving slower than the page takes an element of its own; it moves with the page here."
    if layer.screens:
        yield f"{layer.name}: what differs on single screens is left out; HTML + CSS says it."
    if len(emission.served(area.id, layer)) > 1:
        yield f"{layer.name}: one rule serves every screen the desktop's file; HTML + CSS serves phones a smaller one."


def emit_rule(site: Site, page: Page, area: Area, selector: str, fonts: FontBook, urls: Urls) -> EmittedRule:
    """The backdrop of an area as one rule. Nothing is dropped in silence: see `left_out`."""
    emission = Emission(site, page, fonts, urls)
    backgrounds: list[Background] = []
    left_out: list[str] = []
    visible = [layer for layer in area.backdrop.layers if layer.visible]
    for n, layer in enumerate(visible):
        found, cannot = _backgrounds(emission, area, layer, n == 0)
        backgrounds += found
        if cannot:
            left_out.append(cannot)
    declarations: Declarations = []
    if area.backdrop.base:
        declarations.append(("background-color", area.backdrop.base))
    if backgrounds:
        for name, values in zip(NAMES, zip(*reversed(backgrounds), strict=True), strict=True):
            plain = set(values) == {"scroll"}
            if not plain:
                text = (",\n    " if name == "background-image" else ", ").join(values)
                declarations.append((name, text))
    if isinstance(area, Band):
        declarations.append(("min-block-size", height_of(area, page)))
    for layer in visible:
        if isinstance(layer, ImageLayer):
            left_out += _cannot(emission, area, layer)
    return EmittedRule(rule(selector, declarations), tuple(left_out))
