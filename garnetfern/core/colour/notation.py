"""Hexadecimal colour notation (CSS Color 4, section 5.2) to numbers and back."""

import re
from dataclasses import dataclass

from ..errors import ColourError

_HEX = re.compile(r"#(?:[0-9a-fA-F]{3,4}|[0-9a-fA-F]{6}|[0-9a-fA-F]{8})\Z")


@dataclass(frozen=True)
class Rgba:
    """A colour in sRGB: red, green, blue 0..255 and alpha 0..1, not premultiplied."""

    red: int
    green: int
    blue: int
    alpha: float = 1.0

    @property
    def rgb(self) -> tuple[int, int, int]:
        """Red, green and blue, 0..255."""
        return (self.red, self.green, self.blue)

    @property
    def hex(self) -> str:
        """The shortest exact notation in six or eight digits, lower case."""
        text = f"#{self.red:02x}{self.green:02x}{self.blue:02x}"
        return text if self.alpha >= 1 else text + f"{round(self.alpha * 255):02x}"

    def faded(self, opacity: float) -> "Rgba":
        """The same colour with its alpha multiplied by `opacity` (0..1)."""
        return Rgba(self.red, self.green, self.blue, self.alpha * opacity)

    def css(self) -> str:
        """The colour as CSS text that keeps the alpha exactly."""
        if self.alpha >= 1:
            return self.hex
        return f"rgb({self.red} {self.green} {self.blue} / {self.alpha:.4g})"


def mixed(one: Rgba, other: Rgba, share: float) -> Rgba:
    """A colour on the way from one to another, mixed premultiplied in sRGB (CSS Color 4, section 12.3)."""
    alpha = one.alpha + (other.alpha - one.alpha) * share
    if alpha <= 0:
        return Rgba(other.red, other.green, other.blue, 0.0)
    parts = (a * one.alpha * (1 - share) + b * other.alpha * share for a, b in zip(one.rgb, other.rgb, strict=True))
    red, green, blue = (round(v / alpha) for v in parts)
    return Rgba(red, green, blue, alpha)


def parse_colour(text: str) -> Rgba:
    """Read `#rgb`, `#rgba`, `#rrggbb` or `#rrggbbaa`. Raises ColourError for anything else."""
    if not _HEX.match(text):
        raise ColourError(
            f"A colour is written as # and 3, 4, 6 or 8 hexadecimal digits, like #20302a. Received: {text[:40]!r}."
        )
    digits = text[1:]
    if len(digits) <= 4:
        digits = "".join(d * 2 for d in digits)
    red, green, blue = (int(digits[i : i + 2], 16) for i in (0, 2, 4))
    alpha = int(digits[6:8], 16) / 255 if len(digits) == 8 else 1.0
    return Rgba(red, green, blue, alpha)
