"""How much of each area is really to be seen: what an opaque sheet or a later area covers is not."""

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from ..resolve.box import Box
from ..resolve.records import AreaRecord, PageRecord
from ..resolve.sheets import Sheet
from .sheets import PAINTERS, span_of

CELL = 4
"""Coverage is counted in squares of this many px."""


@dataclass(frozen=True)
class Seen:
    """An area's share that is to be seen (0..1), who covers how much of it, and its base's share.

    `beside` and `below` are the shares of the area that show beside and below everything else; for the page.
    """

    area: str
    visible: float
    covered_by: tuple[tuple[str, float], ...]
    base: float
    beside: float = 0.0
    below: float = 0.0


def is_opaque(sheet: Sheet, transparent: Callable[[str], bool]) -> bool:
    """Whether nothing shows through a sheet. `transparent` tells whether a picture (by its hash) has transparency."""
    painter = PAINTERS[type(sheet)]
    return sheet.blend == "normal" and hasattr(painter, "opaque") and bool(painter.opaque(sheet, transparent))


class _Ground:
    """A page in squares; marks which area's opaque sheet was laid over each last."""

    def __init__(self, record: PageRecord) -> None:
        self.shape = (max(1, round(record.height / CELL)), max(1, round(record.width / CELL)))

    def cells(self, box: Box) -> tuple[slice, slice]:
        """The squares of a box."""
        rows = slice(max(0, round(box.y / CELL)), min(self.shape[0], round(box.bottom / CELL)))
        return rows, slice(max(0, round(box.x / CELL)), min(self.shape[1], round(box.right / CELL)))


def _own(area: AreaRecord, ground: _Ground, transparent: Callable[[str], bool]) -> tuple[NDArray[np.bool_], float]:
    """Where the area has something opaque, and the share of its base that its own layers leave free."""
    mask = np.zeros(ground.shape, dtype=bool)
    layers = np.zeros(ground.shape, dtype=bool)
    for sheet in area.sheets:
        if is_opaque(sheet, transparent):
            place = ground.cells(span_of(sheet))
            mask[place] = True
            if sheet.id != "base":
                layers[place] = True
    inside = layers[ground.cells(area.box)]
    return mask, float(1 - inside.mean()) if inside.size else 0.0


def seen(record: PageRecord, transparent: Callable[[str], bool]) -> list[Seen]:
    """Every area of a resolved page, in the order of painting."""
    ground = _Ground(record)
    owns = [_own(area, ground, transparent) for area in record.areas]
    found = []
    for n, area in enumerate(record.areas):
        place = ground.cells(area.box)
        free = np.ones(ground.shape, dtype=bool)[place]
        if not free.size:
            found.append(Seen(area.id, 0.0, (), 0.0))
            continue
        whole = free.size
        covers: list[tuple[str, float]] = []
        for other, (mask, _) in zip(record.areas[n + 1 :], owns[n + 1 :], strict=True):
            taken = free & mask[place]
            if taken.any():
                covers.append((other.id, float(taken.sum() / whole)))
                free = free & ~mask[place]
        beside = below = 0.0
        if area.kind == "page":
            last = max((b.outer.bottom for b in record.bands), default=0.0)
            edge = min(free.shape[0], round(last / CELL))
            below = float(free[edge:].sum() / whole)
            beside = float(free[:edge].sum() / whole)
        share = float(free.sum() / whole)
        found.append(Seen(area.id, share, tuple(covers), share * owns[n][1], beside, below))
    return found
