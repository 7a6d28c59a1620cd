"""Lengths to px (CSS Values 4, sections 5, 6 and 10.3)."""

import math
import struct
from dataclasses import dataclass

from ..document.length import Sum, parse_length

ROOT_SIZE = 16.0


@dataclass(frozen=True)
class Viewport:
    """The size of the initial containing block in CSS px."""

    width: float
    height: float


@dataclass(frozen=True)
class Scale:
    """What relative units refer to, in px: the viewport, the font size (em) and the percentage base."""

    viewport: Viewport
    em: float = ROOT_SIZE
    base: float = 0.0

    def _unit(self, unit: str) -> float:
        match unit:
            case "px":
                return 1.0
            case "%":
                return self.base / 100
            case "vw":
                return self.viewport.width / 100
            case "vh":
                return self.viewport.height / 100
            case "rem":
                return ROOT_SIZE
            case _:
                return self.em

    def _sum(self, terms: Sum) -> float:
        return sum(term.value * self._unit(term.unit) for term in terms)

    def px(self, text: str) -> float:
        """The length in CSS px. In clamp() the least wins over the most. Raises LengthError."""
        length = parse_length(text)
        value = self._sum(length.wanted)
        if length.most is not None:
            value = min(value, self._sum(length.most))
        if length.least is not None:
            value = max(value, self._sum(length.least))
        return value


_SINGLE = struct.Struct("f")


def single(value: float) -> float:
    """The nearest number of single precision."""
    return float(_SINGLE.unpack(_SINGLE.pack(value))[0])


def line_height(size: float, line: float) -> float:
    """How high a line is, px: a multiple of the letters' size in whole layout units, computed as a percentage of it in
    single precision, and cut to a layout unit."""
    units = math.floor(size * 64 + 0.5) / 64
    return layout_unit(single(units * single(line * 100)) / 100)


def layout_unit(px: float) -> float:
    """Cut to the browser's layout unit, 1/64 px. Lengths are computed in single precision there."""
    px = single(px)
    return int(px * 64) / 64 if px >= 0 else -(int(-px * 64) / 64)


def ceiled(px: float) -> float:
    """The next layout unit that holds it, as widths of words are kept."""
    return math.ceil(px * 64) / 64
