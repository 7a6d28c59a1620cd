"""Remedies for words that fall short: each proposal read in full, and what it keeps of the picture."""

from collections.abc import Callable, Iterator
from concurrent.futures import FIRST_COMPLETED, ThreadPoolExecutor, wait
from dataclasses import replace
from functools import cached_property

from ..colour.spaces import Bytes
from ..document import Asset, Block, Page, Site
from ..reading import Reader, Situation
from .base import begin
from .cost import both_parts, pictured
from .kept import kept
from .kinds import KINDS
from .plight import Colours, Plight, Trial
from .remedy import Proposal, Remedy, plain_behind
from .trial import quotient

Told = Callable[[float], None]
"""Is told how far a search is, 0..1."""
AT_ONCE = 2


def silent(_: float) -> None:
    """Tells nobody."""


class Remedies:
    """The remedies for one block of words."""

    def __init__(
        self, reader: Reader, site: Site, page: Page, block: Block, colours: Colours, told: Told = silent
    ) -> None:
        self.plight = Plight(reader, site, page, block, colours)
        self.told = told
        if self.plight.short:
            begin(self.plight)
        self._rest = [s for s in self.plight.situations if s.at_rest]

    def __iter__(self) -> Iterator[Remedy]:
        """All that suffice, kind after kind; where none does, the nearest alone, which says that it does not."""
        plight = self.plight
        if not plight.short:
            return
        failed: list[Proposal] = []
        suffices = False
        for remedy in self._sought():
            if isinstance(remedy, Remedy):
                suffices = True
                yield remedy
            else:
                failed.append(remedy)
        weighed = [self._failed(proposal) for proposal in failed] if not suffices else []
        yield from sorted(filter(None, weighed), key=lambda r: -quotient(r.worst))[:1]

    def _failed(self, proposal: Proposal) -> Remedy | None:
        trial = self.plight.trial(proposal.page)
        if trial.suffices():
            proposal = replace(proposal, sentence=f"{proposal.sentence} Other words of the page would fall short then.")
        return self.weighed(proposal, trial, False)

    def _sought(self) -> Iterator[Remedy | Proposal]:
        """Remedies, and proposals that do not suffice, as they are found. Two kinds are looked at at a time: much of
        painting and judging leaves the interpreter free."""
        _ = self._before, self.plight.short_now
        pool = ThreadPoolExecutor(AT_ONCE, "garnetfern-remedy")
        try:
            waiting = {pool.submit(self.of_kind, kind) for kind in KINDS}
            while waiting:
                done, waiting = wait(waiting, return_when=FIRST_COMPLETED)
                self.told(1 - len(waiting) / len(KINDS))
                for future in done:
                    yield from future.result()
        finally:
            pool.shutdown(wait=False, cancel_futures=True)

    def of_kind(self, kind: str) -> list[Remedy | Proposal]:
        """Remedies of one kind, and its proposals that do not suffice."""
        found: list[Remedy | Proposal] = []
        for proposal in KINDS[kind].found(self.plight):
            trial = self.plight.trial(proposal.page)
            if proposal.sure and trial.suffices() and self.plight.spares(trial):
                found += filter(None, [self.weighed(proposal, trial, True)])
            else:
                found.append(proposal)
        return found

    def weighed(self, proposal: Proposal, trial: Trial, meets: bool) -> Remedy | None:
        """A proposal with its worst reading; None where the words are not to be seen any more."""
        worst = trial.worst()
        if worst is None:
            return None
        kept = self.kept(trial) * proposal.share
        return Remedy(proposal.kind, proposal.page, proposal.sentence, worst[0], worst[1], kept, meets)

    def _picture(self, trial: Trial, situation: Situation) -> Bytes | None:
        """The pictured area on a screen with all that lies in it but the letters' own colour."""
        ground = self.plight.ground
        return None if ground is None else pictured(self.plight.reader, trial.record(situation), ground.id)

    @cached_property
    def _before(self) -> dict[str, Bytes | None]:
        return {s.id: self._picture(self.plight.present, s) for s in self._rest}

    def kept(self, trial: Trial) -> float:
        """The mean over the screens of what the area's picture keeps, 0..100; where the area changed its height, of
        the part that both have."""
        plain = plain_behind(self.plight.light)
        shares = []
        for situation in self._rest:
            before, after = self._before[situation.id], self._picture(trial, situation)
            if before is None or after is None:
                continue
            shares.append(kept(*both_parts(before, after), plain))
        return sum(shares) / len(shares) if shares else 100.0


def in_order(remedies: list[Remedy]) -> list[Remedy]:
    """Those that meet what is required, the ones that keep most of the picture first."""
    kinds = list(KINDS)
    return sorted((r for r in remedies if r.meets), key=lambda r: (-round(r.kept, 1), kinds.index(r.kind)))


def no_colours(_: Asset) -> tuple[str, ...]:
    """Where nothing is known of pictures' colours."""
    return ()
