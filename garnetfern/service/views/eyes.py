"""A page through other eyes: what lies before each screen, and what the words come to then."""

from collections.abc import Iterator, Mapping
from functools import partial
from typing import Annotated

from pydantic import Field
from typing_extensions import TypedDict

from ...core.colour.contrast import required_ratio
from ...core.colour.spaces import Bytes
from ...core.document import Page, Site
from ...core.draw.sample import Region
from ...core.draw.words import draw_page
from ...core.eyes import KINDS, Dial, Veil, dials_of, eye_of, ratio_seen, veil_of
from ...core.reading import Reader, Situation, situations
from ...core.resolve.met import Met
from ...core.resolve.records import PageRecord
from .check import floored

FIGURES = 6
"""Decimal places of what a browser is given."""


class EyeView(TypedDict):
    """An eye, or a light, that the page can be looked at through."""

    kind: str
    title: str
    sentence: str
    dials: list[Dial]


class VeilView(TypedDict):
    """What lies before a screen: `blur`, a standard deviation in CSS px, then `matrix` in linear light, three rows of
    five (red, green, blue, opacity, what is added), as feColorMatrix takes them (Filter Effects 1)."""

    screen: str
    blur: float
    matrix: Annotated[list[float], Field(min_length=15, max_length=15)]


class SeenWords(TypedDict):
    """A block's letters as they are seen. `faint`: they come to less than is required of the page itself; through other
    eyes nothing is."""

    block: str
    screen: str
    situation: str
    pointed: bool
    ratio: float | None
    shown: str | None
    required: float
    faint: bool


class SeenPage(TypedDict):
    """A page through other eyes."""

    kind: str
    dials: dict[str, float]
    sentence: str
    veils: list[VeilView]
    words: list[SeenWords]


def eyes_view() -> list[EyeView]:
    """All eyes and lights that there are, in their order."""
    return [
        {"kind": kind, "title": module.TITLE, "sentence": module.SENTENCE, "dials": list(module.DIALS)}
        for kind, module in KINDS.items()
    ]


def _veil_view(screen: str, veil: Veil) -> VeilView:
    rows = veil.matrix.astype(float).round(FIGURES)
    matrix = [x for row in rows for x in (*row[:3].tolist(), 0.0, float(row[3]))]
    return {"screen": screen, "blur": round(veil.blur, 3), "matrix": matrix}


def _looked_at(site: Site, page: Page) -> Iterator[Situation]:
    """The situations in which a page is looked at: at rest, and pointed at."""
    return (s for s in situations(site, page) if s.until is None and not s.moment.missing)


def _drawn(reader: Reader, record: PageRecord, region: Region) -> Bytes:
    return draw_page(record, region, reader.pictures, reader.glyphs)


def _veils(reader: Reader, site: Site, met: Met, kind: str, dials: Mapping[str, float]) -> dict[str, Veil]:
    """What lies before each screen, which shows the top of the page at rest."""
    found: dict[str, Veil] = {}
    for situation in situations(site, met.page):
        view = situation.moment.viewport
        if situation.screen in found or not situation.at_rest:
            continue
        record = met.at(situation.moment)
        region = (0, 0, round(view.width), round(view.height))
        found[situation.screen] = veil_of(kind, dials, partial(_drawn, reader, record, region))
    return found


def _said(words: list[SeenWords]) -> str:
    measured = {w["block"] for w in words if w["ratio"] is not None}
    faint = {w["block"] for w in words if w["faint"]}
    if not measured:
        return "no words could be measured."
    if not faint:
        return "all words that were measured keep the contrast that is asked of the page."
    what = "one block of words comes" if len(faint) == 1 else f"{len(faint)} of {len(measured)} blocks of words come"
    return f"{what} to less than is asked of the page."


def seen_page(reader: Reader, site: Site, page: Page, kind: str, given: Mapping[str, float]) -> SeenPage:
    """A page through other eyes, on every screen, at rest and pointed at. Raises EyeError."""
    dials = dials_of(kind, given)
    met = reader.met(site, page)
    veils = _veils(reader, site, met, kind, dials)
    words: list[SeenWords] = []
    for situation in _looked_at(site, page):
        record = met.at(situation.moment)
        for block in record.blocks():
            if not block.words:
                continue
            reader.pause()
            ratio = ratio_seen(reader, record, block, veils[situation.screen])
            required = required_ratio(block.size, block.weight, site.requirement)
            words.append(
                {
                    "block": block.id,
                    "screen": situation.screen,
                    "situation": situation.id,
                    "pointed": situation.moment.pointed == 1,
                    "ratio": None if ratio is None else round(ratio, 3),
                    "shown": None if ratio is None else floored(ratio),
                    "required": required,
                    "faint": ratio is not None and ratio < required,
                }
            )
    return {
        "kind": kind,
        "dials": dials,
        "sentence": f"{eye_of(kind).TITLE}: {_said(words)}",
        "veils": [_veil_view(screen, veil) for screen, veil in veils.items()],
        "words": words,
    }
