"""One spot of a page: its colour, and the sheets it is made of."""

import math

from ..colour.notation import Rgba
from ..resolve.box import Box
from ..resolve.records import PageRecord
from .coverage import is_opaque
from .paint import paint_backdrops
from .sample import Sampler
from .sheets import PAINTERS, span_of


def colour_at(record: PageRecord, x: float, y: float, pictures: Sampler) -> tuple[str, list[tuple[str, str]]]:
    """The colour behind the words at a spot (px of the page) as hex, and the (area, sheet) pairs there, topmost first.

    What an opaque sheet hides is left out, and so is what adds nothing at this spot.
    """
    region = (math.floor(x), math.floor(y), 1, 1)
    red, green, blue = (int(v) for v in paint_backdrops(record, region, pictures)[0, 0])
    found: list[tuple[str, str]] = []
    for area in reversed(record.areas):
        for sheet in reversed(area.sheets):
            if sheet.opacity <= 0 or span_of(sheet).cut(Box(*region)) is None:
                continue
            if PAINTERS[type(sheet)].source(sheet, region, pictures)[0, 0, 3] <= 0:
                continue
            found.append((area.id, sheet.id))
            if is_opaque(sheet, lambda _: True):
                return Rgba(red, green, blue).hex, found
    return Rgba(red, green, blue).hex, found
