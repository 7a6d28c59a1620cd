"""Every situation of a page, for people: words by situations, the share of visits on a screen, an honest sentence."""

from collections.abc import Sequence
from functools import lru_cache
from importlib.resources import files
from itertools import chain
from typing import Annotated, Any

from pydantic import Field
from typing_extensions import TypedDict

from ...core.document import Backdrop, Page, Site, Visits, each_backdrop
from ...core.errors import NotFoundError
from ...core.reading import KINDS, Reader, Situation, situations
from ...core.reading.fit import KINDS as FITS
from ...core.reading.fit_widths import FitChange, FitRun
from ...core.reading.graphics import GRAPHIC
from ...core.reading.parts import EDGE
from ...core.reading.visits import read_visits, share_of
from ...core.reading.widths import Change, Point, WidthRun, changes
from ..runtime.told import Told, silent
from .check import ReadingView, Verdict, floored, left_out, reading_view, verdict_everywhere
from .vouching import Flashes, Note, notes_on


class SituationView(TypedDict):
    """A situation, what of it the bench shows, and the share of visits (0..1) that come on its screen."""

    id: str
    name: str
    at_rest: bool
    pointed: bool
    screen: str
    scroll: float
    phases: Annotated[dict[str, float], Field(description="the own time of layers that move, s by their ids")]
    share: float
    trouble: bool


class WordsView(TypedDict):
    """A block of words, and whether it falls short anywhere."""

    id: str
    words: str
    trouble: bool


class SituationsView(Verdict):
    """Words by situations; trouble stands first. `own`: the visits are the owner's, not the table that ships.

    `unsure` readings cannot be vouched for and count as neither.
    """

    blocks: list[WordsView]
    situations: list[SituationView]
    cells: list[ReadingView]
    unsure: int
    notes: list[Note]
    own: bool


class WidthPoint(TypedDict):
    """The worst reading at a width."""

    width: int
    block: str
    ratio: float
    shown: str
    required: float
    meets: bool
    lines: int


class WidthChange(TypedDict):
    """A width at which a block begins to fall short, or can be read again."""

    width: int
    block: str
    short: bool
    sentence: str


class WidthFit(TypedDict):
    """A width from which on some words do not fit (`begins`), or do again."""

    width: int
    block: str
    begins: bool
    grave: bool
    sentence: str


class WidthRange(TypedDict):
    """The widths a screen stands for."""

    screen: str
    name: str
    least: int
    most: int


class WidthView(TypedDict):
    """The run over widths."""

    points: list[WidthPoint]
    changes: list[WidthChange]
    fit: list[WidthFit]
    screens: list[WidthRange]
    sentence: str


@lru_cache(maxsize=1)
def shipped_visits() -> tuple[Visits, ...]:
    """The stand-in for visitor statistics."""
    return read_visits((files("garnetfern.stock") / "visits.csv").read_text())


def visits_of(site: Site) -> tuple[Visits, ...]:
    """The owner's own table, or the one that ships."""
    return site.visits or shipped_visits()


def _without_pictures(backdrop: Backdrop) -> Backdrop:
    return backdrop.model_copy(update={"layers": tuple(layer.bare() for layer in backdrop.layers)})


def page_met(site: Site, page: Page, situation_id: str) -> tuple[Page, bool]:
    """The page as a visitor meets it in a situation, for being shown, and whether its fonts have not come there. Raises
    NotFoundError."""
    situation = next((s for s in situations(site, page, KINDS) if s.id == situation_id), None)
    if situation is None:
        raise NotFoundError(f"There is no situation {situation_id!r} on this page.")
    plain = situation.moment.plain
    met = situation.moment.page(page)
    if situation.moment.missing:
        met = each_backdrop(met, lambda _, backdrop: _without_pictures(backdrop))
    return met, plain


def _words(page: Page) -> dict[str, str]:
    found = {}
    for block in page.blocks():
        found[block.id] = block.said[:80] or block.kind
        found[block.id + EDGE] = f"Edge of {found[block.id]}"
        found[block.id + GRAPHIC] = f"Parts of {found[block.id]}"
    return found


def _cells(reader: Reader, site: Site, page: Page, wanted: Sequence[Situation], told: Told) -> list[ReadingView]:
    found_in = chain(reader.reading_of(site, page, wanted), reader.parts_of(site, page, wanted))
    cells: list[ReadingView] = []
    for n, (situation, readings) in enumerate(found_in):
        cells += [reading_view(r, situation) for r in readings]
        told(situation.name, min(1.0, (n + 1) / (2 * len(wanted))))
    return cells


