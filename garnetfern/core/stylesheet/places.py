"""Places of somebody's stylesheet: `<position>` of CSS Values 5 with one to four values."""

from dataclasses import dataclass

from ..document.length import LARGEST
from .lengths import length
from .tokens import Node, said, word
from .unread import Notes, UnreadError

ACROSS, DOWN = ("left", "right"), ("top", "bottom")
MIDDLE = "50%"
LOGICAL = {"x-start": "left", "x-end": "right", "y-start": "top", "y-end": "bottom"}


@dataclass(frozen=True)
class Spot:
    """A place: offsets from edges."""

    side: str = "left"
    across: str = "0%"
    end: str = "top"
    down: str = "0%"

    @property
    def plain(self) -> tuple[str, str] | None:
        """The offsets from left and top, where these say it in percent or px; None where they cannot."""
        across = _from_start(self.side, self.across)
        down = _from_start(self.end, self.down)
        return (across, down) if across is not None and down is not None else None

    @property
    def from_start(self) -> tuple[str, str]:
        """The offsets from left and top, whatever they are measured from; percent of the area are of all of it."""
        return _turned(self.side, self.across), _turned(self.end, self.down)


def _turned(side: str, offset: str) -> str:
    plain = _from_start(side, offset)
    if plain is not None:
        return plain
    if offset.startswith("clamp("):
        raise UnreadError(f"an offset from the {side} that is held in bounds", "one from the left and the top")
    sign, size = ("+", offset[1:]) if offset.startswith("-") else ("-", offset)
    return f"clamp(-{LARGEST:g}px, 100% {sign} {size}, {LARGEST:g}px)"


def _from_start(side: str, offset: str) -> str | None:
    if side in ("left", "top"):
        return offset
    if offset.endswith("%"):
        return f"{100 - float(offset[:-1]):.6f}".rstrip("0").rstrip(".") + "%"
    return "100%" if offset in ("0", "0px") else None


def _axis(name: str) -> str:
    return "across" if name in ACROSS else "down" if name in DOWN else ""


def _two(nodes: list[Node], notes: Notes) -> Spot:
    first, second = (LOGICAL.get(word(n), word(n)) for n in nodes)
    if (_axis(first) == "down" and first) or _axis(second) == "across":
        nodes, first, second = nodes[::-1], second, first
    if _axis(first) == "down" or _axis(second) == "across":
        raise UnreadError(f"{said(nodes)} is no place")
    across = ("left", MIDDLE) if first == "center" else (first, "0%") if first else ("left", length(nodes[0], notes))
    down = ("top", MIDDLE) if second == "center" else (second, "0%") if second else ("top", length(nodes[1], notes))
    return Spot(across[0], across[1], down[0], down[1])


def _edges(nodes: list[Node], notes: Notes) -> Spot:
    """Three or four values: an edge, and an offset from it, for each axis."""
    found: dict[str, tuple[str, str]] = {}
    rest = list(nodes)
    while rest:
        name = LOGICAL.get(word(rest[0]), word(rest[0]))
        axis = _axis(name)
        if name == "center":
            axis = "down" if "across" in found or any(_axis(word(n)) == "across" for n in rest[1:]) else "across"
            found[axis], rest = ("left" if axis == "across" else "top", MIDDLE), rest[1:]
        elif axis and axis not in found:
            offset = len(rest) > 1 and not word(rest[1])
            found[axis] = (name, length(rest[1], notes) if offset else "0%")
            rest = rest[2 if offset else 1 :]
        else:
            raise UnreadError(f"{said(nodes)} is no place")
    across, down = found.get("across", ("left", MIDDLE)), found.get("down", ("top", MIDDLE))
    return Spot(across[0], across[1], down[0], down[1])


def place(nodes: list[Node], notes: Notes, three: bool = False) -> Spot:
    """A place; `three`: of three values too, as backgrounds take it. Raises UnreadError."""
    if len(nodes) == 1:
        name = LOGICAL.get(word(nodes[0]), word(nodes[0]))
        if name == "center":
            return Spot(across=MIDDLE, down=MIDDLE)
        if _axis(name) == "down":
            return Spot(across=MIDDLE, end=name, down="0%")
        return Spot(name or "left", "0%" if name else length(nodes[0], notes), down=MIDDLE)
    if len(nodes) == 2:
        return _two(nodes, notes)
    if len(nodes) == 4 or (len(nodes) == 3 and three):
        return _edges(nodes, notes)
    raise UnreadError(f"{said(nodes)} is no place")
