"""Whether words fit: what contrast cannot see. A module here is one kind of trouble: ORDER, its place among them;
TITLE; and `found(look)`, what of it there is on a page as it is laid out in one situation. With OURS true it holds only
of pages whose every rule is ours; with PAINTS true the page has to be painted, which is not done at every width.

Misfits that are `grave` keep somebody from reading or pressing something; the others make it harder.
"""

import sys
from collections.abc import Collection, Iterable, Iterator
from types import ModuleType

from ...document import Page, Site
from ...registry import entries
from ..kinds import KINDS as SITUATIONS
from ..reader import Reader
from ..situation import Situation
from ..situations import situations
from ._look import Look, Misfit

KINDS: dict[str, ModuleType] = dict(sorted(entries(sys.modules[__name__]).items(), key=lambda pair: int(pair[1].ORDER)))
"""Every kind by its name, in order."""

LAYING = frozenset(name for name, module in SITUATIONS.items() if getattr(module, "LAYS", False))
"""The kinds of situation in which words are laid out otherwise: in these is looked at whether they fit."""


def fit_situations(site: Site, page: Page) -> tuple[Situation, ...]:
    """The situations in which is looked at whether words fit; none where there are no words."""
    return situations(site, page, LAYING) if any(b.lettered for b in page.blocks()) else ()


def fit_in(
    reader: Reader, site: Site, page: Page, wanted: Iterable[Situation], kinds: Collection[str] | None = None
) -> Iterator[tuple[Situation, list[Misfit]]]:
    """What of some kinds (None: of all) does not fit on a page in these situations, one after the other."""
    met = reader.met(site, page)
    modules = [module for name, module in KINDS.items() if kinds is None or name in kinds]
    for situation in wanted:
        reader.pause()
        look = Look(reader, site, met, situation)
        yield situation, [misfit for module in modules for misfit in module.found(look)]


def doubted(reader: Reader, site: Site, page: Page) -> tuple[str, ...]:
    """The blocks of words of which letters are missing or lines not computed: what is said of their fit is not all."""
    met = reader.met(site, page)
    records = (met.at(situation.moment) for situation in fit_situations(site, page))
    return tuple(dict.fromkeys(b.id for record in records for b in record.blocks() if b.doubts))


def fit_of(reader: Reader, site: Site, page: Page) -> Iterator[tuple[Situation, list[Misfit]]]:
    """What does not fit on a page, in every situation in which it is laid out otherwise."""
    return fit_in(reader, site, page, fit_situations(site, page))


__all__ = ["KINDS", "Misfit", "doubted", "fit_in", "fit_of", "fit_situations"]
