"""A page mended by one idea for each area: whole proposals, the least costly first."""

from collections.abc import Callable, Iterator, Sequence
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass
from functools import cached_property

from ..document import Area, Page, Site
from ..reading import Reader, Reading, Situation, situations
from ..telling import Told, silent
from .cost import MEANS, Cost, Costs, figure
from .distress import AreaTrial, Distress
from .draft import Draft
from .ideas import IDEAS
from .plight import Colours, areas_around, ground_among
from .trial import Fallen, Tried

MOST = 3
"""So many proposals are made of a page."""
AT_ONCE = 2
ALL = 99.95
"""What keeps so much of the picture, %, is taken without looking further."""


@dataclass(frozen=True)
class Done:
    """What an idea does for one area, and what that costs."""

    area: Area
    words: tuple[str, ...]
    draft: Draft
    cost: Cost

    @property
    def figure(self) -> float:
        """What it costs in all."""
        return figure(self.draft, self.cost)

    @property
    def name(self) -> str:
        """What the area is called."""
        return str(getattr(self.area, "name", "The page"))


@dataclass(frozen=True)
class Design:
    """A whole page, each of whose areas is mended by one idea; `idea` is the one that it is named by."""

    idea: str
    page: Page
    done: tuple[Done, ...]

    @property
    def helps(self) -> frozenset[str]:
        """The kinds of help that it adds."""
        return frozenset().union(*(done.draft.helps for done in self.done))

    @property
    def figure(self) -> float:
        """What it costs in all: what each area pays, and each kind of help beyond the first."""
        return sum(done.figure for done in self.done) + MEANS * max(0, len(self.helps) - 1)

    @property
    def kept(self) -> float:
        """The mean of what its areas keep of their pictures, 0..100."""
        return sum(done.cost.kept for done in self.done) / len(self.done)


Short = list[tuple[Reading, Situation]]


def shortfalls(present: Tried, among: Sequence[Situation], told: Told = silent) -> Short:
    """The worst reading of each block that falls short in some situation and can be vouched for, with where; those
    that fare worst first. `told` hears which situation has been looked at, and which share of them."""
    worst: dict[str, tuple[float, Situation]] = {}
    for n, situation in enumerate(among):
        told(situation.name, (n + 1) / len(among))
        for words in present.record(situation).blocks():
            if not words.words or words.doubts:
                continue
            share = present.share_of(words.id, situation)
            if share < 1 and share < worst.get(words.id, (1.0, situation))[0]:
                worst[words.id] = share, situation
    ordered = sorted(worst.items(), key=lambda found: found[1][0])
    read = ((present.reading_of(block, situation), situation) for block, (_, situation) in ordered)
    return [(reading, situation) for reading, situation in read if reading is not None]


def _grounds(present: Tried, short: Short) -> list[Area]:
    """The areas whose words fall short, those with the worst first."""
    found: dict[str, Area] = {}
    for reading, situation in short:
        around = areas_around(present.page, present.record(situation), reading.block)
        ground = ground_among(a for a in around if a.id != reading.block)
        if ground is not None:
            found.setdefault(ground.id, ground)
    return list(found.values())


def _weighed(done: Done) -> float:
    """What it costs as the only thing that is done to a page."""
    return done.figure + MEANS * max(0, len(done.draft.helps) - 1)


def _best(distress: Distress, costs: Costs, idea: str) -> Done | None:
    """The least costly draft of an idea."""
    drafts = list(IDEAS[idea].found(distress))
    return min((Done(distress.area, distress.words, d, costs.of(d)) for d in drafts), key=_weighed, default=None)


