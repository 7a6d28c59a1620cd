"""Heights, padding and letters of somebody's stylesheet as the document writes them."""

from collections.abc import Mapping
from typing import Any

from ..colour.notation import Rgba
from .colours import colour, is_colour
from .lengths import Reach, length, length_text, reach_of
from .tokens import Node, called, said, split, word
from .unread import Notes, UnreadError
from .values import Values

HEIGHTS = ("height", "block-size", "min-height", "min-block-size")
SIDES = {
    "top": ("padding-top", "padding-block-start"),
    "bottom": ("padding-bottom", "padding-block-end"),
    "left": ("padding-left", "padding-inline-start"),
    "right": ("padding-right", "padding-inline-end"),
}
WEIGHTS = {"normal": 400, "bold": 700, "bolder": 700, "lighter": 300}
SIZES = {
    "xx-small": 9,
    "x-small": 10,
    "small": 13,
    "medium": 16,
    "large": 18,
    "x-large": 24,
    "xx-large": 32,
    "xxx-large": 48,
}


def _noted(values: Values, name: str, nodes: list[Node], notes: Notes) -> None:
    for why, nearest in notes:
        values.note(values.held[name], f"{name}: {said(nodes)}", why, nearest)


def height_of(values: Values) -> dict[str, Any]:
    """The least height of a band, and its proportion, as the document has them."""
    found: dict[str, Any] = {}
    for name in HEIGHTS:
        nodes = values.single.get(name)
        if not nodes or word(nodes[0]) in ("auto", "none", "fit-content", "min-content", "max-content", "initial"):
            continue
        notes = Notes()
        try:
            text = length(nodes[0], notes, negative=False)
            if "%" in text:
                raise UnreadError("a height in % depends on what is around it", "a height of its own")
            found["min"] = text
        except UnreadError as error:
            values.note(values.held[name], f"{name}: {said(nodes)}", error.why, error.nearest)
        _noted(values, name, nodes, notes)
    ratio = values.single.get("aspect-ratio")
    if ratio:
        numbers = [float(n.value) for n in ratio if n.type == "number"]
        if numbers and min(numbers) > 0:
            found["proportion"] = round(min(20.0, max(0.1, numbers[0] / (numbers[1] if len(numbers) > 1 else 1))), 4)
    return found


def _four(nodes: list[Node]) -> tuple[Node, Node, Node, Node]:
    """Top, right, bottom and left of a shorthand of one to four values."""
    top = nodes[0]
    right = nodes[1] if len(nodes) > 1 else top
    return top, right, nodes[2] if len(nodes) > 2 else top, nodes[3] if len(nodes) > 3 else right


def padding_of(values: Values) -> dict[str, str]:
    """The padding, block and inline; where sides differ, the greater."""
    sides: dict[str, tuple[str, Node]] = {}
    if values.single.get("padding"):
        four = _four(values.single["padding"])
        for side, node in zip(("top", "right", "bottom", "left"), four, strict=True):
            sides[side] = ("padding", node)
    for name, pair in (("padding-block", ("top", "bottom")), ("padding-inline", ("left", "right"))):
        nodes = values.single.get(name)
        for n, side in enumerate(pair if nodes else ()):
            sides[side] = (name, (nodes or [])[min(n, len(nodes or []) - 1)])
    for side, names in SIDES.items():
        for name in names:
            if values.single.get(name):
                sides[side] = (name, values.single[name][0])
    found: dict[str, str] = {}
    for axis, (one, other) in {"block": ("top", "bottom"), "inline": ("left", "right")}.items():
        text = _greater(values, sides.get(one), sides.get(other))
        if text is not None:
            found[axis] = text
    return found


def _greater(values: Values, one: tuple[str, Node] | None, other: tuple[str, Node] | None) -> str | None:
    texts: list[str] = []
    for side in (one, other):
        if side is None:
            continue
        name, node = side
        notes = Notes()
        try:
            texts.append(length(node, notes, negative=False))
        except UnreadError as error:
            values.note(values.held[name], f"{name}: {said(node)}", error.why, error.nearest)
        _noted(values, name, [node], notes)
    if not texts:
        return None
    if len(set(texts)) > 1 and one and other:
        values.note(values.held[one[0]], "padding", "its two sides differ", f"{max(texts, key=_rough)} on both")
    return max(texts, key=_rough)


def _rough(text: str) -> float:
    try:
        return float("".join(c for c in text if c in "0123456789."))
    except ValueError:
        return 0.0


def number_of(nodes: list[Node] | None, otherwise: float) -> float:
    """A number or a percentage, 0..1; another where there is none."""
    node = nodes[0] if nodes else None
    if node is not None and node.type in ("number", "percentage"):
        return min(1.0, max(0.0, float(node.value) / (100 if node.type == "percentage" else 1)))
    return otherwise


