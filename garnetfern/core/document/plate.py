"""Plates: panels behind the words of one block."""

from pydantic import Field

from .backdrop import Backdrop
from .base import Colour, Model
from .length import FixedSizeText, FixedText, SizeText


class Padding(Model):
    """Inner space: `block` above and below, `inline` left and right. The backdrop shows in it."""

    block: SizeText = "48px"
    inline: SizeText = "6vw"


class Line(Model):
    """A line around: its width and colour."""

    width: FixedSizeText = "1px"
    colour: Colour = "#ffffff"


class Shadow(Model):
    """A shadow behind something, moved and blurred (Backgrounds 3, section 6.1)."""

    across: FixedText = "0px"
    down: FixedText = "2px"
    blur: FixedSizeText = "8px"
    spread: FixedText = "0px"
    colour: Colour = "#00000066"


class Plate(Model):
    """A panel behind the words of a block: any backdrop, a key line, round corners, a shadow.

    `padding` is inner space, where it shows; `space` outer space. With `fit` it is as wide as its words.
    """

    backdrop: Backdrop = Backdrop()
    line: Line | None = None
    radius: FixedSizeText = "0px"
    shadow: Shadow | None = None
    padding: Padding = Padding(block="12px", inline="16px")
    space: Padding = Padding(block="0px", inline="0px")
    fit: bool = Field(True, description="as wide as its words; otherwise as wide as its block may be")
