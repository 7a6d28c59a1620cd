"""Backgrounds as layers of the document, lowest first."""

from collections.abc import Callable
from dataclasses import dataclass, field
from typing import Any
from urllib.parse import unquote

from pydantic import ValidationError

from ..colour.notation import Rgba
from ..document import ColourLayer, GradientLayer, ImageLayer, Layer
from ..document.gradient import Gradient
from .backgrounds import Backgrounds, Layered
from .colours import BLACK, colour, is_colour
from .gradients import bare_name, gradient, is_gradient
from .lengths import length
from .places import Spot, place
from .tokens import Node, address_of, called, said, split, word
from .unread import Notes, UnreadError

CENTRED = ("cover", "contain")
FILLING = ("cover", "stretch")
"""Sizes that leave no room for the picture to be repeated in."""


@dataclass
class Laid:
    """What backgrounds come to: a base colour, layers from bottom to top, and the address of each picture by the id
    that stands for it in its layer."""

    base: str | None = None
    layers: list[Layer] = field(default_factory=list)
    pictures: dict[str, str] = field(default_factory=dict)


Note = Callable[[str, str, str], None]
"""Told what was not read, or read as something near to it: what, why, and as what."""


@dataclass
class Laying:
    """Lays backgrounds one over the other. `opacity`, `blend` and `filter` are those of an element of its own."""

    note: Note
    current: Rgba = BLACK
    opacity: float = 1.0
    blend: str = "normal"
    filter: dict[str, float] = field(default_factory=dict)
    found: Laid = field(default_factory=Laid)

    def lay(self, backgrounds: Backgrounds, over: bool = False) -> None:
        """Lay an element's backgrounds; `over`: its colour lies over what is there, instead of being the base."""
        if backgrounds.colour is not None and backgrounds.in_letters:
            self.note(said(backgrounds.colour), "a background inside letters is not there", "")
        elif backgrounds.colour is not None:
            self._base(backgrounds.colour, over)
        for layered in reversed(backgrounds.layers()):
            notes = Notes()
            what = said(layered.image)
            try:
                layer = self._layer(layered, notes)
            except UnreadError as error:
                self.note(what, error.why, error.nearest)
                continue
            except ValidationError as error:
                self.note(what, str(error.errors()[0]["msg"]).removeprefix("Value error, "), "")
                continue
            if layer is not None:
                self.found.layers.append(layer)
            for why, nearest in notes:
                self.note(what, why, nearest)

    def _base(self, node: Node, over: bool) -> None:
        notes = Notes()
        try:
            shade = colour(node, notes, self.current)
        except UnreadError as error:
            self.note(said(node), error.why, error.nearest)
            return
        for why, nearest in notes:
            self.note(said(node), why, nearest)
        if over:
            if shade.alpha > 0:
                self.found.layers.append(self._flat(shade))
        else:
            self.found.base = shade.hex if shade.alpha > 0 else None

    def _common(self, name: str, blend: str = "normal") -> dict[str, Any]:
        number = len(self.found.layers) + 1
        return {
            "id": f"read-{number}",
            "name": name,
            "opacity": round(self.opacity, 4),
            "blend": blend if blend != "normal" else self.blend,
        }

    def _flat(self, shade: Rgba, blend: str = "normal") -> ColourLayer:
        """A colour of one strength: its alpha is the layer's strength, exactly."""
        common = self._common("Colour", blend)
        whole = Rgba(shade.red, shade.green, shade.blue)
        return ColourLayer(**{**common, "opacity": round(common["opacity"] * shade.alpha, 4), "colour": whole.hex})

    def _layer(self, layered: Layered, notes: Notes) -> Layer | None:
        node: Node = layered.image
        if layered.clip == "text":
            raise UnreadError("a background inside letters is not there", "")
        if called(node) in ("image-set", "-webkit-image-set"):
            node = _best(node)
        if called(node) == "image":
            shade = colour(split(node.arguments, ",")[-1][0], notes, self.current)
            return self._flat(shade, layered.blend)
        if is_gradient(node):
            return self._gradient(node, layered, notes)
        address = address_of(node)
        if address is None:
            name = bare_name(called(node))[0]
            nearest = "the last of its pictures" if name == "cross-fade" else ""
            raise UnreadError(f"{name or said(node)}() is not read" if called(node) else "it is no image", nearest)
        return self._picture(address, layered, notes)

    def _gradient(self, node: Node, layered: Layered, notes: Notes) -> Layer:
        read = gradient(node, self.current, notes)
        size = [said(n) for n in layered.size]
        if size not in ([], ["auto"], ["auto", "auto"], ["100%"], ["100%", "100%"], ["cover"], ["contain"]):
            notes.near(f"a gradient of its own size, {' '.join(size)}", "over the whole area")
        if layered.attachment == "fixed":
            notes.near("a gradient that stays put", "one that moves with the page")
        shades = {stop.colour for stop in read.stops}
        if len(shades) == 1:
            return self._flat(_shade_of(node, self.current), layered.blend)
        return GradientLayer(**self._common(_called(read), layered.blend), gradient=read)

    def _picture(self, address: str, layered: Layered, notes: Notes) -> Layer:
        key = f"picture-{len(self.found.pictures) + 1}"
        size = _size(list(layered.size), notes)
        spot = place(list(layered.position), notes, three=True) if layered.position else Spot()
        placed = _placed(spot, size["size"])
        # in percent, what fills the area leaves no room to be repeated in
        filled = size["size"] in FILLING and "focal" in placed
        made: dict[str, Any] = {
            **self._common(_named(address), layered.blend),
            "asset": key,
            **size,
            **placed,
            "repeat": ("no-repeat", "no-repeat") if filled else layered.repeat,
            "attachment": "fixed" if layered.attachment == "fixed" else "scroll",
        }
        if layered.attachment == "local":
            notes.near("a background that scrolls inside its box", "one that moves with the page")
        if self.filter:
            made["filter"] = self.filter
        layer = ImageLayer.model_validate(made)
        self.found.pictures[key] = address
        return layer


