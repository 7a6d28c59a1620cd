"""The colours that whole banners are made of: paper, ink and accents, out of a site's palette or its picture."""

from dataclasses import dataclass

from ..colour.contrast import Requirement, luminance_of, ratio, required_ratio
from ..colour.mix import distance, from_lch, lch

WHITE, INK = "#ffffff", "#17211b"
PAPERY = 0.93
"""OKLCH lightness from which on a colour can be paper."""
PALE = 0.035
"""The most chroma that paper has."""
COLOURFUL = 0.045
"""The least chroma of an accent."""
APART = 0.12
"""How far two accents are apart, in OKLab."""
SPARE = 0.1
"""What a ground bears beyond the ratio that is required of small words: browsers round to whole levels."""
LOW, HIGH = 0.12, 0.97
"""OKLCH lightness between which a ground is sought."""


def needed(requirement: Requirement) -> float:
    """The ratio that a ground which is made must bear for words of any size."""
    return required_ratio(12, 400, requirement) + SPARE


def bearing(colour: str, letters: str, least: float) -> str | None:
    """The colour nearest in lightness, with its chroma and hue, on which letters reach a ratio; None where none does:
    letters of middling lightness."""
    lightness, chroma, hue = lch(colour)
    steps = [lightness + way * n / 100 for n in range(100) for way in (-1, 1)]
    for step in steps:
        found = from_lch(step, chroma, hue) if LOW <= step <= HIGH else colour[:7]
        if (LOW <= step <= HIGH or step == lightness) and ratio(found, letters) >= least:
            return found
    return None


@dataclass(frozen=True)
class Palette:
    """`paper` is what words are on or, over dark grounds, their own colour; `ink` the same for dark ones. `accents`,
    the most colourful first, are the site's, then the picture's; `own` says how many of them are the site's."""

    paper: str
    ink: str
    accents: tuple[str, ...]
    own: int

    def from_accent(self, first: int) -> tuple[str, ...]:
        """The accents, beginning with another of the site's own, so that not all that is made is of one colour."""
        own = self.accents[: self.own]
        turn = first % len(own) if own else 0
        return own[turn:] + own[:turn] + self.accents[self.own :]


def _told_apart(colours: list[str]) -> list[str]:
    """Of colours that are nearly the same only the first."""
    found: list[str] = []
    for colour in colours:
        if all(distance(colour, other) >= APART for other in found):
            found.append(colour)
    return found


def palette_of(colours: tuple[str, ...], pictured: tuple[str, ...], requirement: Requirement) -> Palette:
    """Out of a site's palette and the main colours of a picture."""
    plain = [c[:7].lower() for c in colours if len(c) == 7 or c.lower().endswith("ff")]
    papers = [c for c in plain if lch(c)[0] >= PAPERY and lch(c)[1] <= PALE]
    paper = max(papers, key=luminance_of, default=WHITE)
    inks = [c for c in plain if ratio(c, paper) >= max(7.0, needed(requirement))]
    ink = min(inks, key=luminance_of, default=INK)

    def strong(among: list[str]) -> list[str]:
        return sorted((c for c in among if lch(c)[1] >= COLOURFUL), key=lambda c: -lch(c)[1])

    own = _told_apart(strong(plain))
    return Palette(paper, ink, tuple(_told_apart([*own, *strong([c[:7] for c in pictured]), ink])), len(own))
