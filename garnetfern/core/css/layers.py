"""CSS declarations of backdrop layers."""

from ..colour.notation import parse_colour
from ..document import Asset, ImageLayer

Declarations = list[tuple[str, str]]


def number(value: float) -> str:
    """A number as short as it can be said with four decimals."""
    return f"{value:.4f}".rstrip("0").rstrip(".")


def percent(fraction: float) -> str:
    """A fraction as a percentage."""
    return number(fraction * 100) + "%"


def background_size(layer: ImageLayer, asset: Asset) -> str:
    """The background-size of a picture. Its natural size is written out, as renditions have other sizes."""
    return f"{asset.width}px {asset.height}px" if layer.size == "natural" else layer.size


def background_position(layer: ImageLayer) -> str:
    """The background-position: the focal point in percent, so that this spot is in sight at every size."""
    return f"{percent(layer.focal[0])} {percent(layer.focal[1])}"


def image_declarations(layer: ImageLayer, asset: Asset) -> Declarations:
    """All of an image layer but its file."""
    found = [
        ("background-repeat", "no-repeat"),
        ("background-position", background_position(layer)),
        ("background-size", background_size(layer, asset)),
    ]
    return found + opacity_declaration(layer.opacity)


def opacity_declaration(opacity: float) -> Declarations:
    """Nothing where the layer is opaque."""
    return [("opacity", number(opacity))] if opacity < 1 else []


def colour_declarations(colour: str, opacity: float) -> Declarations:
    """A layer of one colour."""
    return [("background-color", parse_colour(colour).css()), *opacity_declaration(opacity)]


def rule(selector: str, declarations: Declarations, indent: str = "") -> str:
    """A rule as text, one declaration a line."""
    body = "".join(f"{indent}  {name}: {value};\n" for name, value in declarations)
    return f"{indent}{selector} {{\n{body}{indent}}}\n"
