"""Gradients to px: their line, ending shape or centre, and their stops fixed up (CSS Images 4, section 3)."""

import math

from ..colour.notation import Rgba, parse_colour
from ..document.gradient import Gradient, Place
from .box import Box
from .lengths import Scale, Viewport
from .sheets import Ramp

TINY = 1e-5
HUGE = 1e10
Placed = tuple[tuple[float, Rgba], ...]


def _linear(box: Box, angle: float) -> tuple[tuple[float, float], tuple[float, float], float]:
    """Where the gradient line begins, the way along it, and its length, px (section 3.1.1)."""
    sin, cos = math.sin(math.radians(angle)), -math.cos(math.radians(angle))
    length = abs(box.width * sin) + abs(box.height * cos)
    x, y = box.x + box.width / 2, box.y + box.height / 2
    return (x - sin * length / 2, y - cos * length / 2), (sin * length, cos * length), length


def _centre(box: Box, place: Place, viewport: Viewport) -> tuple[float, float]:
    across = Scale(viewport, base=box.width).px(place[0])
    return box.x + across, box.y + Scale(viewport, base=box.height).px(place[1])


def ending_shape(gradient: Gradient, box: Box, centre: tuple[float, float]) -> tuple[float, float]:
    """The two radii of a radial gradient, px (section 3.2.2)."""
    sides = [
        (abs(centre[0] - box.x), abs(box.right - centre[0])),
        (abs(centre[1] - box.y), abs(box.bottom - centre[1])),
    ]
    nearest = min if gradient.extent.startswith("closest") else max
    across, down = nearest(sides[0]), nearest(sides[1])
    corner = gradient.extent.endswith("corner")
    if gradient.round:
        radius = math.hypot(across, down) if corner else nearest(across, down)
        return max(radius, TINY), max(radius, TINY)
    if across == 0:
        return TINY, HUGE
    if down == 0:
        return HUGE, TINY
    grow = math.sqrt(2) if corner else 1.0
    return across * grow, down * grow


def fixed_up(places: list[float | None], colours: list[Rgba]) -> Placed:
    """Stops with a place each, none before the one ahead of it (section 3.4.3)."""
    known = list(places)
    highest = known[0] = 0.0 if known[0] is None else known[0]
    known[-1] = 1.0 if known[-1] is None else known[-1]
    for n, place in enumerate(known):
        if place is not None:
            highest = known[n] = max(highest, place)
    found: list[float] = []
    for n, place in enumerate(known):
        if place is not None:
            found.append(place)
            continue
        after = next(k for k in range(n + 1, len(known)) if known[k] is not None)
        end = known[after]
        assert end is not None
        found.append(found[-1] + (end - found[-1]) / (after - n + 1))
    return tuple(zip(found, colours, strict=True))


def resolve_gradient(gradient: Gradient, box: Box, viewport: Viewport) -> Ramp:
    """A gradient in a box, in px of the page."""
    origin = centre = _centre(box, gradient.centre, viewport)
    if gradient.shape == "linear":
        origin, axis, length = _linear(box, gradient.angle)
    elif gradient.shape == "radial":
        axis = ending_shape(gradient, box, centre)
        length = axis[0]
    else:
        axis, length = (gradient.angle % 360, 0.0), 1.0
    scale = Scale(viewport, base=length)
    places = [None if s.at is None else scale.px(s.at) / max(length, TINY) for s in gradient.stops]
    stops = fixed_up(places, [parse_colour(s.colour) for s in gradient.stops])
    return Ramp(gradient.shape, origin, axis, stops, gradient.repeating, gradient.space)
