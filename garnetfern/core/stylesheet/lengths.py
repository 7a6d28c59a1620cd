"""Lengths of somebody's stylesheet (CSS Values 4, sections 5, 6 and 10) as the document writes them."""

from dataclasses import dataclass

from ..document.length import LARGEST, UNITS
from .tokens import Node, called, said, significant, split
from .unread import Notes, UnreadError

Sum = dict[str, float]
"""Values by unit; the unit '' is a bare number."""
ABSOLUTE = {"px": 1.0, "in": 96.0, "cm": 96 / 2.54, "mm": 96 / 25.4, "q": 96 / 101.6, "pt": 96 / 72, "pc": 16.0}
SAME = {
    f"{kind}v{axis}": "vw" if axis in "wi" else "vh" for kind in ("s", "l", "d", "") for axis in "whib"
}  # on pages that are written across
NEAR = {"ch": ("em", 0.5), "ex": ("em", 0.5), "cap": ("em", 0.7), "ic": ("em", 1.0), "lh": ("em", 1.5),
        "rlh": ("rem", 1.5), "vmin": ("vh", 1.0), "vmax": ("vw", 1.0)}  # fmt: skip
"""Units that depend on what is not known here, and what they are read as."""
MATHS = ("calc", "min", "max", "clamp", "-webkit-calc", "-moz-calc")


@dataclass(frozen=True)
class Reach:
    """A length: `wanted`, held between `least` and `most` where those are given."""

    wanted: Sum
    least: Sum | None = None
    most: Sum | None = None

    @property
    def plain(self) -> bool:
        """Whether it is one sum."""
        return self.least is None and self.most is None


def _dimension(node: Node, notes: Notes) -> Sum:
    unit, value = str(node.lower_unit), float(node.value)
    if unit in ABSOLUTE:
        return {"px": value * ABSOLUTE[unit]}
    if unit in UNITS:
        return {unit: value}
    if unit in SAME:
        if unit not in ("vw", "vh"):
            notes.near(f"{unit} depends on the browser's own bars", SAME[unit])
        return {SAME[unit]: value}
    if unit in NEAR:
        other, times = NEAR[unit]
        notes.near(f"the unit {unit} is not known here", f"{times:g}{other}")
        return {other: value * times}
    raise UnreadError(f"the unit {unit} is none of a length that is read", "px, %, vw, vh, rem or em")


def _added(one: Sum, other: Sum, times: float = 1.0) -> Sum:
    return {unit: one.get(unit, 0.0) + times * other.get(unit, 0.0) for unit in {**one, **other}}


def _times(one: Sum, other: Sum) -> Sum:
    if set(other) <= {""}:
        return {unit: value * other.get("", 0.0) for unit, value in one.items()}
    if set(one) <= {""}:
        return _times(other, one)
    raise UnreadError("two lengths cannot be multiplied")


def _plain(reach: Reach) -> Sum:
    if not reach.plain:
        raise UnreadError("least and greatest values inside sums are not read", "clamp(least, wanted, most) alone")
    return reach.wanted


def _value(node: Node, notes: Notes, depth: int) -> Reach:
    if depth > 20:
        raise UnreadError("a sum is nested deeper than 20")
    if node.type == "number":
        return Reach({"": float(node.value)})
    if node.type == "percentage":
        return Reach({"%": float(node.value)})
    if node.type == "dimension":
        return Reach(_dimension(node, notes))
    if node.type == "() block":
        return _sum(node.content, notes, depth + 1)
    name = called(node)
    if name in MATHS:
        return _maths(name.removeprefix("-webkit-").removeprefix("-moz-"), node, notes, depth + 1)
    raise UnreadError(f"{said(node)} is no length")


def _product(nodes: list[Node], notes: Notes, depth: int) -> Reach:
    found = _value(nodes[0], notes, depth)
    rest = nodes[1:]
    while rest:
        if len(rest) < 2 or rest[0].type != "literal" or rest[0].value not in "*/":
            raise UnreadError(f"{said(nodes)} is no sum that can be read")
        other = _plain(_value(rest[1], notes, depth))
        if rest[0].value == "/":
            if set(other) - {""} or not other.get(""):
                raise UnreadError("a length is divided by a number that is not zero")
            other = {"": 1 / other[""]}
        found = Reach(_times(_plain(found), other))
        rest = rest[2:]
    return found


