"""Whole banners: from one picture, its words and the site's palette, several that differ in idea, each of which can be
read in every situation."""

from collections.abc import Iterator, Sequence
from concurrent.futures import Future, ThreadPoolExecutor
from dataclasses import dataclass
from functools import cached_property

import cv2
import numpy as np

from ..colour.spaces import Pixels, oklab
from ..document import Page
from ..reading import situations
from ..reading.fit import fit_in, fit_situations
from ..remedy.cost import pictured
from ..remedy.trial import Fallen, Tried
from .brief import Brief
from .ideas import IDEAS
from .sketch import LeftOut, Sketch

MOST = 6
"""So many are made of a picture."""
APART = 0.09
"""How far two banners are apart at the least: the mean OKLab distance over all of them, on a desktop."""
VARIED = 0.04
"""The same for variations of one idea."""
VARIATIONS, TRIES = 3, 4
"""So many variations are made at once, and so many of an idea before it is taken for too like the others."""
SIZE = (360, 170)
"""Banners are compared at this size, px."""
AT_ONCE = 2


@dataclass(frozen=True)
class Banner:
    """A whole page with the band made anew by an idea, and how, in one sentence; `number` tells it from what else
    comes of the idea, `seen` is its ground, small, OKLab."""

    idea: str
    number: int
    page: Page
    sentence: str
    seen: Pixels


@dataclass(frozen=True)
class Without:
    """An idea that does not suit the picture or its words, and why."""

    idea: str
    reason: str


