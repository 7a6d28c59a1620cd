"""Sheets mixed by their shares."""

from collections.abc import Callable
from dataclasses import replace
from types import ModuleType

import numpy as np

from ...colour.spaces import Bytes, Pixels
from ...resolve.box import Box
from ...resolve.sheets import MixedSheet, Sheet
from ..sample import Region, Sampler
from . import gradient, image

SHEET = MixedSheet
PARTS: dict[type[Sheet], ModuleType] = {painter.SHEET: painter for painter in (gradient, image)}
"""The painters of what is mixed."""


def _span(part: Sheet) -> Box:
    painter = PARTS[type(part)]
    found: Box = painter.span(part) if hasattr(painter, "span") else part.box
    return found


def span(sheet: MixedSheet) -> Box:
    """The box around what its parts may paint."""
    boxes = [box for box in (_span(part) for part, _ in sheet.parts) if box.width > 0 and box.height > 0]
    if not boxes:
        return Box(sheet.box.x, sheet.box.y, 0, 0)
    left, top = min(b.x for b in boxes), min(b.y for b in boxes)
    return Box(left, top, max(b.right for b in boxes) - left, max(b.bottom for b in boxes) - top)


def source(sheet: MixedSheet, part: Region, pictures: Sampler) -> Pixels:
    """The sum of the parts, premultiplied, each by its share."""
    found = np.zeros((part[3], part[2], 4), dtype=np.float32)
    for one, share in sheet.parts:
        found += PARTS[type(one)].source(one, part, pictures) * np.float32(share)
    return found


def _solid(sheet: MixedSheet, part: Region, pictures: Sampler) -> Pixels | None:
    """The mix in levels, where it is of pictures that nothing shows through, by a shorter way; otherwise None."""
    found = np.zeros((part[3], part[2], 3), dtype=np.float32)
    for one, share in sheet.parts:
        painter = PARTS[type(one)]
        pixels = painter.solid(one, part, pictures) if hasattr(painter, "solid") else None
        if pixels is None:
            return None
        found += pixels * np.float32(share)
    return found if sum(share for _, share in sheet.parts) > 0.9999 else None


def over(below: Bytes, sheet: MixedSheet, part: Region, pictures: Sampler) -> Bytes:
    """Laid over whole levels: one part alone as it is laid by itself, as the browser rounds it."""
    if len(sheet.parts) == 1 and sheet.parts[0][1] == 1:
        alone = replace(sheet.parts[0][0], opacity=sheet.opacity)
        painter = PARTS[type(alone)]
        if hasattr(painter, "over") and _span(alone).cut(Box(*part)) == Box(*part):
            done: Bytes = painter.over(below, alone, part, pictures)
            return done
    solid = _solid(sheet, part, pictures)
    if solid is not None:
        mixed = solid if sheet.opacity >= 1 else below + (solid - below) * np.float32(sheet.opacity)
        return np.asarray(mixed + np.float32(0.5), dtype=np.uint8)
    found = source(sheet, part, pictures) * np.float32(sheet.opacity)
    levels = below * (1 - found[..., 3:]) + found[..., :3] * np.float32(255) + np.float32(0.5)
    return np.asarray(levels, dtype=np.uint8)


def opaque(sheet: MixedSheet, transparent: Callable[[str], bool]) -> bool:
    """Whether it hides what lies below: where all its parts do."""
    whole = sum(share for _, share in sheet.parts) >= 0.999 and sheet.opacity >= 0.999
    return whole and all(
        PARTS[type(part)].opaque(part, transparent) and _span(part) == span(sheet) for part, _ in sheet.parts
    )
