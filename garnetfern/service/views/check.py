"""The check: every block of words in every situation, and the answers in plain words."""

from collections.abc import Collection
from typing import Annotated

from pydantic import Field
from typing_extensions import TypedDict

from ...core.document import Page, Site
from ...core.reading import AT_HAND, Letter, Reader, Reading, Situation
from ...core.reading.kinds._moving import restless
from ...core.reading.parts import EDGE


class LetterView(TypedDict):
    """A judged letter; `box` is left, top, width, height in px of the page."""

    index: int
    character: str
    line: int
    word: str
    box: tuple[float, float, float, float]
    ratio: float
    ground: str


class ReadingView(TypedDict):
    """The reading of a block in a situation."""

    block: str
    situation: str
    name: str
    screen: str
    missing: bool
    kind: str
    pointed: bool
    phases: Annotated[dict[str, float], Field(description="the own time of layers that move, s by their ids")]
    ratio: float | None
    shown: str | None
    required: float
    meets: bool
    vouched: bool
    share: float
    busyness: float
    worst: LetterView | None
    short: list[LetterView]
    sentence: str


class Verdict(TypedDict):
    """What readings come to; `good`: every word that was measured can be read."""

    sentence: str
    good: bool


class ReadingsView(Verdict):
    """The readings of a page, and what they come to; `good`: every word that was measured can be read."""

    readings: list[ReadingView]


def letter_view(letter: Letter) -> LetterView:
    """A judged letter."""
    box = letter.box
    return {
        "index": letter.index,
        "character": letter.character,
        "line": letter.line,
        "word": letter.word,
        "box": (box.x, box.y, box.width, box.height),
        "ratio": round(letter.ratio, 3),
        "ground": letter.ground,
    }


def sentence(reading: Reading) -> str:
    """What a reading says, as a sentence."""
    if not reading.vouched:
        return "Cannot be vouched for: " + "; ".join(reading.doubts) + "."
    if reading.ratio is not None and reading.block.endswith(EDGE):
        verb = "stands out" if reading.meets else "falls short"
        return (
            f"The button's edge {verb} against what lies around it: {floored(reading.ratio)} of {reading.required:g}."
        )
    if reading.ratio is None or reading.worst is None:
        return "There are no letters here."
    word, letter = reading.worst.word, reading.worst.character
    figure = f"{floored(reading.ratio)} of {reading.required:g}"
    if reading.meets:
        return f"Every letter can be read; the faintest is the {letter} in '{word}': {figure}."
    return f"The {letter} in '{word}' falls short: {figure}."


SINGLE = 1.2e-7
"""What a ratio in single precision may lack of itself."""


def floored(ratio: float) -> str:
    """A ratio with one decimal, rounded down, so that 4.49 is never shown as 4.5."""
    return f"{int(ratio * 10 * (1 + SINGLE)) / 10:.1f}"


def reading_view(reading: Reading, situation: Situation) -> ReadingView:
    """A reading for the interface and for --json."""
    return {
        "block": reading.block,
        "situation": situation.id,
        "name": situation.name,
        "screen": situation.screen,
        "missing": situation.moment.missing,
        "kind": situation.kind,
        "pointed": situation.moment.pointed == 1,
        "phases": dict(situation.on_the_way(0.5).moment.phases),
        "ratio": None if reading.ratio is None else round(reading.ratio, 3),
        "shown": None if reading.ratio is None else floored(reading.ratio),
        "required": reading.required,
        "meets": reading.meets,
        "vouched": reading.vouched,
        "share": round(reading.share, 4),
        "busyness": round(reading.busyness, 2),
        "worst": None if reading.worst is None else letter_view(reading.worst),
        "short": [letter_view(letter) for letter in reading.short],
        "sentence": sentence(reading),
    }


Found = Collection[ReadingView]


def read_everywhere(found: Found, where: str) -> Verdict:
    """The sentence about readings of which none falls short: no more than was measured. `good`: something was."""
    measured = [r for r in found if r["vouched"] and r["ratio"] is not None]
    if not found:
        return {"sentence": "There are no words here yet.", "good": False}
    if not measured:
        return {"sentence": "Nothing here could be measured.", "good": False}
    reserve = "" if len(measured) == len(found) else ", as far as it could be measured"
    return {"sentence": f"Every word can be read {where}{reserve}.", "good": True}


def short_of(found: Found) -> list[ReadingView]:
    """Those that fall short. What cannot be vouched for does neither."""
    return [r for r in found if r["vouched"] and not r["meets"]]


def verdict(site: Site, page: Page, found: Found, reserve: str = "") -> Verdict:
    """In one sentence whether the words of a page can be read on its screens, from its readings at hand; `reserve` is
    what was not looked at.

    Films are not among those while they play; their time line, the situations and the check are.
    """
    short = short_of(found)
    if not short:
        films = restless(page)
        before = f" before {'the film plays' if len(films) == 1 else 'films play'}" if films else ""
        return read_everywhere(found, f"on every screen{before}{reserve}")
    blocks, screens = len({r["block"] for r in short}), {r["screen"] for r in short}
    names = [s.name.lower() for s in site.screens if s.id in screens]
    where = "on every screen" if len(names) == len(site.screens) else f"on the {' and the '.join(names)}"
    what = "One block of words falls" if blocks == 1 else f"{blocks} blocks of words fall"
    return {"sentence": f"{what} short {where}.", "good": False}


def verdict_everywhere(found: Found) -> Verdict:
    """The same of a page in every situation."""
    short = len(short_of(found))
    if not short:
        return read_everywhere(found, "in every situation")
    return {"sentence": f"{short} of {len(found)} readings fall{'s' if short == 1 else ''} short.", "good": False}


def check_page(reader: Reader, site: Site, page: Page, kinds: Collection[str] | None = AT_HAND) -> list[ReadingView]:
    """The readings of a page in the situations of some kinds (None: of all)."""
    pairs = reader.read_page(site, page, kinds)
    return [reading_view(reading, situation) for situation, readings in pairs for reading in readings]
