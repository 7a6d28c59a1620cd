"""A page that is handed out once and shows by itself what the day wants: all that may stand on it, in groups."""

from dataclasses import dataclass
from datetime import date

from ..document import Page, Site
from ..document.placing import PLACES, Between, InTurn, OnWeekdays, Place, Placed
from .compositions import seen_on
from .shown import Occasion, candidates, shown, with_bands


@dataclass(frozen=True)
class Group:
    """What may stand in one place: each candidate with the ids of its bands on the page, those that win first.

    `default` is what stands where no script runs: the first that always could; None: nothing.
    """

    place: Place
    candidates: tuple[tuple[Placed, tuple[str, ...]], ...]
    default: str | None

    @property
    def fixed(self) -> bool:
        """Whether the same stands always, so that nothing has to be chosen."""
        return len(self.candidates) == 1 and self.default is not None


def _always(placed: Placed) -> bool:
    return not any(isinstance(rule, Between | OnWeekdays | InTurn) for rule in placed.rules)


def static_page(site: Site, page: Page, since: date | None = None) -> tuple[Page, list[Group]]:
    """The page with every band that may be seen on it from a day on, and the groups that they stand in."""
    if not site.placed:
        return page, []
    seen = seen_on(site, page, since)
    wanted = {place: [p for p in candidates(site, page, place) if p.page in seen] for place in PLACES}
    whole, put = with_bands(site, page, wanted)
    groups = []
    for place, able in wanted.items():
        if able:
            default = next((p.page for p in able if _always(p)), None)
            named = tuple((p, tuple(band.id for band in put[p.page])) for p in able)
            groups.append(Group(place, named, default))
    return whole, groups


def site_on(site: Site, day: date) -> Site:
    """The site as it is on one day, on a first visit: its pages composed, and nothing shown by rules any more."""
    pages = tuple(shown(site, page, Occasion(day)) for page in site.visited)
    return site.model_copy(update={"pages": pages, "placed": ()})


def handed_out(site: Site, since: date | None = None) -> list[tuple[Page, list[Group]]]:
    """All pages that visitors come to, as they are handed out."""
    return [static_page(site, page, since) for page in site.visited]
