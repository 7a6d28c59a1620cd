"""Edge shades as gradients: the same ones are drawn and emitted."""

from ..colour.notation import parse_colour
from ..document import EdgeLayer, Gradient, Stop
from ..document.length import parse_length, scaled

ANGLES = {"bottom": 0.0, "left": 90.0, "top": 180.0, "right": 270.0}
"""Where the gradient of each edge runs to, degrees: from the edge inwards."""
EASE = ((0.0, 1.0), (0.25, 0.844), (0.5, 0.5), (0.75, 0.156), (1.0, 0.0))
"""A soft shade fades along this curve, so that its end is not seen as a line."""


def _inwards(at: float, depth: str) -> str:
    """A place that lies `at` times the depth inside the far end of a gradient."""
    text = scaled(depth, at)
    term = parse_length(text).wanted[0]
    if "clamp" not in text and term.unit == "%":
        return f"{100 - term.value:g}%"
    return f"clamp(0%, 100% - {text}, 100%)"


def edge_gradients(layer: EdgeLayer) -> tuple[Gradient, ...]:
    """One gradient for each edge, or a single oval one, bottom first."""
    colour = parse_colour(layer.colour)
    eased = [(1 - layer.softness * (1 - at), cover) for at, cover in EASE]
    if layer.softness == 0:
        eased = [(0.0, 1.0), (1.0, 1.0), (1.0, 0.0)]
    faded = [(at, colour.faded(cover).hex) for at, cover in eased]
    if layer.around:
        stops = tuple(Stop(colour=c, at=_inwards(at, layer.depth)) for at, c in reversed(faded))
        return (Gradient(shape="radial", stops=stops),)
    stops = tuple(Stop(colour=c, at=scaled(layer.depth, at)) for at, c in faded)
    return tuple(Gradient(angle=ANGLES[edge], stops=stops) for edge in layer.edges)
