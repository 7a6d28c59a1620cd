"""A part of a page as it is on each screen: the widest is the rule, the others are exceptions where there are any."""

from dataclasses import dataclass
from typing import Any

from ..document import Backdrop, Band, Layer
from ..document.model import BandException, Content, Height
from ..document.plate import Padding
from .lay import FILLING, Laid
from .tokens import word
from .unread import Unread
from .values import Values

EXCEPTIONS = ("size", "width", "height", "focal", "position", "visible")
"""What of a picture can be otherwise on a screen."""


@dataclass
class AtWidth:
    """A part of a page at one viewport width."""

    laid: Laid
    values: Values
    unread: list[Unread]
    height: dict[str, Any]
    padding: dict[str, str]

    @property
    def seen(self) -> bool:
        """Whether it is there."""
        display = self.values.single.get("display")
        hidden = self.values.single.get("visibility")
        return not (display and word(display[0]) == "none") and not (hidden and word(hidden[0]) == "hidden")


def picture_exception(base: Layer, other: Layer) -> dict[str, Any] | None:
    """What of a picture is otherwise on a screen; None where more is than a picture can differ in."""
    if not base.framed or not other.framed:
        return {} if base == other else None
    one, two = base.model_dump(mode="json"), other.model_dump(mode="json")
    differs = {name for name, value in one.items() if value != two.get(name)}
    if not differs <= {*EXCEPTIONS, "asset", "name", "repeat"} or two["size"] == "natural" != one["size"]:
        return None
    if "repeat" in differs and not {one["size"], two["size"]} & set(FILLING):
        return None
    return {name: two[name] for name in EXCEPTIONS if name in differs and two[name] is not None}


def _on_screens(found: dict[str, AtWidth], widest: str) -> tuple[list[Layer], dict[str, str], dict[str, list[str]]]:
    """The layers with what differs on single screens, the pictures, and what cannot differ, by screen."""
    base = found[widest].laid
    layers, pictures = list(base.layers), dict(base.pictures)
    cannot: dict[str, list[str]] = {}
    for screen, at in found.items():
        if screen == widest:
            continue
        if len(at.laid.layers) != len(layers) or at.laid.base != base.base:
            cannot.setdefault(screen, []).append("other layers, or another base colour")
            continue
        for n, other in enumerate(at.laid.layers):
            plain = base.layers[n]
            change = picture_exception(plain, other)
            if change is None or _address(at, other) != _address(found[widest], plain):
                cannot.setdefault(screen, []).append(f"{other.name} is another")
            elif change:
                text = layers[n].model_dump(mode="json")
                screens = {**text["screens"], screen: change}
                # a picture that fills its area on the widest screen is not repeated there, whatever is said
                repeat = other.model_dump()["repeat"] if text["size"] in FILLING else text["repeat"]
                layers[n] = type(other).model_validate({**text, "screens": screens, "repeat": repeat})
    return layers, pictures, cannot


def _address(at: AtWidth, layer: Layer) -> str:
    return "".join(at.laid.pictures.get(name, "") for name in layer.assets())


def band_of(found: dict[str, AtWidth], widest: str, name: str) -> tuple[Band, dict[str, str], list[str]]:
    """A band that is on each screen as a part of a page is at the screen's width; its pictures; what cannot differ."""
    at = found[widest]
    layers, pictures, cannot = _on_screens(found, widest)
    band = Band(
        id="read",
        name=name[:120] or "Area",
        height=Height(**at.height),
        padding=Padding(**({"block": "0px", "inline": "0px"} | at.padding)),
        content=Content(),
        backdrop=Backdrop(base=at.laid.base, layers=tuple(layers)),
    )
    screens: dict[str, BandException] = {}
    for screen, other in found.items():
        change: dict[str, Any] = {}
        if other.height != at.height:
            change["height"] = Height(**other.height)
        if other.padding != at.padding:
            change["padding"] = Padding(**({"block": "0px", "inline": "0px"} | other.padding))
        if not other.seen and at.seen:
            change["visible"] = False
        if change:
            screens[screen] = BandException(**change)
    unsaid = [f"on the screen {screen}: {', '.join(dict.fromkeys(what))}" for screen, what in cannot.items()]
    return band.model_copy(update={"screens": screens}), pictures, unsaid
