"""How much one document may hold, counted over all of it, and addresses that no disk or server takes for others."""

from collections.abc import Iterator

from .. import limits
from ..errors import Problem
from .backdrop import Backdrop
from .model import Page, Site

RESERVED_SLUGS = frozenset(
    {"index", "con", "prn", "aux", "nul", *(f"{port}{n}" for port in ("com", "lpt") for n in range(10))}
)
"""`index` is the first page's file; the others are devices on some systems, whatever their ending."""


def _backdrops(site: Site) -> Iterator[Backdrop]:
    yield from (area.backdrop for page in site.pages for area in page.areas())
    yield from (look.backdrop for look in site.looks)


def _stops(backdrop: Backdrop) -> int:
    return sum(len(g.stops) for layer in backdrop.layers for g in layer.gradients())


def _words(page: Page) -> int:
    return sum(len(b.wording.split()) + sum(len(i.wording.split()) for i in b.items) for b in page.blocks())


def bound_problems(site: Site) -> Iterator[Problem]:
    """What the document has too much of, with what it has."""
    backdrops = list(_backdrops(site))
    counts = (
        ("areas", limits.DOCUMENT_AREAS, sum(1 for page in site.pages for _ in page.areas())),
        ("layers", limits.DOCUMENT_LAYERS, sum(len(b.layers) for b in backdrops)),
        ("blocks", limits.DOCUMENT_BLOCKS, sum(1 for page in site.pages for _ in page.blocks())),
        ("stops of gradients", limits.DOCUMENT_STOPS, sum(map(_stops, backdrops))),
        ("words", limits.DOCUMENT_WORDS, sum(map(_words, site.pages))),
    )
    for what, most, has in counts:
        if has > most:
            yield Problem("bounds", f"A site has {most:,} {what} at the most; this one has {has:,}.", "$.pages")


def address_problems(site: Site) -> Iterator[Problem]:
    """Pages whose address is reserved."""
    for n, page in enumerate(site.pages):
        if page.slug in RESERVED_SLUGS:
            message = f"The address {page.slug!r} is kept for something else; choose another."
            yield Problem("slug", message, f"$.pages[{n}].slug")