def _sum(nodes: list[Node], notes: Notes, depth: int) -> Reach:
    terms: list[tuple[float, list[Node]]] = [(1.0, [])]
    for node in significant(nodes):
        if node.type == "literal" and node.value in "+-" and terms[-1][1]:
            terms.append((1.0 if node.value == "+" else -1.0, []))
        else:
            terms[-1][1].append(node)
    if not all(part for _, part in terms):
        raise UnreadError(f"{said(nodes)} is no sum that can be read")
    first = _product(terms[0][1], notes, depth)
    if len(terms) == 1:
        return first
    total = _plain(first)
    for sign, part in terms[1:]:
        total = _added(total, _plain(_product(part, notes, depth)), sign)
    return Reach(total)


def _least(one: Reach, other: Reach) -> Reach:
    """min(): the lesser of both."""
    if other.plain and one.most is None:
        if one.least is not None:
            raise UnreadError("a greatest value that wins over a least one is not read", "clamp(least, wanted, most)")
        return Reach(one.wanted, None, other.wanted)
    if one.plain and other.most is None:
        return _least(other, one)
    raise UnreadError("more than one greatest value is not read", "clamp(least, wanted, most)")


def _most(one: Reach, other: Reach) -> Reach:
    """max(): the greater of both. A least value wins over a greatest one, as in clamp()."""
    if other.plain and one.least is None:
        return Reach(one.wanted, other.wanted, one.most)
    if one.plain and other.least is None:
        return _most(other, one)
    raise UnreadError("more than one least value is not read", "clamp(least, wanted, most)")


def _maths(name: str, node: Node, notes: Notes, depth: int) -> Reach:
    parts = [_sum(part, notes, depth) for part in split(node.arguments, ",")]
    if name == "calc":
        return parts[0]
    if name == "clamp":
        if len(parts) != 3:
            raise UnreadError("clamp() takes three lengths")
        least, wanted, most = parts
        return Reach(_plain(wanted), _plain(least), _plain(most))
    found = parts[0]
    for part in parts[1:]:
        found = (_least if name == "min" else _most)(found, part)
    return found


def reach_of(node: Node, notes: Notes) -> Reach:
    """A length or percentage. Raises UnreadError."""
    found = _value(node, notes, 0)
    for part in (found.wanted, found.least, found.most):
        if part is not None and part.get("") and set(part) == {""}:
            raise UnreadError(f"the number {said(node)} needs a unit")
    return found


def _term(unit: str, value: float) -> str:
    if abs(value) > LARGEST:
        raise UnreadError(f"a length reaches {LARGEST:g} at the most", f"{LARGEST:g}{unit}")
    return f"{value:.6f}".rstrip("0").rstrip(".") + (unit or "px")


def _written(total: Sum) -> str:
    terms = [(unit, value) for unit, value in total.items() if value] or [(next(iter(total), ""), 0.0)]
    first = _term(*terms[0])
    return first + "".join(f" {'-' if v < 0 else '+'} {_term(u, abs(v))}" for u, v in terms[1:])


def length_text(found: Reach, negative: bool = True) -> str:
    """A length as the document writes it. Raises UnreadError."""
    terms = [unit for unit, value in found.wanted.items() if value]
    if found.plain and len(terms) <= 1:
        text = _written(found.wanted)
        return "0px" if text.startswith("-") and not negative else text
    least = _written(found.least) if found.least is not None else (f"-{LARGEST:g}px" if negative else "0px")
    most = _written(found.most) if found.most is not None else f"{LARGEST:g}px"
    return f"clamp({least}, {_written(found.wanted)}, {most})"


def length(node: Node, notes: Notes, negative: bool = True) -> str:
    """A length or percentage as the document writes it. Raises UnreadError."""
    return length_text(reach_of(node, notes), negative)
