"""Colour schemes: coordinated hues that every colour of a site is moved to, each keeping its lightness.

As lightness in OKLCH stays, what could be read before can be read about as well afterwards; the check tells exactly.
"""

from collections.abc import Iterable
from dataclasses import dataclass, replace

from .notations import from_oklch, read_colour

NEUTRAL = 0.045
"""Colours of less chroma than this are grounds and inks; the others are accents."""
BRIGHT = 0.85
PALE = 0.5
"""Grounds lighter than BRIGHT get this part of the scheme's chroma: so much of it shows there."""
NEAR = 35.0
"""Accents whose hues are nearer to one another than this, in degrees, are one."""


@dataclass(frozen=True)
class Scheme:
    """A scheme: hue and chroma of its grounds and inks, and of its accents in order of weight; OKLCH, degrees."""

    id: str
    name: str
    ground: tuple[float, float]
    accents: tuple[tuple[float, float], ...]

    def turned(self, degrees: float, strength: float) -> "Scheme":
        """The scheme with all hues turned and all chroma multiplied."""

        def move(pair: tuple[float, float]) -> tuple[float, float]:
            return (pair[0] + degrees) % 360, pair[1] * strength

        return replace(self, ground=move(self.ground), accents=tuple(map(move, self.accents)))


SCHEMES = (
    Scheme("glasshouse", "Glasshouse", (160, 0.022), ((150, 0.10), (30, 0.13))),
    Scheme("peat", "Peat", (60, 0.020), ((45, 0.11), (120, 0.08))),
    Scheme("slate-path", "Slate path", (250, 0.018), ((245, 0.09), (70, 0.11))),
    Scheme("old-pots", "Old pots", (40, 0.022), ((38, 0.14), (190, 0.07))),
    Scheme("moss", "Moss", (130, 0.024), ((128, 0.12), (95, 0.11))),
    Scheme("winter-light", "Winter light", (230, 0.012), ((225, 0.08), (15, 0.10))),
    Scheme("damson", "Damson", (320, 0.020), ((335, 0.13), (290, 0.10))),
    Scheme("brass-label", "Brass label", (85, 0.020), ((80, 0.12), (150, 0.07))),
    Scheme("rain-butt", "Rain butt", (210, 0.020), ((205, 0.09), (180, 0.08))),
    Scheme("lantern", "Lantern", (275, 0.022), ((65, 0.14), (275, 0.11))),
    Scheme("lichen", "Lichen", (110, 0.016), ((110, 0.07), (60, 0.06))),
    Scheme("fuchsia-bench", "Fuchsia bench", (350, 0.014), ((0, 0.16), (150, 0.09))),
)


def from_colour(text: str) -> Scheme:
    """A scheme around one colour: grounds of its hue, itself, and its opposite, quieter."""
    _, chroma, hue = read_colour(text).oklch
    strong = min(0.18, max(0.06, chroma))
    return Scheme("from-colour", "From your colour", (hue, 0.02), ((hue, strong), ((hue + 180) % 360, strong * 0.75)))


def from_colours(colours: Iterable[tuple[str, float]]) -> Scheme:
    """A scheme from a picture's main colours with their shares: its ground from the largest, its accents from the two
    that are most colourful and differ in hue."""
    read = [(read_colour(text).oklch, share) for text, share in colours]
    (_, chroma, hue), _ = max(read, key=lambda pair: pair[1])
    vivid = sorted(read, key=lambda pair: -pair[0][1] * pair[1] ** 0.25)
    accents: list[tuple[float, float]] = []
    for (_, c, h), _ in vivid:
        if all(_apart(h, other) > NEAR for other, _ in accents):
            accents.append((h, min(0.18, max(0.06, c))))
    second = accents[1] if len(accents) > 1 else ((accents[0][0] + 150) % 360, accents[0][1] * 0.8)
    return Scheme("from-picture", "From the picture", (hue, min(0.024, chroma)), (accents[0], second))


def _apart(one: float, other: float) -> float:
    away = abs(one - other) % 360
    return min(away, 360 - away)


class Recolouring:
    """Moves colours to a scheme. Which accent a colour gets depends on the hues of `palette`, in its order."""

    def __init__(self, scheme: Scheme, palette: Iterable[str]) -> None:
        self.scheme = scheme
        self.hues: list[float] = []
        for text in palette:
            self._accent(text)

    def _accent(self, text: str) -> int | None:
        """Which of the site's accents a colour is; None for grounds and inks."""
        _, chroma, hue = read_colour(text).oklch
        if chroma < NEUTRAL:
            return None
        known = next((n for n, other in enumerate(self.hues) if _apart(hue, other) <= NEAR), None)
        if known is None:
            self.hues.append(hue)
            return len(self.hues) - 1
        return known

    def __call__(self, text: str) -> str:
        """The colour in the scheme; its lightness and alpha stay, black and white stay what they are."""
        found = read_colour(text)
        light, chroma, _ = found.oklch
        if chroma < 0.002 and (light < 0.002 or light > 0.998):
            return found.hex
        accent = self._accent(text)
        if accent is None:
            hue, strong = self.scheme.ground
            strong *= PALE if light > BRIGHT else 1
        else:
            hue, strong = self.scheme.accents[accent % len(self.scheme.accents)]
        return from_oklch(light, strong, hue, found.alpha)
