"""A picture whose parts have to be made out, a logo say, against what lies around them (WCAG 2.2, 1.4.11: 3 to 1).

A part is what hangs together of its opaque pixels. Along a part's outline its own luminance, averaged over a patch, is
compared with that of what lies right outside; its figure is what 90 % of the outline reaches. The worst part counts.
"""

from collections.abc import Iterator

import cv2
import numpy as np
from numpy.typing import NDArray

from ..colour.contrast import contrast
from ..colour.spaces import Bytes, Pixels, level_luminance
from ..document import Page
from ..draw.paint import blank, paint_area
from ..draw.sample import Region, Sampler
from ..resolve.records import AreaRecord, PageRecord
from .letters import Reading
from .ring import reached

REQUIRED = 3.0
GRAPHIC = "/graphic"
"""What the id of a picture's parts ends with."""
PATCH = 5
"""The side of the square over which luminance is averaged, px."""
LEAST = 12
"""Parts of fewer px are specks."""
Mask = NDArray[np.bool_]


def _square(side: int) -> NDArray[np.uint8]:
    return np.ones((side, side), dtype=np.uint8)


def _mean(light: Pixels, where: Mask) -> Pixels:
    """The mean of what lies in a patch and in a mask."""
    weights = cv2.blur(where.astype(np.float32), (PATCH, PATCH), borderType=cv2.BORDER_CONSTANT)
    summed = cv2.blur(light * where, (PATCH, PATCH), borderType=cv2.BORDER_CONSTANT)
    return np.asarray(summed / np.maximum(weights, 1e-6), dtype=np.float32)


def parts_ratio(seen: Bytes, behind: Bytes, alpha: Pixels) -> float | None:
    """What the worst part of a picture comes to; None where nothing of it is opaque. `behind` is what would be seen
    without it, `alpha` how much it covers, 0..1; all of one height and width."""
    solid = (alpha > 0.5).astype(np.uint8)
    light, ground = level_luminance(seen), level_luminance(behind)
    count, labels, stats, _ = cv2.connectedComponentsWithStats(solid, connectivity=8)
    found: list[float] = []
    for number in range(1, count):
        if stats[number, cv2.CC_STAT_AREA] < LEAST:
            continue
        part = (labels == number).astype(np.uint8)
        # what is at its very edge is mixed with what lies behind; thin parts are nothing else
        core = cv2.erode(part, _square(3), borderType=cv2.BORDER_CONSTANT, borderValue=0)
        inner = (core if core.any() else part).astype(bool)
        near = cv2.dilate(part, _square(PATCH)).astype(bool) & ~solid.astype(bool)
        outline = inner & cv2.dilate(near.astype(np.uint8), _square(PATCH)).astype(bool)
        if outline.any() and near.any():
            ratios = contrast(_mean(light, inner), _mean(ground, near))
            found.append(reached(ratios[outline]))
    return min(found, default=None)


def _read(record: PageRecord, area: AreaRecord, pictures: Sampler) -> float | None:
    box = area.box.snapped().grown(PATCH)
    region: Region = (int(box.x), int(box.y), int(box.width), int(box.height))
    behind = blank(record, region)
    for lower in record.areas[: record.areas.index(area)]:
        paint_area(behind, lower, lower.sheets, region, pictures)
    seen, dark, bright = behind.copy(), np.zeros_like(behind), np.full_like(behind, 255)
    for canvas in (seen, dark, bright):
        paint_area(canvas, area, area.sheets, region, pictures)
    alpha = 1 - (bright.astype(np.float32) - dark).mean(axis=2) / 255
    return parts_ratio(seen, behind, np.asarray(alpha, dtype=np.float32))


def graphic_readings(record: PageRecord, page: Page, situation: str, pictures: Sampler) -> Iterator[Reading]:
    """The parts of each picture that has to be made out, where it is there; its id is that with `/graphic`."""
    wanted = {block.id for block in page.blocks() if block.graphic}
    for area in record.areas:
        if area.id in wanted and area.sheets:
            # one of which nothing is opaque is not read, and that is told
            ratio = _read(record, area, pictures)
            yield Reading(area.id + GRAPHIC, situation, ratio, REQUIRED, float(ratio is not None), None, None, ())
