"""Parts of the interface: the edge of a button against what lies around it (WCAG 2.2, 1.4.11: 3 to 1).

The standard asks that of what is *required to identify* a part. A button whose words say what it is needs no edge, as
the document on understanding it has it; so this is read where a site wishes for it.
"""

from collections.abc import Iterator

import numpy as np

from ..colour.contrast import contrast
from ..colour.spaces import Bytes, level_luminance
from ..document import Page
from ..draw.paint import blank, paint_area
from ..draw.sample import Region, Sampler
from ..resolve.records import AreaRecord, PageRecord
from .letters import Reading
from .ring import reached

REQUIRED = 3.0
AROUND = 2
"""So far outside its edge, px, a button is compared with what lies around it."""
EDGE = "/edge"
"""What the id of a button's edge ends with."""


def _side(pixels: Bytes, inset: int, corner: int) -> Bytes:
    """The pixels of a rectangle `inset` px from the region's border, its corners left out, as one row."""
    height, width = pixels.shape[:2]
    across, down = slice(corner, max(corner + 1, width - corner)), slice(corner, max(corner + 1, height - corner))
    rows = [pixels[inset, across], pixels[height - 1 - inset, across]]
    columns = [pixels[down, inset], pixels[down, width - 1 - inset]]
    return np.concatenate([*rows, *columns])[None]


def _edge(record: PageRecord, area: AreaRecord, pictures: Sampler) -> float | None:
    box = area.box.snapped()
    region: Region = (
        int(box.x) - AROUND,
        int(box.y) - AROUND,
        int(box.width) + 2 * AROUND,
        int(box.height) + 2 * AROUND,
    )
    if area.plate is None or box.width < 4 or box.height < 4 or not (area.sheets or area.plate.line):
        return None
    canvas = blank(record, region)
    for lower in record.areas[: record.areas.index(area)]:
        paint_area(canvas, lower, lower.sheets, region, pictures)
    around = canvas.copy()
    paint_area(canvas, area, area.sheets, region, pictures)
    corner = AROUND + 1 + int(min(area.plate.radius, box.width / 2 - 2, box.height / 2 - 2))
    outside = level_luminance(_side(around, 0, corner))
    inside = level_luminance(_side(canvas, AROUND, corner))
    return reached(contrast(inside, outside))


def edge_readings(
    record: PageRecord,
    page: Page,
    situation: str,
    pictures: Sampler,
) -> Iterator[Reading]:
    """The edge of each button that has a plate: what 90 % of it reaches. Its id is the button's with `/edge`."""
    buttons = {b.id for b in page.blocks() if b.edged}
    for area in record.areas:
        ratio = _edge(record, area, pictures) if area.id in buttons else None
        if ratio is not None:
            yield Reading(area.id + EDGE, situation, ratio, REQUIRED, 1.0, 0.0, None, ())