def situation_view(situation: Situation, share: float, trouble: bool) -> SituationView:
    """A situation, with the share of visits on its screen."""
    return {
        "id": situation.id,
        "name": situation.name,
        "at_rest": situation.at_rest,
        "pointed": situation.moment.pointed == 1,
        "screen": situation.screen,
        "scroll": situation.moment.scroll,
        "phases": dict(situation.on_the_way(0.5).moment.phases),
        "share": round(share, 4),
        "trouble": trouble,
    }


def situations_view(reader: Reader, site: Site, page: Page, flashes: Flashes, told: Told = silent) -> SituationsView:
    """Words and situations with the worst ratio where they meet; trouble stands first both ways."""
    table = visits_of(site)
    wanted = situations(site, page, None)
    cells = _cells(reader, site, page, wanted, told)
    quotient: dict[str, float] = {}
    for cell in cells:
        if cell["ratio"] is not None and cell["vouched"]:
            for name in (cell["block"], cell["situation"]):
                quotient[name] = min(quotient.get(name, 99.0), cell["ratio"] / cell["required"])
    shares = {s.id: share_of(table, s.least, s.most) for s in site.screens}
    words = _words(page)
    here = dict.fromkeys(cell["block"] for cell in cells)
    blocks: list[WordsView] = [{"id": b, "words": words[b], "trouble": quotient.get(b, 99.0) < 1} for b in here]
    found = [situation_view(s, shares[s.screen], quotient.get(s.id, 99.0) < 1) for s in wanted]
    blocks.sort(key=lambda b: not b["trouble"])
    found.sort(key=lambda s: not s["trouble"])
    return {
        "blocks": blocks,
        "situations": found,
        "cells": cells,
        **verdict_everywhere(cells),
        "unsure": len(left_out(cells)),
        "notes": notes_on(site, page, reader.fonts, flashes),
        "own": bool(site.visits),
    }


def _named(change: Change, words: dict[str, str]) -> str:
    said = words[change.block]
    said = said if len(said) <= 40 else said[:38] + " …"
    if change.short:
        return f"From {change.width} px on '{said}' falls short."
    return f"From {change.width} px on '{said}' can be read again."


READING = 0.8
"""The share of the work that reading at every width counts as; the rest is looking whether words fit."""


def _fit(reader: Reader, site: Site, page: Page, told: Told) -> list[WidthFit]:
    def share_of_it(share: float) -> None:
        told("fit at every width", READING + share * (1 - READING))

    return [
        {
            "width": change.width,
            "block": change.misfit.block,
            "begins": change.begins,
            "grave": change.misfit.grave,
            "sentence": f"From {change.width} px on {_after(change)}",
        }
        for change in FitRun(reader, site, page).run(share_of_it)
    ]


def _after(change: FitChange) -> str:
    if change.begins:
        return f"({FITS[change.misfit.kind].TITLE.lower()}): {change.misfit.sentence}"
    return f"it fits again ({FITS[change.misfit.kind].TITLE.lower()})."


def _visits_sentence(run: WidthRun, site: Site, words: dict[str, str]) -> str:
    """How many of a hundred visits can read everything at rest, and what the rest meet."""
    table = visits_of(site)
    whole = sum(row.visits for row in table)
    failing: dict[str, int] = {}
    bad = 0
    for row in table:
        short = run.at(row.width).short
        bad += row.visits if short else 0
        for block in short:
            failing[block] = failing.get(block, 0) + row.visits
    if bad == 0:
        return "All of 100 visits can read everything."
    good = max(0, min(99, int(100 * (whole - bad) / whole)))
    worst = max(failing, key=lambda b: failing[b])
    said = words[worst] if len(words[worst]) <= 40 else words[worst][:38] + " …"
    return f"{good} of 100 visits can read everything; the rest meet '{said}' falling short."


def width_view(reader: Reader, site: Site, page: Page, told: Told = silent) -> WidthView:
    """The worst reading over every width, the widths at which something changes, and the sentence about visits."""
    run = WidthRun(reader, site, page)
    points = run.run(lambda share: told("every width", share * READING))
    words = _words(page)
    found = list(changes(points))
    sentence = _visits_sentence(run, site, words)
    return {
        "points": [_point(p) for p in points if p.worst is not None],
        "changes": [
            {"width": c.width, "block": c.block, "short": c.short, "sentence": _named(c, words)} for c in found
        ],
        "fit": _fit(reader, site, page, told),
        "screens": [
            {"screen": s.id, "name": s.name, "least": s.least, "most": s.most} for s in sorted(site.screens, key=_least)
        ],
        "sentence": sentence,
    }


def _least(screen: Any) -> int:
    return int(screen.least)


def _point(point: Point) -> WidthPoint:
    block, ratio, required = point.worst or ("", 0.0, 1.0)
    return {
        "width": point.width,
        "block": block,
        "ratio": round(ratio, 3),
        "shown": floored(ratio),
        "required": required,
        "meets": not point.short,
        "lines": sum(len(starts) for _, starts in point.breaks),
    }
