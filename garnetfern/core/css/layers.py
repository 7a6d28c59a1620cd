"""CSS declarations of backdrop layers."""

from ..colour.notation import parse_colour
from ..document import Asset, ColourLayer, ImageLayer, Layer
from ..resolve.image import used_size

Declarations = list[tuple[str, str]]


def number(value: float) -> str:
    """A number as short as it can be said with four decimals."""
    return f"{value:.4f}".rstrip("0").rstrip(".")


def percent(fraction: float) -> str:
    """A fraction as a percentage."""
    return number(fraction * 100) + "%"


def background_size(layer: ImageLayer, asset: Asset) -> str:
    """The background-size of a picture. Its natural size is written out, as renditions have other sizes."""
    if layer.size in ("cover", "contain"):
        return layer.size
    if layer.size == "stretch":
        return "100% 100%"
    if layer.size == "natural" or (layer.width is None and layer.height is None):
        width, height = used_size(asset, layer.crop)
        return f"{width}px {height}px"
    return f"{layer.width or 'auto'} {layer.height or 'auto'}"


def background_position(layer: ImageLayer) -> str:
    """The background-position: offsets from edges, or the focal point in percent, so that this spot is in sight."""
    place = layer.position
    if place is None:
        return f"{percent(layer.focal[0])} {percent(layer.focal[1])}"
    return f"{place.side} {place.across} {place.end} {place.down}"


def background_repeat(layer: ImageLayer) -> str:
    """The background-repeat, in one word where one does."""
    across, down = layer.repeat
    return across if across == down else f"{across} {down}"


def opacity_declaration(opacity: float) -> Declarations:
    """Nothing where the layer is opaque."""
    return [("opacity", number(opacity))] if opacity < 1 else []


def layer_declarations(layer: Layer, asset: Asset | None) -> Declarations:
    """All of a layer but its picture files. `asset` is the picture of an image layer."""
    if isinstance(layer, ColourLayer):
        found = [("background-color", parse_colour(layer.colour).css())]
    else:
        assert asset is not None
        found = [
            ("background-repeat", background_repeat(layer)),
            ("background-position", background_position(layer)),
            ("background-size", background_size(layer, asset)),
        ]
        if layer.attachment == "fixed":
            found.append(("background-attachment", "fixed"))
        if layer.attachment == "slower":
            found.append(("inset-block", f"calc((100% + 100vh) * {number(-(1 - layer.rate) / 2)})"))
    return found + opacity_declaration(layer.opacity)


def slower_css(layer: ImageLayer, timeline: str) -> str:
    """The movement of a slower picture over its area's way across the screen (Scroll-driven Animations 1)."""
    lag = 1 - layer.rate
    reach = number(lag / (2 * (1 + lag)))
    name = f"gf-slower-{layer.id}"
    frames = (
        f"@keyframes {name} {{\n  from {{ translate: 0 calc((100vh + 100%) * -{reach}); }}\n"
        f"  to {{ translate: 0 calc((100vh + 100%) * {reach}); }}\n}}\n"
    )
    moving: Declarations = [
        ("animation", f"{name} linear both"),
        ("animation-timeline", timeline),
        ("animation-range", "cover"),
    ]
    return frames + f"@media (prefers-reduced-motion: no-preference) {{\n{rule(f'.gf-{layer.id}', moving, '  ')}}}\n"


def rule(selector: str, declarations: Declarations, indent: str = "") -> str:
    """A rule as text, one declaration a line."""
    body = "".join(f"{indent}  {name}: {value};\n" for name, value in declarations)
    return f"{indent}{selector} {{\n{body}{indent}}}\n"