def _best(node: Node) -> Node:
    """Of an image-set() the picture for the densest screens: sizes for others are made here."""
    best: tuple[float, Node] | None = None
    for group in split(node.arguments, ","):
        if not group:
            continue
        dense = next(
            (float(n.value) for n in group[1:] if n.type == "dimension" and n.lower_unit in ("x", "dppx")), 1.0
        )
        if best is None or dense > best[0]:
            best = dense, group[0]
    if best is None:
        raise UnreadError("image-set() names no picture")
    return best[1]


def _shade_of(node: Node, current: Rgba) -> Rgba:
    """The one colour of a gradient, its alpha exactly as it is written."""
    every = [n for group in split(node.arguments, ",") for n in group if is_colour(n)]
    return colour(every[0], Notes(), current)


def _called(read: Gradient) -> str:
    return {"linear": "Gradient", "radial": "Glow", "conic": "Turn"}[read.shape]


def _named(address: str) -> str:
    if address.startswith("data:"):
        return "Picture"
    last = unquote(address.split("?")[0].split("#")[0]).rstrip("/").rpartition("/")[2]
    name = last.rpartition(".")[0] or last
    cleaned = "".join(c if c.isprintable() else " " for c in name).strip()
    return cleaned[:60] or "Picture"


def _size(nodes: list[Node], notes: Notes) -> dict[str, Any]:
    names = [word(n) for n in nodes]
    if not nodes or set(names) == {"auto"}:
        return {"size": "natural"}
    if names[0] in CENTRED:
        return {"size": names[0]}
    if len(nodes) > 2:
        raise UnreadError(f"{said(nodes)} is no size")
    sizes = [None if word(n) == "auto" else length(n, notes, negative=False) for n in nodes]
    width, height = sizes[0], sizes[1] if len(sizes) > 1 else None
    if (width, height) == ("100%", "100%"):
        return {"size": "stretch"}
    return {"size": "own", "width": width, "height": height}


def _percent(text: str) -> float | None:
    try:
        share = float(text[:-1]) / 100 if text.endswith("%") else 0.0 if text in ("0px", "0") else None
    except ValueError:
        return None
    return share if share is not None and 0 <= share <= 1 else None


def _placed(spot: Spot, size: str) -> dict[str, Any]:
    """A spot to keep in sight where the place is said in percent, otherwise offsets from edges."""
    plain = spot.plain
    shares = tuple(_percent(text) for text in plain) if plain else (None,)
    if None not in shares and (size in CENTRED or plain is None or all(t.endswith("%") for t in plain)):
        return {"focal": shares}
    ends = {"side": spot.side, "across": spot.across, "end": spot.end, "down": spot.down}
    return {"position": ends}
