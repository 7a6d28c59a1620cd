"""Plates to px."""

from ..colour.notation import parse_colour
from ..document import Plate
from .lengths import Scale
from .records import PlateRecord, ShadowRecord


def line_width(px: float) -> float:
    """A line's width as browsers snap it: whole px, and never nothing where there is something."""
    return float(max(1, int(px))) if px > 0 else 0.0


def resolve_plate(plate: Plate, scale: Scale) -> PlateRecord:
    """A plate's frame. `scale` is that of its words."""
    shadow = plate.shadow
    record = None
    if shadow is not None:
        across, down, blur, spread = (scale.px(t) for t in (shadow.across, shadow.down, shadow.blur, shadow.spread))
        record = ShadowRecord(across, down, blur, spread, parse_colour(shadow.colour))
    line = line_width(scale.px(plate.line.width)) if plate.line else 0.0
    colour = parse_colour(plate.line.colour) if plate.line else None
    return PlateRecord(scale.px(plate.radius), line, colour, record)
