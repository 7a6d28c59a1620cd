"""Gradients of somebody's stylesheet: those of CSS Images 4, section 3, and the prefixed ones from before."""

import math

from pydantic import ValidationError

from ..colour.notation import Rgba, mixed
from ..document import Gradient
from ..document.gradient import Stop
from .colours import colour, is_colour
from .lengths import length, reach_of
from .places import place
from .tokens import Node, called, said, split, word
from .unread import Notes, UnreadError

TURN = {"deg": 1.0, "grad": 0.9, "rad": 180 / math.pi, "turn": 360.0}
SIDES = {"top": 0.0, "right": 90.0, "bottom": 180.0, "left": 270.0}
CORNERS = {("right", "top"): 45.0, ("bottom", "right"): 135.0, ("bottom", "left"): 225.0, ("left", "top"): 315.0}
EXTENTS = ("closest-side", "closest-corner", "farthest-side", "farthest-corner")
OLD_EXTENTS = {"contain": "closest-side", "cover": "farthest-corner"}
PREFIXES = ("-webkit-", "-moz-", "-o-", "-ms-")
NAMES = tuple(f"{r}{shape}-gradient" for shape in ("linear", "radial", "conic") for r in ("", "repeating-"))


def bare_name(name: str) -> tuple[str, bool]:
    """A function's name without its maker's prefix, and whether it had one."""
    prefix = next((p for p in PREFIXES if name.startswith(p)), "")
    return name[len(prefix) :], bool(prefix)


def is_gradient(node: Node) -> bool:
    """Whether a value is a gradient of any age."""
    name, prefixed = bare_name(called(node))
    return name in NAMES or (prefixed and name == "gradient")


def _angle(node: Node) -> float | None:
    if node.type == "dimension" and node.lower_unit in TURN:
        return float(node.value) * TURN[node.lower_unit]
    return 0.0 if node.type == "number" and node.value == 0 else None


class _Stops:
    """The stops of a gradient, one after the other."""

    def __init__(self, current: Rgba, notes: Notes, conic: bool) -> None:
        self.current, self.notes, self.conic = current, notes, conic
        self.found: list[tuple[Rgba, str | None]] = []
        self.hints: list[tuple[int, str]] = []

    def at(self, node: Node) -> str:
        turned = _angle(node) if self.conic else None
        if turned is not None:
            return f"{turned / 3.6:.6f}".rstrip("0").rstrip(".") + "%"
        return length(node, self.notes)

    def take(self, nodes: list[Node]) -> None:
        """A stop of one or two places, or a hint."""
        if not nodes:
            raise UnreadError("a stop of the gradient is empty")
        colours = [n for n in nodes if is_colour(n)]
        places = [n for n in nodes if not is_colour(n)]
        if not colours and len(places) == 1:
            self.hints.append((len(self.found), self.at(places[0])))
            return
        if len(colours) != 1 or len(places) > 2:
            raise UnreadError(f"{said(nodes)} is no stop that can be read")
        shade = colour(colours[0], self.notes, self.current)
        self.found += [(shade, self.at(p)) for p in places] or [(shade, None)]

    def stops(self) -> tuple[Stop, ...]:
        found = list(self.found)
        for at, where in reversed(self.hints):
            if 0 < at < len(found):
                self.notes.near("a hint between two stops bends the way between them", "a stop in the middle")
                found.insert(at, (mixed(found[at - 1][0], found[at][0], 0.5), where))
        if len(found) == 1:
            found *= 2
        if not 2 <= len(found) <= 32:
            raise UnreadError("a gradient has 2 to 32 stops")
        return tuple(Stop(colour=shade.hex, at=where) for shade, where in found)


