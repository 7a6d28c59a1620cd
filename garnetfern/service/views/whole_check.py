"""The worst reading of every block of words over a whole site, and what of them is lost: what a release is measured
by."""

from collections.abc import Iterable
from dataclasses import dataclass
from hashlib import blake2b

from typing_extensions import TypedDict

from ...core.cache import Cache
from ...core.document import Page, Site
from ...core.placement import Composition, compositions
from ...core.reading import Reader
from ...core.reading.graphics import GRAPHIC
from ...core.reading.parts import EDGE
from ...core.telling import Told, silent
from .check import ReadingView, floored, left_out, short_of
from .fit import MisfitView, grave_of, misfits_of
from .report import read_all, said_of


class WorstRow(TypedDict):
    """A block of words over all pages that rules compose of one, and all situations: its worst reading (None: nothing
    could be measured), where that is met, how many readings there are, and how many of them fall short, or say nothing:
    they cannot be vouched for, or the words were on no screen."""

    page: str
    block: str
    words: str
    ratio: float | None
    required: float
    where: str
    readings: int
    short: int
    unsure: int


class LostRow(TypedDict):
    """A block of words of which something cannot be read or pressed, because it does not fit: how, in one sentence,
    where that is met first, and in how many layouts, over all pages that rules compose of one."""

    page: str
    block: str
    words: str
    misfit: str
    title: str
    sentence: str
    where: str
    layouts: int


class CheckView(TypedDict):
    """A whole site, read in every situation, and what that comes to. `good`: something was measured, all of it can be
    read, nothing of it is lost, and nothing was left out."""

    rows: list[WorstRow]
    lost: list[LostRow]
    readings: int
    short: int
    unsure: int
    sentence: str
    good: bool


@dataclass(frozen=True)
class _Page:
    """What a page as it is comes to."""

    rows: list[WorstRow]
    lost: list[LostRow]


def _quotient(view: ReadingView) -> float:
    return view["ratio"] / view["required"] if view["ratio"] is not None else 99.0


def _worst_of(page: Page, found: list[ReadingView]) -> list[WorstRow]:
    """The worst of each block of one page as it is."""
    words = {block.id: block.said for block in page.blocks()}
    by_block: dict[str, list[ReadingView]] = {}
    for view in found:
        by_block.setdefault(view["block"], []).append(view)
    rows: list[WorstRow] = []
    for block, views in by_block.items():
        measured = [v for v in views if v["vouched"] and v["ratio"] is not None]
        worst = min(measured, key=_quotient, default=None)
        rows.append(
            {
                "page": page.id,
                "block": block,
                "words": words.get(block.removesuffix(EDGE).removesuffix(GRAPHIC), ""),
                "ratio": None if worst is None else worst["ratio"],
                "required": views[0]["required"] if worst is None else worst["required"],
                "where": "" if worst is None else worst["name"],
                "readings": len(views),
                "short": len(short_of(views)),
                "unsure": len(left_out(views)),
            }
        )
    return rows


def _lost_in(page: Page, misfit: MisfitView) -> LostRow:
    """What is lost on a page in one layout."""
    return {
        "page": page.id,
        "block": misfit["block"],
        "words": misfit["words"],
        "misfit": misfit["misfit"],
        "title": misfit["title"],
        "sentence": misfit["sentence"],
        "where": misfit["name"],
        "layouts": 1,
    }


def _counted(rows: Iterable[LostRow]) -> list[LostRow]:
    """Each kind of each block once, as it is met first, with all its layouts."""
    found: dict[tuple[str, str], LostRow] = {}
    for row in rows:
        first = found.setdefault((row["misfit"], row["block"]), {**row, "layouts": 0})
        first["layouts"] += row["layouts"]
    return list(found.values())


def _together(rows: list[WorstRow]) -> WorstRow:
    """One block, as it is on several days."""
    worst = min(rows, key=lambda r: r["ratio"] / r["required"] if r["ratio"] is not None else 99.0)
    return {
        **worst,
        "readings": sum(r["readings"] for r in rows),
        "short": sum(r["short"] for r in rows),
        "unsure": sum(r["unsure"] for r in rows),
    }


