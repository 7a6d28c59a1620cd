"""Backgrounds of CSS Backgrounds 3 and Compositing 1: longhands and the shorthand, several layers."""

from dataclasses import dataclass, field, replace

import tinycss2

from .colours import is_colour
from .gradients import is_gradient
from .lengths import MATHS
from .tokens import Node, address_of, called, said, significant, split, word
from .unread import UnreadError

LONGHANDS = ("image", "position", "size", "repeat", "attachment", "origin", "clip", "blend-mode")
REPEATS = {"repeat-x": ("repeat", "no-repeat"), "repeat-y": ("no-repeat", "repeat")} | {
    style: (style, style) for style in ("repeat", "no-repeat", "space", "round")
}
ATTACHMENTS = ("scroll", "fixed", "local")
BOXES = ("border-box", "padding-box", "content-box", "text")
BLENDS = (
    "normal", "multiply", "screen", "overlay", "darken", "lighten", "color-dodge", "color-burn", "hard-light",
    "soft-light", "difference", "exclusion", "hue", "saturation", "color", "luminosity",
)  # fmt: skip
IMAGES = ("image-set", "-webkit-image-set", "cross-fade", "-webkit-cross-fade", "image", "element", "paint")


@dataclass(frozen=True)
class Layered:
    """One background: its image, and what the longhands say of it."""

    image: Node | None = None
    position: tuple[Node, ...] = ()
    size: tuple[Node, ...] = ()
    repeat: tuple[str, str] = ("repeat", "repeat")
    attachment: str = "scroll"
    clip: str = "border-box"
    blend: str = "normal"


@dataclass
class Backgrounds:
    """What the declarations of an element come to, topmost background first."""

    colour: Node | None = None
    lists: dict[str, list[list[Node]]] = field(default_factory=dict)

    def layers(self) -> list[Layered]:
        """As many as there are images; shorter lists begin anew (section 3.1)."""
        images = self.lists.get("image", [])
        return [self._layer(image, n) for n, image in enumerate(images) if word(image[0]) != "none"]

    @property
    def in_letters(self) -> bool:
        """Whether its colour is painted inside letters alone: that of the lowest background holds (section 3.10)."""
        lowest = self._of("clip", max(0, len(self.lists.get("image", [])) - 1))
        return bool(lowest) and word(lowest[0]) == "text"

    def _of(self, name: str, n: int) -> list[Node]:
        values = self.lists.get(name) or [[]]
        return values[n % len(values)]

    def _layer(self, image: list[Node], n: int) -> Layered:
        found = Layered(image[0], tuple(self._of("position", n)), tuple(self._of("size", n)))
        repeat, attachment = self._of("repeat", n), self._of("attachment", n)
        clip, blend = self._of("clip", n), self._of("blend-mode", n)
        return replace(
            found,
            repeat=repeat_of(repeat) if repeat else found.repeat,
            attachment=word(attachment[0]) if attachment else "scroll",
            clip=word(clip[0]) if clip else "border-box",
            blend=word(blend[0]) if blend else "normal",
        )


def is_image(node: Node) -> bool:
    """Whether a value is an image."""
    return address_of(node) is not None or is_gradient(node) or called(node) in IMAGES or word(node) == "none"


def repeat_of(nodes: list[Node]) -> tuple[str, str]:
    """How it is repeated across and down. Raises UnreadError."""
    names = [word(n) for n in nodes]
    if len(names) == 1 and names[0] in REPEATS:
        return REPEATS[names[0]]
    if len(names) == 2 and all(n in REPEATS and "-x" not in n and "-y" not in n for n in names):
        return names[0], names[1]
    raise UnreadError(f"{said(nodes)} is no way to repeat")


def _checked(name: str, group: list[Node]) -> list[Node]:
    """A value of a longhand, if it can be one. Raises UnreadError."""
    if not group:
        raise UnreadError("a value is missing between commas")
    names = [word(n) for n in group]
    known = {"attachment": ATTACHMENTS, "origin": BOXES, "clip": BOXES, "blend-mode": BLENDS}
    if name in known and (len(names) != 1 or names[0] not in known[name]):
        raise UnreadError(f"{said(group)} is no value of background-{name}")
    if name == "repeat":
        repeat_of(group)
    if name == "image" and (len(group) != 1 or not is_image(group[0])):
        raise UnreadError(f"{said(group)} is no image that can be read")
    return group