def _space(nodes: list[Node], notes: Notes) -> tuple[str, list[Node]]:
    """The colour space that is named after `in`, and the rest. Without one, it is sRGB."""
    names = [word(n) for n in nodes]
    if "in" not in names:
        return "srgb", nodes
    at = names.index("in")
    end = next(
        (
            n
            for n in range(at + 2, len(nodes))
            if names[n] not in ("shorter", "longer", "increasing", "decreasing", "hue")
        ),
        len(nodes),
    )
    wanted = names[at + 1] if at + 1 < len(names) else ""
    if wanted not in ("srgb", "oklab"):
        nearest = "oklab" if wanted.startswith(("ok", "lab", "lch")) else "srgb"
        notes.near(f"colours between stops are mixed in {wanted or 'no space'}", nearest)
        wanted = nearest
    return wanted, nodes[:at] + nodes[end:]


def _corner(names: set[str], notes: Notes) -> float:
    ordered = tuple(sorted(names))
    if ordered not in CORNERS:
        raise UnreadError(f"{' '.join(ordered)} is no corner")
    angle = CORNERS[ordered]
    notes.near("towards a corner the angle depends on the area's shape", f"{angle:g}deg")
    return angle


def _towards(nodes: list[Node], notes: Notes) -> float:
    """`to` a side or a corner, or an angle, in degrees."""
    if not nodes:
        return 180.0
    if len(nodes) == 1 and (angle := _angle(nodes[0])) is not None:
        return angle
    names = [word(n) for n in nodes]
    if names[0] != "to" or not set(names[1:]) <= set(SIDES):
        raise UnreadError(f"{said(nodes)} is no direction")
    return SIDES[names[1]] if len(names) == 2 else _corner(set(names[1:]), notes)


def _at(nodes: list[Node], notes: Notes) -> tuple[list[Node], tuple[str, str]]:
    """What stands before `at`, and the centre behind it."""
    names = [word(n) for n in nodes]
    if "at" not in names:
        return nodes, ("50%", "50%")
    n = names.index("at")
    return nodes[:n], place(nodes[n + 1 :], notes).from_start


def _round(nodes: list[Node], notes: Notes) -> dict[str, object]:
    """The shape and size of a radial gradient."""
    names = {word(n) for n in nodes}
    sizes = [n for n in nodes if not word(n)]
    unknown = names - {"", "circle", "ellipse", *EXTENTS}
    if unknown:
        raise UnreadError(f"{said(nodes)} is no shape of a radial gradient")
    extent = next((e for e in EXTENTS if e in names), "farthest-corner")
    if sizes:
        for node in sizes:
            reach_of(node, notes)
        notes.near(f"a radial gradient of its own size, {said(sizes)}", "farthest-corner")
    return {"round": "circle" in names or len(sizes) == 1, "extent": extent}


def _parts(node: Node, notes: Notes) -> tuple[str, list[Node], list[list[Node]]]:
    """The colour space, what stands before the stops, and the stops."""
    groups = split(node.arguments, ",")
    if not groups or not groups[0]:
        raise UnreadError(f"{said(node)} has no stops")
    if any(is_colour(n) for n in groups[0]):
        return "srgb", [], groups
    space, head = _space(groups[0], notes)
    return space, head, groups[1:]


def _standard(name: str, node: Node, current: Rgba, notes: Notes) -> Gradient:
    shape = name.removeprefix("repeating-").removesuffix("-gradient")
    space, head, groups = _parts(node, notes)
    stops = _Stops(current, notes, shape == "conic")
    for group in groups:
        stops.take(group)
    found: dict[str, object] = {"shape": shape, "repeating": name.startswith("repeating-"), "space": space}
    if shape == "linear":
        found["angle"] = _towards(head, notes)
    else:
        head, found["centre"] = _at(head, notes)
        if shape == "radial":
            found |= _round(head, notes)
        else:
            found["angle"] = _from(head)
    return Gradient.model_validate({**found, "stops": stops.stops()})


def _from(nodes: list[Node]) -> float:
    if not nodes:
        return 0.0
    angle = _angle(nodes[1]) if len(nodes) == 2 and word(nodes[0]) == "from" else None
    if angle is None:
        raise UnreadError(f"{said(nodes)} does not say from where a conic gradient turns")
    return angle


