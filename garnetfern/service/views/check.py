"""The check: every block of words in every situation, and the answers in plain words."""

from collections.abc import Collection, Mapping
from typing import Annotated, Literal, NotRequired, TypeVar

from pydantic import Field
from typing_extensions import TypedDict

from ...core.document import Page, Site
from ...core.reading import AT_HAND, Letter, Reader, Reading, Situation
from ...core.reading.graphics import GRAPHIC
from ...core.reading.kinds._moving import restless
from ...core.reading.kinds.scroll import STEPS, depending
from ...core.reading.parts import EDGE

ReadingVerdict = Literal["enough", "short", "unread", "unsure"]
"""Every letter reaches what is required; one does not; none was measured; the figure cannot be vouched for."""


class LetterView(TypedDict):
    """A judged letter; `box` is left, top, width, height in px of the page."""

    index: int
    character: str
    line: int
    word: str
    box: tuple[float, float, float, float]
    ratio: float
    ground: str


class PhraseView(TypedDict):
    """What a phrase of a block, by its number, comes to by itself."""

    phrase: int
    ratio: float
    shown: str
    enough: bool


class ReadingView(TypedDict):
    """The reading of a block in a situation. `away`: it has letters, of which none is on the screen. `busyness` of its
    ground is told where it was asked for, `phrases` where there are some."""

    block: str
    situation: str
    name: str
    screen: str
    missing: bool
    kind: str
    pointed: bool
    scroll: Annotated[float, Field(description="the share of its way that the page is scrolled, where that is worst")]
    phases: Annotated[dict[str, float], Field(description="the own time of layers that move, s by their ids")]
    ratio: float | None
    shown: str | None
    required: float
    verdict: ReadingVerdict
    away: bool
    vouched: bool
    share: float
    busyness: NotRequired[float]
    worst: LetterView | None
    short: list[LetterView]
    phrases: NotRequired[list[PhraseView]]
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
        verb = "falls short" if reading.falls_short else "stands out"
        return (
            f"The button's edge {verb} against what lies around it: {floored(reading.ratio)} of {reading.required:g}."
        )
    if reading.block.endswith(GRAPHIC):
        if reading.ratio is None:
            return "Nothing of the picture is opaque enough for its parts to be told, so they are not read."
        verb = "cannot be made out" if reading.falls_short else "can be made out"
        figure = f"{floored(reading.ratio)} of {reading.required:g}"
        return f"The picture's parts {verb} against what lies around them: {figure}."
    if reading.away:
        return "None of these words is on the screen here, so they are not read."
    if reading.ratio is None or reading.worst is None:
        return "There are no letters here."
    word, letter = reading.worst.word, reading.worst.character
    figure = f"{floored(reading.ratio)} of {reading.required:g}"
    if not reading.falls_short:
        return f"Every letter can be read; the faintest is the {letter} in '{word}': {figure}."
    return f"The {letter} in '{word}' falls short: {figure}."


SINGLE = 1.2e-7
"""What a ratio in single precision may lack of itself."""


def floored(ratio: float) -> str:
    """A ratio with one decimal, rounded down, so that 4.49 is never shown as 4.5."""
    return f"{int(ratio * 10 * (1 + SINGLE)) / 10:.1f}"


def phrase_view(number: int, ratio: float, required: float) -> PhraseView:
    """A phrase's reading."""
    return {"phrase": number, "ratio": round(ratio, 3), "shown": floored(ratio), "enough": ratio >= required}


def reading_view(reading: Reading, situation: Situation) -> ReadingView:
    """A reading for the interface and for --json."""
    view: ReadingView = {
        "block": reading.block,
        "situation": situation.id,
        "name": situation.name,
        "screen": situation.screen,
        "missing": situation.moment.missing,
        "kind": situation.kind,
        "pointed": situation.moment.pointed == 1,
        "scroll": situation.moment.scroll if reading.scroll is None else round(reading.scroll, 4),
        "phases": dict(situation.on_the_way(0.5).moment.phases),
        "ratio": None if reading.ratio is None else round(reading.ratio, 3),
        "shown": None if reading.ratio is None else floored(reading.ratio),
        "required": reading.required,
        "verdict": reading.verdict if reading.vouched else "unsure",
        "away": reading.away,
        "vouched": reading.vouched,
        "share": round(reading.share, 4),
        "worst": None if reading.worst is None else letter_view(reading.worst),
        "short": [letter_view(letter) for letter in reading.short],
        "sentence": sentence(reading),
    }
    if reading.phrases:
        view["phrases"] = [phrase_view(number, ratio, reading.required) for number, ratio in reading.phrases]
    if reading.busyness is not None:
        view["busyness"] = round(reading.busyness, 2)
    return view


Found = Collection[ReadingView]
Said = TypeVar("Said", bound=Mapping[str, object])
"""A reading for the interface, or a row of a check that holds one."""


def short_of(found: Collection[Said]) -> list[Said]:
    """Those that fall short. What cannot be vouched for does neither, and what was not read."""
    return [r for r in found if r["verdict"] == "short"]


def left_out(found: Collection[Said]) -> list[Said]:
    """Those that say nothing: what cannot be vouched for, and words that were not on the screen in this situation nor
    read in another one of the same screen."""
    read = {(r["block"], r["screen"]) for r in found if r["verdict"] in ("enough", "short")}
    unread = (r for r in found if r["verdict"] == "unread" and r["away"] and (r["block"], r["screen"]) not in read)
    return [*(r for r in found if r["verdict"] == "unsure"), *unread]


def read_everywhere(found: Found, where: str) -> Verdict:
    """The sentence about readings of which none falls short: no more than was measured. `good`: something was."""
    if all(r["verdict"] == "unread" and not r["away"] for r in found):
        return {"sentence": "There are no words here yet.", "good": False}
    if all(r["verdict"] != "enough" for r in found):
        return {"sentence": "Nothing here could be measured.", "good": False}
    reserve = ", as far as it could be measured" if left_out(found) else ""
    return {"sentence": f"Every word can be read {where}{reserve}.", "good": True}


def verdict(site: Site, page: Page, found: Found, reserve: str = "") -> Verdict:
    """In one sentence whether the words of a page can be read on its screens, from its readings at hand; `reserve` is
    what was not looked at.

    Films are not among those while they play; their time line, the situations and the check are. Neither are all places
    that a page can be scrolled to.
    """
    short = short_of(found)
    if not short:
        films = restless(page)
        before = f" before {'the film plays' if len(films) == 1 else 'films play'}" if films else ""
        way = f", at {STEPS + 1} places of the page's way" if depending(page, "scroll") else ""
        return read_everywhere(found, f"on every screen{before}{way}{reserve}")
    blocks, screens = len({r["block"] for r in short}), {r["screen"] for r in short}
    names = [s.name.lower() for s in site.screens if s.id in screens]
    where = "on every screen" if len(names) == len(site.screens) else f"on the {' and the '.join(names)}"
    what = "One block of words falls" if blocks == 1 else f"{blocks} blocks of words fall"
    if len({(r["block"], r["screen"]) for r in short}) < blocks * len(names):
        # not each of them on each of those screens
        return {"sentence": f"{what} short, {where} one or more.", "good": False}
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
