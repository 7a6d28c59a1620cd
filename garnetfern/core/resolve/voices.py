"""Voices: the stretches of a wording that are each set and coloured in one way."""

from dataclasses import dataclass

from ..colour.notation import Rgba, parse_colour
from ..document import Block, Lettering, Phrase
from .book import FontBook
from .lengths import Viewport
from .lettering import capitalised, setting_for
from .shape import Setting


@dataclass(frozen=True)
class Voice:
    """From letter `start` of the shown wording up to the one before `end`: how it is set, its colour (None: as its
    block's), the number of its phrase (None: of none), and whether a line is drawn beneath it."""

    start: int
    end: int
    setting: Setting
    fill: Rgba | None = None
    phrase: int | None = None
    underlined: bool = False


def lettering_in(lettering: Lettering, phrase: Phrase) -> Lettering:
    """How a phrase is set among words of this lettering."""
    said = {"weight": phrase.weight_among(lettering.weight), "italic": phrase.slanted_among(lettering.italic)}
    return lettering.model_copy(update=said if phrase.colour is None else {**said, "colour": phrase.colour})


def voices_of(block: Block, fonts: FontBook, viewport: Viewport, stand_in: bool = False) -> tuple[Voice, ...]:
    """The voices of a block's words, one after the other, the whole wording; none where all of it is set alike."""
    if not block.phrases:
        return ()
    lettering = block.lettering

    def shown(at: int) -> int:
        # capitals may be more letters than what they stand for
        return len(capitalised(block.wording[:at], lettering)) if lettering.capitals else at

    plain = setting_for(lettering, fonts, viewport, stand_in)
    found: list[Voice] = []
    pen = 0
    for number, phrase in enumerate(block.phrases):
        start, end = shown(phrase.start), shown(phrase.end)
        if start > pen:
            found.append(Voice(pen, start, plain))
        setting = setting_for(lettering_in(lettering, phrase), fonts, viewport, stand_in)
        fill = parse_colour(phrase.colour) if phrase.colour else None
        found.append(Voice(start, end, setting, fill, number, bool(phrase.link) and phrase.underlined))
        pen = end
    last = shown(len(block.wording))
    return (*found, Voice(pen, last, plain)) if pen < last else tuple(found)