def longhand(found: Backgrounds, name: str, nodes: list[Node]) -> None:
    """Take a longhand. Raises UnreadError; then nothing is taken."""
    if name == "color":
        shades = significant(nodes)
        if len(shades) != 1 or not is_colour(shades[0]):
            raise UnreadError(f"{said(nodes)} is no colour that can be read")
        found.colour = shades[0]
    elif name in ("position-x", "position-y"):
        _axis(found, name, split(nodes, ","))
    else:
        found.lists[name] = [_checked(name, group) for group in split(nodes, ",")]


def _axis(found: Backgrounds, name: str, groups: list[list[Node]]) -> None:
    """One axis of the position, where the other is one value too."""
    if any(len(g) != 1 for g in groups):
        raise UnreadError(f"background-{name} with an edge and an offset", "background-position")
    old = [tuple(p) for p in found.lists.get("position", [])]
    fresh: list[list[Node]] = []
    for n, group in enumerate(groups):
        pair = old[n % len(old)] if old else ()
        if len(pair) > 2:
            raise UnreadError(f"background-{name} beside a place of four values", "background-position")
        other = _other(pair, name)
        fresh.append([group[0], *other] if name == "position-x" else [*(other or _zero()), group[0]])
    found.lists["position"] = fresh


def _other(pair: tuple[Node, ...], name: str) -> list[Node]:
    if len(pair) == 2:
        return [pair[1] if name == "position-x" else pair[0]]
    return _zero()


def _zero() -> list[Node]:
    return [tinycss2.parse_one_component_value("0%")]


def shorthand(found: Backgrounds, nodes: list[Node]) -> None:
    """Take the shorthand, which sets every longhand but the blending anew. Raises UnreadError, taking nothing then."""
    groups = split(nodes, ",")
    lists: dict[str, list[list[Node]]] = {name: [] for name in LONGHANDS if name != "blend-mode"}
    colour: Node | None = None
    for n, group in enumerate(groups):
        one = _Group(group)
        if one.colour is not None and n < len(groups) - 1:
            raise UnreadError("a colour stands in the last background alone")
        colour = one.colour
        for name, values in one.values.items():
            lists[name].append(values)
    found.colour = colour
    blending = {name: values for name, values in found.lists.items() if name == "blend-mode"}
    found.lists = blending | _bare(lists)


def _bare(lists: dict[str, list[list[Node]]]) -> dict[str, list[list[Node]]]:
    none = tinycss2.parse_one_component_value("none")
    images = [group or [none] for group in lists["image"]]
    return {**{name: values for name, values in lists.items() if name != "image" and any(values)}, "image": images}


class _Group:
    """One background of the shorthand: its values by longhand."""

    def __init__(self, nodes: list[Node]) -> None:
        self.colour: Node | None = None
        self.values: dict[str, list[Node]] = {name: [] for name in LONGHANDS if name != "blend-mode"}
        if not nodes:
            raise UnreadError("a background is empty")
        before, *sizes = split(nodes, "/")
        rest = sizes[0] if sizes else []
        size = [n for n in rest[:2] if _is_size(n)]
        if len(sizes) > 1 or (sizes and not size):
            raise UnreadError(f"{said(nodes)} names no size behind the stroke")
        if len(size) == 2 and not _is_size(rest[1]):
            size = size[:1]
        self.values["size"] = size
        for node in before + rest[len(size) :]:
            self._take(node, nodes)

    def _take(self, node: Node, nodes: list[Node]) -> None:
        name, values = word(node), self.values
        if is_image(node) and not values["image"]:
            values["image"] = [node]
        elif is_colour(node) and self.colour is None:
            self.colour = node
        elif name in REPEATS and len(values["repeat"]) < 2:
            values["repeat"].append(node)
        elif name in ATTACHMENTS and not values["attachment"]:
            values["attachment"] = [node]
        elif name in BOXES:
            values["clip" if values["origin"] else "origin"] = [node]
            values["clip"] = [node]
        elif _is_place(node) and len(values["position"]) < 4:
            values["position"].append(node)
        else:
            raise UnreadError(f"{said(node)} has no place in the background {said(nodes)}")


def _is_length(node: Node) -> bool:
    return node.type in ("dimension", "percentage", "number") or called(node) in MATHS


def _is_size(node: Node) -> bool:
    return _is_length(node) or word(node) in ("auto", "cover", "contain")


def _is_place(node: Node) -> bool:
    return _is_length(node) or word(node) in ("left", "right", "top", "bottom", "center")