def _drafts(distress: Distress, told: Callable[[float], None]) -> Iterator[Done]:
    """The least costly draft of each of three ideas at the most. Two are looked at at a time: much of painting and
    judging leaves the interpreter free. `told` hears which share of the ideas has been looked at."""
    costs = Costs(distress)
    first, *others = IDEAS
    found = [_best(distress, costs, first)]
    if found[0] is None or found[0].cost.kept < ALL:
        pool = ThreadPoolExecutor(AT_ONCE, "garnetfern-idea")
        try:
            for n, done in enumerate(pool.map(lambda idea: _best(distress, costs, idea), others)):
                told((n + 2) / len(IDEAS))
                found.append(done)
        finally:
            pool.shutdown(wait=False, cancel_futures=True)
    left = MOST
    for done in sorted(filter(None, found), key=_weighed):
        # what was found for single moments is looked at all along the changes; where that fails it is sought anew
        whole = done if distress.holds(done.draft.page) else None
        if whole is None:
            anew = Distress(distress.present, distress.area, distress.colours, whole=True)
            whole = _best(anew, costs, done.draft.idea)
        if whole is not None:
            yield whole
            left -= 1
        if not left:
            return


def _merged(base: Page, page: Page, draft: Page) -> Page | None:
    """A page with what a draft changed of `base`; None where both changed the same part."""
    bands = []
    for old, one, other in zip(base.bands, page.bands, draft.bands, strict=True):
        if other is not old and one is not old:
            return None
        bands.append(one if other is old else other)
    joins = []
    for before, mine, theirs in zip(base.joins, page.joins, draft.joins, strict=True):
        if theirs is not before and mine is not before:
            return None
        joins.append(mine if theirs is before else theirs)
    backdrop = page.backdrop if draft.backdrop is base.backdrop else draft.backdrop
    return page.model_copy(update={"bands": tuple(bands), "joins": tuple(joins), "backdrop": backdrop})


class Designs:
    """The proposals for one page. `short` are its words that fall short."""

    def __init__(self, reader: Reader, site: Site, page: Page, colours: Colours, told: Told = silent) -> None:
        self.reader, self.site, self.page, self.told = reader, site, page, told
        self.colours = colours
        self.situations = situations(site, page, None)
        self.present = AreaTrial(reader, site, page)
        self.short = shortfalls(self.present, self.situations, lambda name, share: told(name, share * 0.2))

    def _areas(self) -> list[dict[str, Done]]:
        """For each area whose words fall short its drafts by idea; none for those in which no idea suffices."""
        found = []
        grounds = _grounds(self.present, self.short)
        for n, area in enumerate(grounds):
            distress = Distress(self.present, area, self.colours)
            drafts: dict[str, Done] = {}

            def further(share: float, n: int = n, name: str = str(getattr(area, "name", "the page"))) -> None:
                self.told(name, 0.2 + 0.7 * (n + share) / len(grounds))

            if distress.short:
                drafts = {done.draft.idea: done for done in _drafts(distress, further)}
            if drafts:
                found.append(drafts)
        return found

    def found(self) -> list[Design]:
        """Each by another idea, the least costly first, three at the most; none where no idea suffices anywhere."""
        areas = self._areas()
        designs = []
        for idea in dict.fromkeys(name for drafts in areas for name in drafts):
            chosen: list[Done] = []
            helps: frozenset[str] = frozenset()
            for drafts in areas:
                # where the idea does not serve an area, what adds no further kind of help comes first
                rest = min(drafts.values(), key=lambda d: d.figure + MEANS * len(d.draft.helps - helps))
                done = drafts.get(idea, rest)
                helps |= done.draft.helps
                chosen.append(done)
            if (design := self._whole(idea, chosen)) is not None:
                designs.append(design)
        designs.sort(key=lambda d: d.figure)
        return designs[:MOST]

    def _whole(self, idea: str, chosen: list[Done]) -> Design | None:
        page, done = self.page, []
        for one in chosen:
            merged = _merged(self.page, page, one.draft.page)
            if merged is not None:
                page = merged
                done.append(one)
        if not done or not self._spares(page, frozenset(name for one in done for name in one.words)):
            return None
        return Design(idea, page, tuple(done))

    @cached_property
    def _falling(self) -> frozenset[Fallen]:
        return frozenset(self.present.falling(self.situations))

    def _spares(self, page: Page, served: frozenset[str]) -> bool:
        """Whether no words fall short that did not before, and none of those that are served: help for one area can
        reach over the words of another."""
        after = Tried(self.reader, self.site, page)
        known = [fallen for fallen in self._falling if fallen[0] not in served]
        return next(after.falling(situations(self.site, page, None), known), None) is None
