"""Whether words fit, for people: what is wrong where, and what can be done about it."""

from collections.abc import Collection, Iterator, Mapping
from typing import Any, Literal, TypeVar

from typing_extensions import TypedDict

from ...core.document import Page, Site
from ...core.draw.words import draw_page
from ...core.errors import NotFoundError
from ...core.reading import Reader, Situation
from ...core.reading.fit import KINDS, Misfit, doubted, fit_of, fit_situations
from ...core.remedy.fitting import WAYS, Trouble, WayOut, ways_out
from ...core.telling import Told, silent
from .build_up import data_url
from .every_situation import SituationView, situation_view
from .remedies import SPOT, EndLine, patch_between


class MisfitView(TypedDict):
    """Words that do not fit in a situation. `boxes` are left, top, width, height in px of the page; `grave`: something
    cannot be read or pressed; `other` are the words that are in the way, where there are some."""

    misfit: str
    title: str
    block: str
    words: str
    situation: str
    name: str
    screen: str
    sentence: str
    boxes: list[tuple[float, float, float, float]]
    grave: bool
    other: str | None


class FitVerdict(TypedDict):
    """What that comes to; `good`: it was looked at, and nothing was found."""

    sentence: str
    good: bool


class FitRow(TypedDict):
    """One kind of trouble with one block of words: the worst of it in a sentence, the layouts in which it is met, and
    whether ways out of it are known."""

    misfit: str
    title: str
    block: str
    words: str
    sentence: str
    grave: bool
    situations: list[str]
    ways: bool


class FitView(FitVerdict):
    """Whether the words of a page fit, in every situation in which they are laid out otherwise (`layouts`). `shown` are
    those that a screen of the bench can show: paper is of another width."""

    misfits: list[MisfitView]
    rows: list[FitRow]
    layouts: list[SituationView]
    shown: list[str]


class FitWayView(TypedDict):
    """A way out: the exact change, and how the spot looks before and after (data addresses)."""

    way: str
    title: str
    sentence: str
    patch: list[dict[str, Any]]
    before: str
    after: str


class FitWayLine(TypedDict):
    """A way out that was found."""

    kind: Literal["way"]
    found: FitWayView


def misfit_view(misfit: Misfit, situation: Situation, words: str) -> MisfitView:
    """A misfit for the interface and for --json."""
    return {
        "misfit": misfit.kind,
        "title": KINDS[misfit.kind].TITLE,
        "block": misfit.block,
        "words": words,
        "situation": situation.id,
        "name": situation.name,
        "screen": situation.screen,
        "sentence": misfit.sentence,
        "boxes": [(b.x, b.y, b.width, b.height) for b in misfit.boxes],
        "grave": misfit.grave,
        "other": misfit.other,
    }


Said = TypeVar("Said", bound=Mapping[str, object])


def grave_of(found: Collection[Said]) -> list[Said]:
    """Those that keep somebody from reading or pressing something."""
    return [m for m in found if m["grave"]]


def fit_verdict(found: Collection[Mapping[str, object]], looked: int, doubted: int = 0) -> FitVerdict:
    """What misfits of one page come to; `looked`: in how many layouts was looked; `doubted`: of how many blocks not
    all could be told."""
    if not looked:
        return {"sentence": "There are no words here yet.", "good": False}
    if not found and doubted:
        return {"sentence": "All words fit, as far as it could be looked at.", "good": False}
    if not found:
        return {"sentence": f"All words fit, in all of {looked} layouts.", "good": True}
    many, grave = len({m["block"] for m in found}), len({m["block"] for m in grave_of(found)})
    what = "One block of words does" if many == 1 else f"{many} blocks of words do"
    lost = "" if not grave else ": something is lost" if many == 1 else f"; of {grave} something is lost"
    return {"sentence": f"{what} not fit everywhere{lost}.", "good": False}


