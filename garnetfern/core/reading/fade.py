"""Changes in which pictures and gradients turn into others and nothing else happens: what letters stand on is a mix of
what they stand on at the two ends, so that any moment in between need not be painted to look for the worst."""

from collections.abc import Sequence
from dataclasses import dataclass, replace

import cv2
import numpy as np

from ..colour.spaces import Bytes
from ..resolve.records import AreaRecord
from ..resolve.sheets import Sheet
from .ground import Around, Ground, Layer

MOMENTS = (0.0, 0.25, 0.5, 1.0)
"""The parts of a change that are laid out to know whether it is one of these: a change is even where it is so there."""
EVEN = 1e-6
SURE = 3
"""So many of the moments that are worst by the mix are painted and read."""


@dataclass(frozen=True)
class Fade:
    """What a block's letters stand on before such a change and after it."""

    first: Ground
    last: Ground

    def at(self, share: float) -> Ground:
        """With so much of the change over, 0..1: to a level or two what is painted then, where each layer is rounded
        by itself."""
        pairs = zip(self.first.fronts, self.last.fronts, strict=True)
        fronts = tuple(replace(one, pixels=_mixed(one.pixels, other.pixels, share)) for one, other in pairs)
        return Ground(_mixed(self.first.behind, self.last.behind, share), fronts)


def _mixed(one: Bytes, other: Bytes, share: float) -> Bytes:
    return np.asarray(cv2.addWeighted(one, 1 - share, other, share, 0), dtype=np.uint8)


def _bare(area: AreaRecord | None) -> AreaRecord | None:
    return None if area is None else replace(area, sheets=())


def _even(sheets: Sequence[Sheet]) -> bool:
    """Whether a sheet at MOMENTS differs in what it is mixed of alone, and that goes evenly from the one to the
    other."""
    frames = {(sheet.id, sheet.box, sheet.opacity, sheet.blend) for sheet in sheets}
    if len(frames) > 1 or sheets[0].blend != "normal":
        return False
    shares = [sheet.shares() for sheet in sheets]
    first, last = shares[0], shares[-1]
    return all(
        abs(there.get(part, 0) - first.get(part, 0) * (1 - moment) - last.get(part, 0) * moment) < EVEN
        for there, moment in zip(shares, MOMENTS, strict=True)
        for part in {*first, *last, *there}
    )


def _alike(layers: Sequence[Layer]) -> bool:
    one, *others = layers
    if any(x.words != one.words or _bare(x.area) != _bare(one.area) for x in others):
        return False
    if any(len(x.sheets) != len(one.sheets) for x in others):
        return False
    return all(_even(sheets) for sheets in zip(*(x.sheets for x in layers), strict=True))


def fades(moments: Sequence[Around]) -> bool:
    """Whether what lies round letters at MOMENTS of a change is a mix of its two ends at every moment."""
    one, *others = moments
    if any((len(x.beneath), len(x.above)) != (len(one.beneath), len(one.above)) for x in others):
        return False
    every = ((*x.beneath, *x.above) for x in moments)
    return all(_alike(layers) for layers in zip(*every, strict=True))