class Banners:
    """The banners of one brief."""

    def __init__(self, brief: Brief) -> None:
        self.brief = brief
        self.reader, self.site = brief.reader, brief.site
        self.desktop = max(self.site.screens, key=lambda s: s.width)

    @cached_property
    def _falling(self) -> frozenset[Fallen]:
        """What falls short on the page whatever the band looks like: words in the bands above."""
        page = self.brief.page
        return self._others(page) if len(page.bands) > 1 else frozenset()

    @cached_property
    def _misfits(self) -> frozenset[tuple[str, str, str]]:
        """What does not quite fit as it is: a situation, a kind of misfit, a block."""
        page = self.brief.before
        found = fit_in(self.reader, self.site, page, fit_situations(self.site, page))
        return frozenset((s.id, m.kind, m.block) for s, misfits in found for m in misfits)

    @cached_property
    def _reaches(self) -> bool:
        """Whether words elsewhere depend on how high the band is: over what lies behind the page, or stays put."""
        whole = self.brief.whole
        moves = any({"scroll"} & x.depends_on() for area in whole.areas() for x in area.backdrop.layers)
        return bool(whole.backdrop.layers) or moves

    def _spares(self, page: Page) -> bool:
        """Whether no words of the whole page fall short that did not before, where they could."""
        return not self._reaches or next(self._fallen(page, self._before), None) is None

    @cached_property
    def _before(self) -> frozenset[Fallen]:
        """What falls short on the whole page as it is, of all words that are not touched."""
        return self._others(self.brief.before)

    def _others(self, page: Page) -> frozenset[Fallen]:
        """What falls short there of all words but those that are touched."""
        return frozenset(fallen for fallen in self._fallen(page) if fallen[0] not in self.brief.touched)

    def _fallen(self, page: Page, but: frozenset[Fallen] = frozenset()) -> Iterator[Fallen]:
        return Tried(self.reader, self.site, page).falling(situations(self.site, page, None), but)

    def _seen(self, page: Page) -> Pixels:
        """The band's ground on the widest screen, small."""
        rest = next(s for s in situations(self.site, page) if s.at_rest and s.screen == self.desktop.id)
        record = Tried(self.reader, self.site, page).record(rest)
        canvas = pictured(self.reader, record, self.brief.band.id)
        if canvas is None:
            raise LeftOut("Nothing of it would be seen.")
        small = cv2.resize(canvas, SIZE, interpolation=cv2.INTER_AREA)
        return oklab(small.astype(np.float32))

    def _looked_at(self, sketch: Sketch) -> None:
        """Raises LeftOut where words fall short in any situation, or do not fit."""
        page = sketch.page
        fallen = next(self._fallen(page, self._falling), None)
        if fallen is not None:
            where = next(s.name for s in situations(self.site, page, None) if s.id == fallen[1])
            raise LeftOut(f"Words could not be read in one situation: {where}.")
        for situation, misfits in fit_in(self.reader, self.site, page, fit_situations(self.site, page)):
            for misfit in misfits:
                known = (situation.id, misfit.kind, misfit.block) in self._misfits
                if misfit.block in self.brief.words and (misfit.grave or not known):
                    raise LeftOut(f"Words would not fit ({situation.name}): {misfit.sentence}")

    def _of(self, idea: str) -> Iterator[Banner]:
        """What comes of an idea, as far as it can be read and fits; raises LeftOut when there is no more."""
        failed = ""
        try:
            for number, sketch in enumerate(IDEAS[idea].made(self.brief)):
                try:
                    self._looked_at(sketch)
                    seen = self._seen(sketch.page)
                except LeftOut as out:
                    failed = failed or out.reason
                    continue
                page = self.brief.finished(sketch.page)
                if not self._spares(page):
                    failed = failed or "Words elsewhere on the page could not be read any more."
                    continue
                yield Banner(idea, number, page, sketch.sentence + self.brief.said, seen)
        except LeftOut as out:
            failed = failed or out.reason
        raise LeftOut(failed or "There is nothing more of that kind.")

    def found(self) -> Iterator[Banner | Without]:
        """Six at the most as they are made, each by another idea and unlike the others; and ideas that are left out."""
        coming = {idea: self._of(idea) for idea in IDEAS}
        taken: list[Banner] = []
        _ = self._falling
        waiting = list(IDEAS)
        pool = ThreadPoolExecutor(AT_ONCE, "garnetfern-banner")
        under_way: dict[str, Future[Banner | Without]] = {}
        try:
            while len(taken) < MOST and (waiting or under_way):
                # no more of them at a time than can still be taken
                while waiting and len(under_way) < MOST - len(taken):
                    idea = waiting.pop(0)
                    under_way[idea] = pool.submit(_next, coming[idea], idea)
                idea = next(iter(under_way))
                result = self._unlike(coming[idea], under_way.pop(idea).result(), taken)
                if isinstance(result, Banner):
                    taken.append(result)
                yield result
        finally:
            pool.shutdown(wait=False, cancel_futures=True)

    def _unlike(self, coming: Iterator[Banner], result: Banner | Without, taken: Sequence[Banner]) -> Banner | Without:
        """What comes first of an idea that nobody would take for one of the others."""
        for _ in range(TRIES):
            if isinstance(result, Without) or (other := _alike(result, taken, APART)) is None:
                return result
            alike = Without(result.idea, f"It would look like '{IDEAS[other.idea].TITLE}'.")
            result = _next(coming, result.idea)
            if isinstance(result, Without):
                return alike
        return alike

    def variations(self, idea: str, number: int) -> Iterator[Banner]:
        """A few more by one idea beside the one of this number, unlike it and one another."""
        known: list[Banner] = []
        left = VARIATIONS
        coming = self._of(idea)
        while left and isinstance(banner := _next(coming, idea), Banner):
            if _alike(banner, known, VARIED) is not None:
                continue
            known.append(banner)
            if banner.number != number:
                left -= 1
                yield banner


def _next(coming: Iterator[Banner], idea: str) -> Banner | Without:
    try:
        return next(coming)
    except LeftOut as out:
        return Without(idea, out.reason)


def _alike(banner: Banner, others: Sequence[Banner], least: float) -> Banner | None:
    """One of the others that a banner could be taken for."""
    return next((o for o in others if apart(banner.seen, o.seen) < least), None)


def apart(one: Pixels, other: Pixels) -> float:
    """The mean distance of two small banners in OKLab."""
    return float(np.sqrt(((one - other) ** 2).sum(axis=-1)).mean())