def filter_of(values: Values) -> dict[str, float]:
    """The parts of a filter that the document has."""
    found: dict[str, float] = {}
    nodes = values.single.get("filter", [])
    for node in nodes:
        name, inner = called(node), split(node.arguments, ",")[0] if called(node) else []
        if name == "blur" and inner and inner[0].type == "dimension" and inner[0].lower_unit == "px":
            found["blur"] = min(60.0, max(0.0, float(inner[0].value)))
        elif name in ("brightness", "contrast", "saturate", "grayscale") and inner:
            amount = float(inner[0].value) / (100 if inner[0].type == "percentage" else 1)
            found[name] = min(3.0 if name != "grayscale" else 1.0, max(0.0, amount))
        elif word(node) != "none":
            values.note(values.held["filter"], f"filter: {said(node)}", "it is none of those that are read", "")
    return found


def font_parts(values: Values) -> dict[str, list[Node]]:
    """The longhands of the font shorthand, with those that are said by themselves over them."""
    found: dict[str, list[Node]] = {}
    nodes = values.single.get("font")
    if nodes:
        for n, node in enumerate(nodes):
            if node.type == "literal" and node.value == "/":
                continue
            if node.type in ("dimension", "percentage") or called(node) or word(node) in SIZES:
                found["font-size"] = [node]
                behind = nodes[n + 1 :]
                if behind and behind[0].type == "literal" and behind[0].value == "/":
                    found["line-height"], behind = behind[1:2], behind[2:]
                found["font-family"] = behind
                break
            if node.type == "number" or word(node) in ("bold", "bolder", "lighter"):
                found["font-weight"] = [node]
            elif word(node) in ("italic", "oblique"):
                found["font-style"] = [node]
    names = ("font-family", "font-size", "font-weight", "font-style", "line-height")
    return found | {name: values.single[name] for name in names if values.single.get(name)}


def font_size(nodes: list[Node], parent: float, notes: Notes) -> tuple[str, float]:
    """A font size as the document writes it, and about how many px that is at 1280 px; em and % go by the parent's.
    Raises UnreadError."""
    node = nodes[0]
    if word(node) in SIZES:
        return f"{SIZES[word(node)]}px", float(SIZES[word(node)])
    if word(node) in ("smaller", "larger"):
        size = parent * (1.2 if word(node) == "larger" else 1 / 1.2)
        return f"{size:.4g}px", size
    found = reach_of(node, notes)
    parts = [None if part is None else _absolute(part, parent) for part in (found.least, found.most)]
    scaled = Reach(_absolute(found.wanted, parent), *parts)
    return length_text(scaled, negative=False), max(1.0, _px(scaled))


def _absolute(part: Mapping[str, float], parent: float) -> dict[str, float]:
    """A sum in which em and % are px."""
    rest = {unit: value for unit, value in part.items() if unit not in ("em", "%")}
    px = part.get("em", 0.0) * parent + part.get("%", 0.0) * parent / 100
    return {**rest, "px": rest.get("px", 0.0) + px} if px else rest


def _px(found: Reach) -> float:
    def of(part: Mapping[str, float]) -> float:
        units = {"px": 1.0, "rem": 16.0, "vw": 12.8, "vh": 8.0, "": 1.0}
        return sum(value * units.get(unit, 16.0) for unit, value in part.items())

    value = of(found.wanted)
    value = min(value, of(found.most)) if found.most is not None else value
    return max(value, of(found.least)) if found.least is not None else value


def weight_of(nodes: list[Node]) -> int:
    """A font weight, 100 to 900."""
    node = nodes[0]
    if word(node) in WEIGHTS:
        return WEIGHTS[word(node)]
    return int(min(900, max(100, round(float(node.value) / 100) * 100))) if node.type == "number" else 400


def shadow_of(nodes: list[Node], current: Rgba, notes: Notes) -> dict[str, Any] | None:
    """The first shadow of letters. Raises UnreadError."""
    groups = split(nodes, ",")
    if not groups or not groups[0] or word(groups[0][0]) == "none":
        return None
    if len(groups) > 1:
        notes.near("several shadows of letters", "the first of them")
    lengths = [length(n, notes) for n in groups[0] if not is_colour(n)]
    shades = [colour(n, notes, current) for n in groups[0] if is_colour(n)]
    if len(lengths) < 2:
        raise UnreadError(f"{said(groups[0])} is no shadow")
    across, down, blur = (*lengths, "0px")[:3]
    return {"across": across, "down": down, "blur": blur, "colour": (shades[0] if shades else current).hex}
