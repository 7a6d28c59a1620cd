"""Colours as people write them (CSS Color 4): hex, names, rgb(), hsl(), oklch() and the rest, in and out."""

from dataclasses import dataclass
from functools import lru_cache

from coloraide import Color

from ..errors import ColourError
from .notation import Rgba, parse_colour


@dataclass(frozen=True)
class Notations:
    """One colour: hex, HSL (degrees, %, %), OKLCH (0..1, chroma, degrees), alpha 0..1.

    `fitted`: it lies outside sRGB and was brought inside by giving up chroma.
    """

    hex: str
    hsl: tuple[float, float, float]
    oklch: tuple[float, float, float]
    alpha: float
    fitted: bool = False


def _three(colour: Color, space: str) -> tuple[float, float, float]:
    one, two, three = colour.convert(space).coords(nans=False)
    return float(one), float(two), float(three)


@lru_cache(maxsize=4096)
def read_colour(text: str) -> Notations:
    """Read a colour in any notation of CSS Color 4. Raises ColourError."""
    try:
        found = Color(text.strip())
    except (ValueError, AttributeError) as error:
        raise ColourError(
            "A colour is written like #20302a, hsl(150 20% 16%), oklch(0.29 0.02 169) or by its CSS name. "
            f"Received: {text[:40]!r}."
        ) from error
    inside = found.convert("srgb").in_gamut()
    shown = found.convert("srgb").fit("srgb", method="oklch-chroma").clip()
    red, green, blue = (round(v * 255) for v in shown.coords(nans=False))
    alpha = float(found.alpha(nans=False))
    colour = Rgba(red, green, blue, round(alpha * 255) / 255)
    whole = Color(colour.hex)
    hue, saturation, light = _three(whole, "hsl")
    return Notations(colour.hex, (hue, saturation * 100, light * 100), _three(whole, "oklch"), colour.alpha, not inside)


def from_oklch(light: float, chroma: float, hue: float, alpha: float = 1.0) -> str:
    """The hex of an OKLCH colour; chroma is given up where sRGB does not have it."""
    return read_colour(f"oklch({light:.5f} {max(0.0, chroma):.5f} {hue:.3f} / {alpha:.5f})").hex


@lru_cache(maxsize=4096)
def rgba_of(text: str) -> Rgba:
    """The colour of any notation, its alpha exactly as it is written; what `rgb()` says beyond its range is cut off
    (CSS Color 4, section 5.1). Raises ColourError."""
    whole = read_colour(text)
    found = Color(text.strip())
    alpha = float(found.alpha(nans=False))
    if found.space() == "srgb":
        red, green, blue = (round(v * 255) for v in found.clip().coords(nans=False))
        return Rgba(red, green, blue, alpha)
    shown = parse_colour(whole.hex)
    return Rgba(shown.red, shown.green, shown.blue, alpha)