def misfits_of(reader: Reader, site: Site, page: Page, told: Told = silent) -> list[MisfitView]:
    """All misfits of a page, layout after layout."""
    said = {block.id: block.said[:80] or block.kind for block in page.blocks()}
    wanted = fit_situations(site, page)
    found: list[MisfitView] = []
    for n, (situation, misfits) in enumerate(fit_of(reader, site, page)):
        told(situation.name, (n + 1) / len(wanted))
        found += [misfit_view(m, situation, said[m.block]) for m in misfits]
    return found


def _rows(found: list[MisfitView]) -> list[FitRow]:
    """Misfits by kind and block, in their order; the sentence of each is that of the first."""
    rows: dict[tuple[str, str], FitRow] = {}
    ways = {kind for module in WAYS.values() for kind in module.FOR}
    for one in found:
        row = rows.setdefault(
            (one["misfit"], one["block"]),
            {
                "misfit": one["misfit"],
                "title": one["title"],
                "block": one["block"],
                "words": one["words"],
                "sentence": one["sentence"],
                "grave": one["grave"],
                "situations": [],
                "ways": one["misfit"] in ways,
            },
        )
        row["situations"].append(one["situation"])
    return list(rows.values())


def fit_view(reader: Reader, site: Site, page: Page, told: Told = silent) -> FitView:
    """What a page's misfits come to, and all of them; grave ones first."""
    found = sorted(misfits_of(reader, site, page, told), key=lambda m: not m["grave"])
    wanted = fit_situations(site, page)
    troubled = {m["situation"] for m in found}
    widths = {screen.id: screen.width for screen in site.screens}
    return {
        **fit_verdict(found, len(wanted), len(doubted(reader, site, page))),
        "misfits": found,
        "rows": _rows(found),
        "layouts": [situation_view(s, 0.0, s.id in troubled) for s in wanted],
        "shown": [s.id for s in wanted if s.moment.viewport.width == widths[s.screen]],
    }


def _look(trouble: Trouble, page: Page) -> str:
    """The spot of the first misfit in its worst situation."""
    worst = max(trouble.situations, key=lambda s: trouble.misfits[s].figure)
    box = trouble.misfits[worst].boxes[0]
    record = trouble.reader.met(trouble.site, page).at(worst.moment)
    width = min(int(record.width), max(SPOT[0], int(box.width * 1.2)))
    height = min(int(record.height), width * SPOT[1] // SPOT[0])
    left = min(max(0, int(box.x + box.width / 2 - width / 2)), int(record.width) - width)
    top = min(max(0, int(box.y + box.height / 2 - height / 2)), int(record.height) - height)
    pixels = draw_page(record, (left, top, width, height), trouble.reader.pictures, trouble.reader.glyphs)
    return data_url(pixels, (2 * SPOT[0], 2 * SPOT[1]))


def _way_view(trouble: Trouble, found: WayOut, before: str) -> FitWayView:
    return {
        "way": found.way,
        "title": WAYS[found.way].TITLE,
        "sentence": found.change.sentence,
        "patch": patch_between(trouble.site, trouble.page, found.change.page),
        "before": before,
        "after": _look(trouble, found.change.page),
    }


def fit_trouble(reader: Reader, site: Site, page: Page, block: str, misfit: str) -> Trouble:
    """One kind of misfit of one block of words. Raises NotFoundError where there is no such kind, or no such words."""
    if misfit not in KINDS or all(b.id != block or not b.lettered for b in page.blocks()):
        raise NotFoundError(f"There are no words {block!r} with the trouble {misfit!r} on this page.")
    return Trouble(reader, site, page, block, misfit)


def fit_ways(trouble: Trouble) -> Iterator[FitWayLine | EndLine]:
    """Ways out, as they are found, and the end."""
    count = 0
    if trouble.situations:
        before = _look(trouble, trouble.page)
        for way in ways_out(trouble):
            count += 1
            yield {"kind": "way", "found": _way_view(trouble, way, before)}
    yield {"kind": "end", "found": count}