def check_all(reader: Reader, cache: Cache, site: Site, told: Told = silent) -> CheckView:
    """Read every page that rules can compose in every situation; what is as it was is not read again."""
    shared = site.model_dump_json(
        include={"assets", "screens", "fits", "slots", "fonts", "requirement", "edges", "visits", "language"}
    )
    every = [(page, compositions(site, page)) for page in site.visited]
    count, done = sum(len(ways) for _, ways in every), 0
    rows: list[WorstRow] = []
    lost: list[LostRow] = []
    for page, ways in every:
        found: dict[str, list[WorstRow]] = {}
        gone: list[LostRow] = []
        for way in ways:
            day = "" if len(ways) == 1 else f", on {said_of(way.occasion)}"
            here = _read(reader, cache, site, shared, way, page.title + day, (done, count), told)
            for row in here.rows:
                found.setdefault(row["block"], []).append({**row, "where": row["where"] + day if row["where"] else ""})
            gone += [{**one, "where": one["where"] + day} for one in here.lost]
            done += 1
        rows += [_together(same) for same in found.values()]
        lost += _counted(gone)
    return summed_up(rows, lost)


def _read(
    reader: Reader,
    cache: Cache,
    site: Site,
    shared: str,
    way: Composition,
    title: str,
    place: tuple[int, int],
    told: Told,
) -> _Page:
    done, count = place

    def telling(situation: str, share: float) -> None:
        told(f"{title}: {situation}", (done + 0.8 * share) / count)

    def fitting(situation: str, share: float) -> None:
        reader.pause()
        told(f"{title}: fit, {situation}", (done + 0.8 + 0.2 * share) / count)

    def made() -> _Page:
        rows = _worst_of(way.page, read_all(reader, site, way.page, telling))
        lost = grave_of(misfits_of(reader, site, way.page, fitting))
        return _Page(rows, _counted(_lost_in(way.page, one) for one in lost))

    telling("", 0.0)
    key = blake2b((shared + way.page.model_dump_json()).encode(), digest_size=16).digest()
    return cache.figure("worst", key, made)


def _lost_said(lost: list[LostRow]) -> str:
    blocks = len({(row["page"], row["block"]) for row in lost})
    of = "one block of words" if blocks == 1 else f"{blocks} blocks of words"
    return f" Of {of} something is lost, because it does not fit." if lost else ""


def summed_up(rows: list[WorstRow], lost: list[LostRow]) -> CheckView:
    """What rows come to: no more than was measured."""
    readings, short = sum(r["readings"] for r in rows), sum(r["short"] for r in rows)
    unsure, blocks = sum(r["unsure"] for r in rows), sum(r["short"] > 0 for r in rows)
    measured = any(r["ratio"] is not None for r in rows)
    if short:
        what = "One block of words falls" if blocks == 1 else f"{blocks} blocks of words fall"
        sentence = f"{what} short, in {short} of {readings} readings."
    elif not rows:
        sentence = "There are no words to be read."
    elif not measured:
        sentence = "Nothing could be measured."
    elif unsure:
        sentence = f"Every word that could be measured can be read; {unsure} of {readings} readings could not be."
    else:
        sentence = f"Every word can be read, in all of {readings} readings."
    return {
        "rows": rows,
        "lost": lost,
        "readings": readings,
        "short": short,
        "unsure": unsure,
        "sentence": sentence + _lost_said(lost),
        "good": measured and not short and not unsure and not lost,
    }


def falls_short(check: CheckView) -> bool:
    """Whether somebody cannot read all of it: words fall short, or are lost because they do not fit."""
    return bool(check["short"] or check["lost"])


class ComparedRow(TypedDict):
    """A block whose worst reading is another than in the last release: in one sentence, and whether it is for the
    better."""

    page: str
    block: str
    sentence: str
    better: bool


def compared(before: list[WorstRow], after: list[WorstRow]) -> list[ComparedRow]:
    """What is read better and worse than before; the worse first. New blocks are compared with nothing."""
    old = {(row["page"], row["block"]): row for row in before}
    found: list[ComparedRow] = []
    for row in after:
        was = old.get((row["page"], row["block"]))
        if was is None or was["ratio"] is None or row["ratio"] is None:
            continue
        now, then = floored(row["ratio"]), floored(was["ratio"])
        if now == then and (row["short"] > 0) == (was["short"] > 0):
            continue
        said = row["words"] if len(row["words"]) <= 40 else row["words"][:38] + " …"
        falls = " and falls short" if row["short"] and not was["short"] else ""
        reads = " and can be read now" if was["short"] and not row["short"] else ""
        sentence = f"‘{said}’: {then} before, {now} now, of {row['required']:g}{falls}{reads}."
        better = row["ratio"] > was["ratio"] if not (falls or reads) else bool(reads)
        found.append({"page": row["page"], "block": row["block"], "sentence": sentence, "better": better})
    return sorted(found, key=lambda one: one["better"])
