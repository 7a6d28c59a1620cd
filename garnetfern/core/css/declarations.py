"""CSS as lists of declarations, and the parts of values that several kinds of layer share."""

from ..colour.notation import Rgba, parse_colour
from ..document import Gradient
from ..document.gradient import Stop

Declarations = list[tuple[str, str]]


def number(value: float) -> str:
    """A number as short as it can be said with four decimals."""
    return f"{value:.4f}".rstrip("0").rstrip(".")


def percent(fraction: float) -> str:
    """A fraction as a percentage."""
    return number(fraction * 100) + "%"


def rule(selector: str, declarations: Declarations, indent: str = "") -> str:
    """A rule as text, one declaration a line."""
    body = "".join(f"{indent}  {name}: {value};\n" for name, value in declarations)
    return f"{indent}{selector} {{\n{body}{indent}}}\n"


def data_url(svg: str) -> str:
    """An SVG picture inside the stylesheet, as url()."""
    text = svg.replace('"', "'").replace("%", "%25").replace("#", "%23").replace("<", "%3C").replace(">", "%3E")
    return f'url("data:image/svg+xml,{text}")'


def _stop(stop: Stop, opacity: float) -> str:
    colour = parse_colour(stop.colour).faded(opacity).css()
    return colour if stop.at is None else f"{colour} {stop.at}"


def gradient_value(gradient: Gradient, opacity: float = 1.0) -> str:
    """A gradient as a CSS image (CSS Images 4, section 3), its colours faded by an opacity."""
    where = f"{gradient.centre[0]} {gradient.centre[1]}"
    if gradient.shape == "linear":
        how = f"{number(gradient.angle)}deg"
    elif gradient.shape == "radial":
        how = f"{'circle' if gradient.round else 'ellipse'} {gradient.extent} at {where}"
    else:
        how = f"from {number(gradient.angle)}deg at {where}"
    space = " in oklab" if gradient.space == "oklab" else ""
    stops = ", ".join(_stop(s, opacity) for s in gradient.stops)
    repeating = "repeating-" if gradient.repeating else ""
    return f"{repeating}{gradient.shape}-gradient({how}{space}, {stops})"


def flat(colour: Rgba) -> str:
    """A colour as an image."""
    return f"linear-gradient({colour.css()}, {colour.css()})"
