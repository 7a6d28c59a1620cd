"""One CSS rule for somebody's own stylesheet: a band's backdrop as multiple backgrounds (CSS Backgrounds 3)."""

from dataclasses import dataclass

from ..colour.notation import Rgba, parse_colour
from ..document import Band, ColourLayer, ImageLayer, Layer, Site
from ..resolve.fonts import FontBook
from .layers import Declarations, background_position, background_size, rule
from .pictures import image_set, served
from .urls import Urls


@dataclass(frozen=True)
class EmittedRule:
    """The rule, and what one rule cannot say, a sentence each."""

    css: str
    left_out: tuple[str, ...]


Background = tuple[str, str, str, str]
"""Image, position, size and repeat of one background."""


def _flat(colour: Rgba) -> Background:
    return (f"linear-gradient({colour.css()}, {colour.css()})", "0 0", "auto", "repeat")


def _backgrounds(
    site: Site, band: Band, layer: Layer, lowest: bool, fonts: FontBook, urls: Urls
) -> tuple[list[Background], str | None]:
    """A layer as backgrounds from bottom to top, and what cannot be said of it."""
    if isinstance(layer, ColourLayer):
        return [_flat(parse_colour(layer.colour).faded(layer.opacity))], None
    _, once, twice = served(site, band, layer, fonts)[-1]
    image = image_set(site, layer, once, twice, urls)
    size = background_size(layer, site.asset(layer.asset))
    found: list[Background] = [(image, background_position(layer), size, "no-repeat")]
    if layer.opacity >= 1:
        return found, None
    base = parse_colour(band.backdrop.base) if band.backdrop.base else None
    if lowest and base is not None and base.alpha >= 1:
        # a picture at opacity o over an opaque colour is the picture with that colour over it at 1 - o
        return [*found, _flat(base.faded(1 - layer.opacity))], None
    return found, (
        f"{layer.name}: its opacity of {round(layer.opacity * 100)} % cannot be said here, "
        "as it does not lie on the base colour; it is emitted opaque. HTML + CSS says it."
    )


def emit_rule(site: Site, band: Band, selector: str, fonts: FontBook, urls: Urls) -> EmittedRule:
    """The backdrop of a band as one rule. Nothing is dropped in silence: see `left_out`."""
    backgrounds: list[Background] = []
    left_out: list[str] = []
    visible = [layer for layer in band.backdrop.layers if layer.visible]
    for n, layer in enumerate(visible):
        found, cannot = _backgrounds(site, band, layer, n == 0, fonts, urls)
        backgrounds += found
        if cannot:
            left_out.append(cannot)
    declarations: Declarations = []
    if band.backdrop.base:
        declarations.append(("background-color", band.backdrop.base))
    if backgrounds:
        names = ("background-image", "background-position", "background-size", "background-repeat")
        for name, values in zip(names, zip(*reversed(backgrounds), strict=True), strict=True):
            declarations.append((name, ",\n    ".join(values) if name == "background-image" else ", ".join(values)))
    declarations.append(("min-block-size", band.height.min))
    several = [x for x in visible if isinstance(x, ImageLayer) and len(served(site, band, x, fonts)) > 1]
    left_out += [
        f"{x.name}: one rule serves every screen the desktop's file; HTML + CSS serves phones a smaller one."
        for x in several
    ]
    return EmittedRule(rule(selector, declarations), tuple(left_out))