def _old_linear(head: list[Node], notes: Notes) -> float:
    """Before the standard, a gradient was said by where it begins, and angles ran the other way from the right."""
    if not head:
        return 180.0
    if len(head) == 1 and (angle := _angle(head[0])) is not None:
        return 90.0 - angle
    names = {word(n) for n in head}
    if "to" in names or not names <= set(SIDES):
        raise UnreadError(f"{said(head)} is no direction")
    if len(names) == 1:
        return (SIDES[next(iter(names))] + 180.0) % 360.0
    return (_corner(names, notes) + 180.0) % 360.0


def _prefixed(name: str, node: Node, current: Rgba, notes: Notes) -> Gradient:
    """A gradient with a maker's prefix: -webkit-linear-gradient(top, …)."""
    shape = name.removeprefix("repeating-").removesuffix("-gradient")
    groups = split(node.arguments, ",")
    heads: list[list[Node]] = []
    while groups and not any(is_colour(n) for n in groups[0]):
        heads.append(groups.pop(0))
    stops = _Stops(current, notes, False)
    for group in groups:
        stops.take(group)
    found: dict[str, object] = {"shape": shape, "repeating": name.startswith("repeating-")}
    if shape == "linear":
        found["angle"] = _old_linear(heads[0] if heads else [], notes)
    else:
        words = {word(n) for head in heads for n in head}
        kind = {"circle", "ellipse", *EXTENTS, *OLD_EXTENTS}
        placed = next((h for h in heads if not {word(n) for n in h} & kind), [])
        found["centre"] = place(placed, notes).from_start if placed else ("50%", "50%")
        extent = next((OLD_EXTENTS.get(w, w) for w in words if w in (*EXTENTS, *OLD_EXTENTS)), "farthest-corner")
        found |= {"round": "circle" in words, "extent": extent}
    return Gradient.model_validate({**found, "stops": stops.stops()})


def _oldest_stop(node: Node, current: Rgba, notes: Notes) -> tuple[float, Rgba]:
    name, groups = called(node), split(node.arguments, ",")
    if name in ("from", "to") and len(groups) == 1:
        return (0.0 if name == "from" else 1.0), colour(groups[0][0], notes, current)
    if name == "color-stop" and len(groups) == 2:
        at = groups[0][0]
        return float(at.value) / (100 if at.type == "percentage" else 1), colour(groups[1][0], notes, current)
    raise UnreadError(f"{said(node)} is no stop that can be read")


def _oldest(_: str, node: Node, current: Rgba, notes: Notes) -> Gradient:
    """-webkit-gradient(linear, left top, left bottom, from(…), to(…))."""
    groups = split(node.arguments, ",")
    if len(groups) < 4 or word(groups[0][0]) != "linear":
        raise UnreadError("the oldest radial gradient runs between two circles", "radial-gradient()")
    ends = [
        [0.0 if w in ("left", "top") else 100.0 if w in ("right", "bottom") else 50.0 for w in map(word, g)]
        for g in groups[1:3]
    ]
    for end, group in zip(ends, groups[1:3], strict=True):
        for n, part in enumerate(group):
            if part.type in ("percentage", "number"):
                end[n] = float(part.value) * (1 if part.type == "percentage" else 100)
    (x, y), (u, v) = (tuple(end[:2]) for end in ends)
    stops = sorted((_oldest_stop(g[0], current, notes) for g in groups[3:]), key=lambda stop: stop[0])
    if len(stops) < 2:
        raise UnreadError("a gradient has 2 to 32 stops")
    across, down = u - x, v - y
    if across and down:
        notes.near("it runs from corner to corner, so its angle depends on the area's shape", "its angle in a square")
    angle = math.degrees(math.atan2(across, -down)) % 360
    return Gradient(angle=angle, stops=tuple(Stop(colour=shade.hex, at=f"{100 * at:g}%") for at, shade in stops))


def gradient(node: Node, current: Rgba, notes: Notes) -> Gradient:
    """A gradient; what is read as something near to it is noted. Raises UnreadError."""
    name, prefixed = bare_name(called(node))
    read = _oldest if name == "gradient" else _prefixed if prefixed else _standard
    try:
        return read(name, node, current, notes)
    except ValidationError as error:
        raise UnreadError(str(error.errors()[0]["msg"]).removeprefix("Value error, ")) from error
