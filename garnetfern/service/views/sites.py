"""The sites beside each other: a true picture of the first page, a verdict over all pages, the last change."""

from typing import Protocol

from typing_extensions import TypedDict

from ...core.document import Site
from ...store import KeptSite, State
from .pages import PagesView, StartRow, content_of


class SiteRow(TypedDict):
    """A site: its name, how many pages it has, what they come to, when it was last changed, which release is live
    (None: nothing is), and what the picture of its first page is fetched by."""

    site: str
    name: str
    pages: int
    sentence: str
    good: bool
    short: bool
    kept: str
    revision: int
    live: int | None
    page: str
    picture: str


class RemovedRow(TypedDict):
    """A site that was removed, and when."""

    site: str
    name: str
    removed: str


class SitesView(TypedDict):
    """Those that are there, those that were removed, and what a new one can begin with."""

    sites: list[SiteRow]
    removed: list[RemovedRow]
    starts: list[StartRow]


class Opened(Protocol):
    """What is asked of a site's workspace."""

    def site(self) -> Site:
        """The present site."""

    def state(self) -> State:
        """Where it stands."""

    def pages(self, site: Site, window: str = "") -> PagesView:
        """All pages with their verdicts."""

    def live(self) -> int | None:
        """The number of the release that is live."""


def site_row(opened: Opened, kept: KeptSite, window: str) -> SiteRow:
    """One site, for a window that looks; what was read before is not read again."""
    site, state = opened.site(), opened.state()
    found = opened.pages(site, f"sites {window}")
    return {
        "site": kept.id,
        "name": site.name,
        "pages": len(site.visited),
        "sentence": found["sentence"],
        "good": found["good"],
        "short": found["short"],
        "kept": state.kept,
        "revision": state.revision,
        "live": opened.live(),
        "page": site.visited[0].id,
        "picture": content_of(site, site.visited[0]),
    }


def removed_row(kept: KeptSite) -> RemovedRow:
    """One that was removed."""
    return {"site": kept.id, "name": kept.name, "removed": kept.removed or ""}
