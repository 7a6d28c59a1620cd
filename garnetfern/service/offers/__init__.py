"""What can be laid into a backdrop, by kind of layer, as it looks. A module here has the name of its kind:

ORDER, its place among the kinds; NAME, what a layer of it is called; TITLE, the same as something that is laid in; and
`offers(site, page)`, what there is of it.
"""

import sys
from types import ModuleType
from typing import Any

from ...core.document import Page, Site
from ...core.registry import entries
from ._offer import Offer

KINDS: dict[str, ModuleType] = dict(sorted(entries(sys.modules[__name__]).items(), key=lambda pair: int(pair[1].ORDER)))
"""Every kind by its name, in order."""


def kinds() -> list[dict[str, Any]]:
    """What kinds of layer there are, and what they are called."""
    return [{"kind": kind, "name": module.NAME, "title": module.TITLE} for kind, module in KINDS.items()]


def offered(site: Site, page: Page) -> dict[str, list[Offer]]:
    """What there is of every kind on a page, by kind."""
    return {kind: list(module.offers(site, page)) for kind, module in KINDS.items()}


__all__ = ["KINDS", "Offer", "kinds", "offered"]
