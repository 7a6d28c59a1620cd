"""Colours of somebody's stylesheet (CSS Color 4)."""

from ..colour.notation import Rgba
from ..colour.notations import rgba_of
from ..errors import ColourError
from .tokens import Node, called, said, word, written
from .unread import Notes, UnreadError

SYSTEM = {
    "canvas": "#ffffff", "canvastext": "#000000", "linktext": "#0000ee", "buttonface": "#efefef",
    "buttontext": "#000000", "field": "#ffffff", "fieldtext": "#000000", "highlight": "#b5d5ff", "mark": "#ffff00",
    "graytext": "#6d6d6d",
}  # fmt: skip
"""System colours (section 10) are the visitor's; these are common."""
FUNCTIONS = frozenset({"rgb", "rgba", "hsl", "hsla", "hwb", "lab", "lch", "oklab", "oklch", "color"})
BLACK = Rgba(0, 0, 0)


def is_colour(node: Node) -> bool:
    """Whether a value can only be a colour."""
    if node.type == "hash":
        return True
    if called(node):
        return called(node) in FUNCTIONS or called(node) in ("color-mix", "light-dark")
    name = word(node)
    if name in ("transparent", "currentcolor") or name in SYSTEM:
        return True
    try:
        return bool(name) and rgba_of(name) is not None
    except ColourError:
        return False


def colour(node: Node, notes: Notes, current: Rgba = BLACK) -> Rgba:
    """A colour; `current` is what `currentcolor` means. Raises UnreadError."""
    name = word(node)
    if name == "currentcolor":
        return current
    if name in SYSTEM:
        notes.near(f"{name} is each visitor's own colour", SYSTEM[name])
        return rgba_of(SYSTEM[name])
    try:
        return rgba_of(written([node]))
    except ColourError as error:
        raise UnreadError(f"{said(node)} is no colour that can be read", "a name, # and digits, rgb() …") from error
