"""Phrases: stretches of a wording that are said otherwise than the rest, and where its lines end."""

from collections.abc import Sequence

from pydantic import Field, model_validator

from .base import MAX_WORDING, Colour, Model
from .link import Link

MOST_PHRASES = 60
BOLD, BOLDER, HEAVY = 700, 900, 600
"""Strong words among others are bold; where those are HEAVY themselves, bolder."""


class Phrase(Model):
    """The letters of a wording from `start` up to the one before `end`, counted from 0 in Unicode code points.

    `strong` and `emphasis` mean what HTML means by them (HTML, 4.5.3 and 4.5.2); strong words are heavier, emphasised
    ones slanted (upright among slanted ones), where their font can. A link is `underlined`, so that not its hue alone
    tells it (WCAG 2.2, 1.4.1).
    """

    start: int = Field(ge=0, le=MAX_WORDING)
    end: int = Field(ge=1, le=MAX_WORDING)
    strong: bool = False
    emphasis: bool = False
    link: Link | None = None
    underlined: bool = Field(True, description="a line beneath it; where it is a link")
    colour: Colour | None = Field(None, description="none: that of the words around it")

    @model_validator(mode="after")
    def _says_something(self) -> "Phrase":
        if self.end <= self.start:
            raise ValueError(f"A phrase has one letter at least; this one goes from {self.start} to {self.end}.")
        if not (self.strong or self.emphasis or self.link or self.colour):
            raise ValueError("A phrase is strong, emphasised, a link or of a colour.")
        return self

    def weight_among(self, weight: int) -> int:
        """How heavy its letters are among words of a weight."""
        if not self.strong:
            return weight
        return BOLD if weight < HEAVY else BOLDER

    def slanted_among(self, italic: bool) -> bool:
        """Whether its letters are slanted among words that are, or are not."""
        return italic != self.emphasis


def phrases_problem(wording: str, phrases: Sequence[Phrase], linked: bool) -> str | None:
    """What is wrong with the phrases of a wording; `linked`: all of it is a link already."""
    before = 0
    for phrase in phrases:
        if phrase.start < before:
            return f"Phrases stand one after the other; the one that begins at {phrase.start} begins inside another."
        if phrase.end > len(wording):
            return f"A phrase ends at {phrase.end}, the wording at {len(wording)}."
        if linked and phrase.link:
            return "Words that are a link as a whole have no other link inside."
        before = phrase.end
    return None


def with_breaks(wording: str, breaks: Sequence[int]) -> str:
    """A wording whose lines end at other white space than its own: at these places, each of which must be some."""
    letters = [" " if letter == "\n" else letter for letter in wording]
    for at in breaks:
        letters[at] = "\n"
    return "".join(letters)


def breaks_problem(wording: str, breaks: Sequence[int]) -> str | None:
    """What is wrong with the places at which lines are to end."""
    wrong = next((at for at in breaks if at >= len(wording) or wording[at] not in " \n"), None)
    if wrong is not None:
        return f"A line ends at a space; at {wrong} of the wording there is none."
    return (
        None if list(breaks) == sorted(set(breaks)) else "The places at which lines end are told in order, once each."
    )
