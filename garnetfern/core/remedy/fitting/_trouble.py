"""Words that do not fit in some situations, and a change tried on them."""

from collections.abc import Collection
from dataclasses import dataclass
from functools import cached_property
from typing import Any

from ...document import Band, Page, Screen, Site, each_block
from ...reading import Reader
from ...reading.fit import Misfit, fit_in, fit_situations
from ...reading.situation import Situation

Place = tuple[str, str, str]
"""A misfit's kind, its words and its situation."""


@dataclass(frozen=True)
class Change:
    """A changed page, and the change in one sentence."""

    page: Page
    sentence: str


class Trouble:
    """One kind of misfit of one block of words, in all situations in which it is found."""

    def __init__(self, reader: Reader, site: Site, page: Page, block: str, kind: str) -> None:
        self.reader, self.site, self.page, self.kind = reader, site, page, kind
        self.block = next(b for b in page.blocks() if b.id == block)
        self.band: Band = next(b for b in page.bands if any(x.id == block for x in b.blocks()))
        found = self._found(page, fit_situations(site, page))
        mine = {s: m for s, m in found if (m.kind, m.block) == (kind, block)}
        grave = {s: m for s, m in mine.items() if m.grave}
        self.misfits: dict[Situation, Misfit] = grave or mine
        self._before: frozenset[Place] = frozenset((m.kind, m.block, s.id) for s, m in found)

    def _found(
        self, page: Page, wanted: Collection[Situation], kinds: Collection[str] | None = None
    ) -> list[tuple[Situation, Misfit]]:
        pairs = fit_in(self.reader, self.site, page, wanted, kinds)
        return [(s, m) for s, misfits in pairs for m in misfits]

    @property
    def situations(self) -> tuple[Situation, ...]:
        """Where it has to end: where it is grave; everywhere, where it is grave nowhere."""
        return tuple(self.misfits)

    @property
    def screens(self) -> tuple[Screen, ...]:
        """The screens on which it is found."""
        ids = {s.screen for s in self.situations}
        return tuple(screen for screen in self.site.screens if screen.id in ids)

    @property
    def where(self) -> str:
        """On which screens, as a part of a sentence."""
        if len(self.screens) == len(self.site.screens):
            return "everywhere"
        return "on the " + " and the ".join(s.name.lower() for s in self.screens)

    def left(self, page: Page) -> int:
        """In how many of its situations the misfit is left."""
        return sum(m.block == self.block.id for _, m in self._found(page, self.situations, (self.kind,)))

    @cached_property
    def _short(self) -> frozenset[tuple[str, str]]:
        return self._falling(self.page)

    def _falling(self, page: Page) -> frozenset[tuple[str, str]]:
        read = self.reader.read_page(self.site, page, None)
        return frozenset((r.block, r.situation) for _, readings in read for r in readings if r.falls_short)

    def suffices(self, page: Page) -> bool:
        """Whether it is gone where it has to be, no other misfit is new, and no other words fall short."""
        found = self._found(page, fit_situations(self.site, page))
        mine = [m for _, m in found if (m.kind, m.block) == (self.kind, self.block.id)]
        was_grave = any(m.grave for m in self.misfits.values())
        if any(m.grave or not was_grave for m in mine):
            return False
        after = {(m.kind, m.block, s.id) for s, m in found}
        return after <= self._before and self._falling(page) <= self._short

    def on(self, page: Page) -> "Trouble":
        """The same on a page with a change, which has not ended it."""
        return Trouble(self.reader, self.site, page, self.block.id, self.kind)

    def with_lettering(self, **changes: Any) -> Page:
        """The page with other letters of these words, everywhere."""
        return self.with_block(lettering=self.block.lettering.model_copy(update=changes))

    def with_block(self, **changes: Any) -> Page:
        """The page with these words changed."""
        return each_block(self.page, lambda b: b.model_copy(update=changes) if b.id == self.block.id else b)

    def with_band(self, **changes: Any) -> Page:
        """The page with the words' band changed."""
        new = self.band.model_copy(update=changes)
        return self.page.model_copy(update={"bands": tuple(new if b.id == new.id else b for b in self.page.bands)})
