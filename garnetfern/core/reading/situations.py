"""The ways in which a visitor can meet a page, enumerated from the document."""

from collections.abc import Collection

from ..document import Page, Site
from .kinds import AT_HAND, KINDS
from .situation import Situation


def situations(site: Site, page: Page, kinds: Collection[str] | None = AT_HAND) -> tuple[Situation, ...]:
    """The situations of a page, in the order of the site's screens; None: of all kinds but those for
    which another stands, and in which nothing is read."""
    instead = {getattr(module, "INSTEAD_OF", "") for module in KINDS.values()}
    every = [name for name, module in KINDS.items() if name not in instead and getattr(module, "READ", True)]
    chosen = [module for name, module in KINDS.items() if name in (every if kinds is None else kinds)]
    return tuple(s for screen in site.screens for module in chosen for s in module.found(site, page, screen))
